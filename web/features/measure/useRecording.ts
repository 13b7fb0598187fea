import { useCallback, useEffect, useRef, useState } from 'react';

/** Something recorded by this browser, from a microphone and, where it is wanted, a camera. */

/** What a browser does to a voice in a call would be measured with it: all of it is off. */
export const UNTOUCHED = {
  echoCancellation: false,
  noiseSuppression: false,
  autoGainControl: false,
} as const;

type At =
  | { readonly state: 'idle' }
  | { readonly state: 'asking' }
  | { readonly state: 'recording'; readonly leftS: number }
  | { readonly state: 'failed'; readonly says: string };

/** Why a microphone or camera was not given. */
export const deviceProblem = (error: unknown): string => {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError')
    return 'The browser was not allowed to use it. Allow it beside the address, and try again.';
  if (name === 'NotFoundError') return 'No such device is connected to this machine.';
  if (name === 'NotReadableError') return 'Another program keeps it. Close that, and try again.';
  return error instanceof Error ? error.message : String(error);
};

const BITS_PER_S = { audioBitsPerSecond: 256_000, videoBitsPerSecond: 4_000_000 } as const;

/** Records some seconds and hands them over as a file. Nothing is kept, and the devices are let go of. */
export const useRecording = (
  withPicture: boolean,
  lengthS: number,
  onFile: (file: File) => void,
): { readonly at: At; readonly begin: () => void; readonly stop: () => void } => {
  const [at, setAt] = useState<At>({ state: 'idle' });
  const release = useRef<(() => void) | null>(null);
  const recorder = useRef<MediaRecorder | null>(null);
  useEffect(
    () => () => {
      release.current?.();
      release.current = null;
    },
    [],
  );
  const begin = useCallback(() => {
    setAt({ state: 'asking' });
    let isLeft = false;
    release.current = () => {
      isLeft = true;
    };
    navigator.mediaDevices
      .getUserMedia({ audio: UNTOUCHED, video: withPicture })
      .then((stream) => {
        const close = () => stream.getTracks().forEach((track) => track.stop());
        if (isLeft) {
          close();
          return;
        }
        const pieces: Blob[] = [];
        const recording = new MediaRecorder(stream, BITS_PER_S);
        const beganMs = performance.now();
        const clock = setInterval(() => {
          const leftS = Math.ceil(lengthS - (performance.now() - beganMs) / 1000);
          if (leftS <= 0) recording.stop();
          else setAt({ state: 'recording', leftS });
        }, 250);
        const end = () => {
          clearInterval(clock);
          close();
          recorder.current = null;
        };
        release.current = () => {
          isLeft = true;
          end();
        };
        recording.ondataavailable = ({ data }) => pieces.push(data);
        recording.onstop = () => {
          end();
          if (isLeft) return;
          setAt({ state: 'idle' });
          onFile(new File(pieces, 'recorded here.webm', { type: recording.mimeType }));
        };
        recorder.current = recording;
        recording.start();
        setAt({ state: 'recording', leftS: lengthS });
      })
      .catch((error: unknown) => {
        if (!isLeft) setAt({ state: 'failed', says: deviceProblem(error) });
      });
  }, [withPicture, lengthS, onFile]);
  const stop = useCallback(() => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  return { at, begin, stop };
};
