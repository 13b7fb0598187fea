/* global AudioWorkletProcessor, registerProcessor, currentFrame */
/** Hands over what comes in by its first channel, with the number of its first sample by the context's clock. */
class Hears extends AudioWorkletProcessor {
  process([input]) {
    const channel = input[0];
    if (channel) this.port.postMessage({ at: currentFrame, samples: channel.slice() });
    return true;
  }
}
registerProcessor('hears', Hears);
