import { beepOf, FLASH_EVERY_S, ROUND_TRIP_BEEPS } from '@echo-loom/core/signal';
import { useCallback, useEffect, useRef, useState } from 'react';
import { deviceProblem, UNTOUCHED } from './useRecording';

/** What came in while beeps went out. */
export interface Heard {
  readonly samples: Float32Array;
  readonly rateHz: number;
  /** When the first beep went out, by the number of samples. @unit s */
  readonly firstS: number;
}

type At =
  | { readonly state: 'idle' }
  | { readonly state: 'playing'; readonly heard: number }
  | { readonly state: 'failed'; readonly says: string };

/** The first beep comes so long after it was asked for. @unit s */
const WAIT_S = 0.5;
/** After the last beep there is time for it to come back. @unit s */
const AFTER_S = 1.2;

interface Piece {
  readonly at: number;
  readonly samples: Float32Array;
}

/** Pieces as one signal, from the first sample of the first of them. */
const joined = (pieces: readonly Piece[]): Float32Array => {
  const from = pieces[0]?.at ?? 0;
  const last = pieces.at(-1);
  const out = new Float32Array(last ? last.at - from + last.samples.length : 0);
  for (const { at, samples } of pieces) out.set(samples, at - from);
  return out;
};

const playBeeps = (audio: AudioContext, fromS: number): void => {
  const beep = beepOf(audio.sampleRate);
  const buffer = audio.createBuffer(1, beep.length, audio.sampleRate);
  buffer.copyToChannel(new Float32Array(beep), 0);
  for (let index = 0; index < ROUND_TRIP_BEEPS; index++) {
    const source = audio.createBufferSource();
    source.buffer = buffer;
    source.connect(audio.destination);
    source.start(fromS + index * FLASH_EVERY_S);
  }
};

/** Plays beeps and hears what comes in, both by the clock of one sound card. */
export const useRoundTrip = (
  onHeard: (heard: Heard) => void,
): { readonly at: At; readonly play: () => void; readonly stop: () => void } => {
  const [at, setAt] = useState<At>({ state: 'idle' });
  const end = useRef<(() => void) | null>(null);
  useEffect(() => () => end.current?.(), []);
  const stop = useCallback(() => {
    end.current?.();
    end.current = null;
    setAt({ state: 'idle' });
  }, []);
  const play = useCallback(() => {
    setAt({ state: 'playing', heard: 0 });
    const audio = new AudioContext({ latencyHint: 'interactive' });
    let stream: MediaStream | null = null;
    let isOver = false;
    const close = () => {
      isOver = true;
      stream?.getTracks().forEach((track) => track.stop());
      void audio.close();
    };
    end.current = close;
    const begin = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ audio: UNTOUCHED });
      if (isOver) {
        stream.getTracks().forEach((track) => track.stop());
        return;
      }
      await audio.audioWorklet.addModule('/hears.worklet.js');
      await audio.resume();
      const hears = new AudioWorkletNode(audio, 'hears');
      const pieces: Piece[] = [];
      const fromS = audio.currentTime + WAIT_S;
      const untilS = fromS + (ROUND_TRIP_BEEPS - 1) * FLASH_EVERY_S + AFTER_S;
      hears.port.onmessage = ({ data }: MessageEvent<Piece>) => {
        if (isOver) return;
        pieces.push(data);
        const nowS = (data.at + data.samples.length) / audio.sampleRate;
        const heard = Math.min(
          ROUND_TRIP_BEEPS,
          Math.max(0, 1 + Math.floor((nowS - fromS) / FLASH_EVERY_S)),
        );
        setAt((was) =>
          was.state === 'playing' && was.heard === heard ? was : { state: 'playing', heard },
        );
        if (nowS < untilS) return;
        const firstS = fromS - (pieces[0]?.at ?? 0) / audio.sampleRate;
        close();
        setAt({ state: 'idle' });
        onHeard({ samples: joined(pieces), rateHz: audio.sampleRate, firstS });
      };
      audio.createMediaStreamSource(stream).connect(hears);
      // Not heard, but only what leads to the output is run.
      const silent = audio.createGain();
      silent.gain.value = 0;
      hears.connect(silent).connect(audio.destination);
      playBeeps(audio, fromS);
    };
    begin().catch((error: unknown) => {
      if (isOver) return;
      close();
      setAt({ state: 'failed', says: deviceProblem(error) });
    });
  }, [onHeard]);
  return { at, play, stop };
};
