import { writeFileSync } from 'node:fs';
import path from 'node:path';
import wavefile from 'wavefile';
import { seeded } from '@echo-loom/core';
import { clap, heardThrough, RATE_HZ, responseOf } from '../core/src/signal/truth-for-cases';
import { conversation, spoken } from './voices';

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

/** Two voices of nobody: a sentence each. */
const host = spoken({
  voice: 'en-gb',
  pace: 165,
  text: 'The clay stands still, and the wheel goes round.',
});
const guest = spoken({ voice: 'en-us+f3', pace: 170, text: 'Then we wait for the kiln.' });
const hiss = () => chance.integer(-1000, 1000) / 4e6;

/** A voice over hiss and a hum of 50 Hz and its third, two seconds of nothing at the end. */
const alone = conversation(6, [{ fromS: 0.2, of: host }]);
write(
  'voice.wav',
  alone.map((value, at) => {
    const s = at / RATE_HZ;
    const hum = 0.002 * Math.sin(2 * Math.PI * 50 * s) + 0.001 * Math.sin(2 * Math.PI * 150 * s);
    return 0.3 * value + hum + hiss();
  }),
  1,
);

/** The two of them as two recorders hear them, at 1.1 and 2.6 m in a room of image sources, after two claps. */
const both = conversation(6.4, [
  { fromS: 0.8, of: clap(chance) },
  { fromS: 1.3, of: clap(chance) },
  { fromS: 1.9, of: host.map((value) => 0.4 * value) },
  { fromS: 2.1 + host.length / RATE_HZ, of: guest.map((value) => 0.4 * value) },
]);
const [near, far] = [
  [2.5, 1.3, 1.2],
  [4, 1.3, 1.2],
].map(([x = 0, y = 0, z = 0]) =>
  heardThrough(both, responseOf(chance, [6, 4.5, 2.8], [1.4, 1.3, 1.2], [x, y, z], 0.3)),
);
const LATER_S = 0.4;
const heard = (of: Float64Array | undefined, fromS: number): Float64Array =>
  (of ?? both).slice(Math.round(fromS * RATE_HZ), Math.round((fromS + 5.2) * RATE_HZ));
write(
  'clap-camera.wav',
  heard(far, 0).map((value) => value + hiss()),
  0.5,
);
write(
  'clap-recorder.wav',
  heard(near, LATER_S).map((value) => value + hiss()),
  0.5,
);
const airMs = (1000 * (1.1 - 2.6)) / 343.2;
console.log(
  `clap-recorder.wav is ${(airMs - 1000 * LATER_S).toFixed(2)} ms later than clap-camera.wav`,
);
