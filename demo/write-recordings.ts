import { writeFileSync } from 'node:fs';
import path from 'node:path';
import wavefile from 'wavefile';
import { clap, clapPair, RATE_HZ, responseOf } from '../core/src/signal/truth-for-cases';
import { seeded } from '@echo-loom/core';

/** Recordings of ours whose truth is known, to try measuring with: made here, so that none is of anybody. */

const TO = path.join(import.meta.dirname, '../web/public/ours');

/** @param signal −1 to 1 */
const write = (name: string, signal: ArrayLike<number>, gain: number): void => {
  const wav = new wavefile.WaveFile();
  const samples = Int16Array.from(signal, (value) =>
    Math.max(-32_767, Math.min(32_767, Math.round(32_767 * gain * value))),
  );
  wav.fromScratch(1, RATE_HZ, '16', samples);
  writeFileSync(path.join(TO, name), wav.toBuffer());
};

/** Two recorders in one room; how far they are apart is said, and asked for in `e2e/measure.spec.ts`. */
const { a, b, offsetMs } = clapPair(2, { claps: 2, snrDb: 20, rt60S: 0.4 });
write('clap-camera.wav', a, 0.5);
write('clap-recorder.wav', b, 0.5);
console.log(`clap-recorder.wav is ${offsetMs.toFixed(2)} ms later than clap-camera.wav`);

/** One clap in a room that rings 0.45 s, 55 dB over its noise. */
const chance = seeded(7);
const wet = new Float64Array(Math.round(2.4 * RATE_HZ));
const response = responseOf(chance, [6, 4.5, 2.8], [1.4, 1.1, 1.3], [4.2, 3, 1.2], 0.45);
const dry = clap(chance);
for (const [at, value] of dry.entries())
  for (const [step, answer] of response.entries()) {
    const place = Math.round(0.4 * RATE_HZ) + at + step;
    wet[place] = (wet[place] ?? 0) + value * answer;
  }
const loudest = wet.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
write(
  'clap-in-room.wav',
  wet.map((value) => (0.9 * value) / loudest + chance.integer(-1000, 1000) / 1e6),
  1,
);

/** Something like a voice: words with pauses over hiss and a hum of 50 Hz, two seconds of nothing at the end. */
const voice = Float64Array.from({ length: 6 * RATE_HZ }, (_, at) => {
  const s = at / RATE_HZ;
  const isSaid = s < 3.8 && s % 0.42 < 0.3;
  const shape = isSaid ? Math.sin((Math.PI * (s % 0.42)) / 0.3) : 0;
  const pitch = 120 + 20 * Math.sin(2 * Math.PI * 0.7 * s);
  const tones = [1, 2, 3, 4, 5, 6, 7, 8].reduce(
    (sum, times) => sum + Math.sin(2 * Math.PI * pitch * times * s) / times,
    0,
  );
  const hum = 0.002 * Math.sin(2 * Math.PI * 50 * s) + 0.001 * Math.sin(2 * Math.PI * 150 * s);
  return 0.12 * shape * tones + hum + chance.integer(-1000, 1000) / 4e6;
});
write('voice.wav', voice, 1);
