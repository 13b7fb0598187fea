import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import wavefile from 'wavefile';
import { RATE_HZ } from '../core/src/signal/truth-for-cases';

/** Voices of nobody, by Debian's speech synthesiser: `apt install espeak-ng`. */

export interface Spoken {
  readonly voice: 'en-gb' | 'en-us+f3';
  readonly text: string;
  /** Words a minute */
  readonly pace: number;
}

/** @returns one channel at 48 kHz, −1 to 1 */
export const spoken = ({ voice, text, pace }: Spoken): Float64Array => {
  const folder = mkdtempSync(path.join(tmpdir(), 'voices-'));
  try {
    const file = path.join(folder, 'voice.wav');
    execFileSync('espeak-ng', ['-v', voice, '-s', String(pace), '-w', file, text]);
    const wav = new wavefile.WaveFile(readFileSync(file));
    wav.toBitDepth('32f');
    wav.toSampleRate(RATE_HZ);
    return Float64Array.from(wav.getSamples(false, Float64Array));
  } finally {
    rmSync(folder, { recursive: true });
  }
};

/** One after the other, each from its second on. */
export const conversation = (
  lengthS: number,
  parts: readonly { readonly fromS: number; readonly of: Float64Array }[],
): Float64Array => {
  const signal = new Float64Array(Math.round(lengthS * RATE_HZ));
  for (const { fromS, of } of parts)
    for (const [step, value] of of.entries()) {
      const at = Math.round(fromS * RATE_HZ) + step;
      if (at < signal.length) signal[at] = (signal[at] ?? 0) + value;
    }
  return signal;
};
