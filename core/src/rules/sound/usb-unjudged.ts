import type { PortNode } from '../../graph';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** What a microphone with its own converter is known by, where it is plugged in. */
const digitalLevel = (port: PortNode): number | null => {
  const sound = port.port.emits?.sound;
  return sound?.type === 'digital' ? sound.levelDbfs : null;
};

export const usbUnjudged = eachSoundRule<PortNode>(
  'sound.usb-unjudged',
  {
    looksFor: 'A microphone with its own converter, of which only the level it sends is known.',
    why: 'Without its sensitivity, noise and pattern nobody can say how far the voice stands over the room.',
    remedy: 'Listen to a recording of the empty room and of the voice before the show.',
    source: 'handbook 2-sound, judging sound rightly: where figures are not given, say so',
  },
  {
    all: (measured) =>
      measured.graph.ports.filter(
        (port) =>
          port.device.model.kind === 'microphone' &&
          port.links.length > 0 &&
          digitalLevel(port) !== null &&
          measured.device(port.device).personId !== null,
      ),
    about: (port) => at({ deviceId: port.device.id, portId: port.id }),
    judge: (port, measured) => ({
      level: 'note',
      title: 'Not judged against the room',
      says:
        `${measured.device(port.device).name} is taken to send ${figure(digitalLevel(port) ?? NaN)} dBFS, ` +
        'as its class usually does. Its distance, the noise of the room and the echo are not judged: ' +
        'the class gives no sensitivity, noise or pattern.',
    }),
  },
);
