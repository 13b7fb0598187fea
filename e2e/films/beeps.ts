import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import wavefile from 'wavefile';
import { beepOf, FLASH_EVERY_S } from '../../core/src/signal';

const RATE_HZ = 16_000;
/** A browser's own microphone begins anew with a gap: this is longer than any test listens. */
const BEEPS = 60;

/** What the browser's own microphone of its tests hears: a beep at our interval. @returns the file's path */
export const writeBeeps = (folder: string): string => {
  const samples = new Int16Array(Math.round(BEEPS * FLASH_EVERY_S * RATE_HZ));
  for (let index = 0; index < BEEPS; index++)
    for (const [at, value] of beepOf(RATE_HZ).entries())
      samples[Math.round((0.25 + index * FLASH_EVERY_S) * RATE_HZ) + at] = Math.round(
        16_000 * value,
      );
  const wav = new wavefile.WaveFile();
  wav.fromScratch(1, RATE_HZ, '16', samples);
  const file = path.join(folder, 'beeps.wav');
  mkdirSync(folder, { recursive: true });
  writeFileSync(file, wav.toBuffer());
  return file;
};
