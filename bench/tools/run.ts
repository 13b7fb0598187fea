import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { align, LoudnessMeter } from '@echo-loom/core/signal';
import { programmeOf } from '../../core/src/signal/loudness-for-cases';
import { openWav, writeWav } from './wav';

/**
 * Beside the best general tools, in one run: loudness against ffmpeg's ebur128, where two dry recordings
 * lie against scipy's correlate; then both over an hour, by time and memory. Needs ffmpeg and python3-scipy,
 * which nothing else here does. `npm run tools [minutes]`
 */

const minutes = Number(process.argv[2] ?? 60);
const FILES = 40;
const folder = path.resolve('.local/tools');
const file = (name: string): string => path.join(folder, name);

/** What this same program does when it is started as one of the two that are measured. */
const asMeasured = async (): Promise<boolean> => {
  const [what, first = '', second = ''] = process.argv.slice(2);
  if (what === 'loudness') {
    const wav = openWav(first);
    const meter = new LoudnessMeter(wav.rateHz, wav.channels);
    for (const piece of wav.pieces(65_536)) meter.push(piece);
    console.log(meter.finish().lufs);
    return true;
  }
  if (what !== 'align') return false;
  const { isSure, offsetSamples } = await align(openWav(first), openWav(second));
  console.log(isSure, offsetSamples);
  return true;
};

/** A command as it runs: what it says, how long it took, and how much memory it had at most. */
const run = async (
  command: string,
  ...words: string[]
): Promise<{ says: string; s: number; mb: number }> => {
  const began = performance.now();
  const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'] });
  let [says, mb] = ['', 0];
  child.stdout.on('data', (data: Buffer) => (says += data.toString()));
  child.stderr.on('data', (data: Buffer) => (says += data.toString()));
  const look = setInterval(() => {
    try {
      const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
      mb = Math.max(mb, Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1000);
    } catch {
      // It has ended already.
    }
  }, 20);
  await new Promise((done) => child.once('close', done));
  clearInterval(look);
  return { says, s: (performance.now() - began) / 1000, mb };
};

const ffmpeg = (wav: string) =>
  run(
    'ffmpeg',
    '-nostats',
    '-hide_banner',
    '-i',
    wav,
    '-af',
    'ebur128=framelog=verbose',
    '-f',
    'null',
    '-',
  );
const lufsOf = (says: string): number =>
  Number(/Integrated loudness:\s+I:\s+(-?[\d.]+) LUFS/.exec(says)?.[1] ?? NaN);
const ours = (...words: string[]) => run(process.execPath, process.argv[1] ?? '', ...words);

const forty = async (): Promise<void> => {
  let worst = 0;
  const theirs: number[] = [];
  for (let seed = 1; seed <= FILES; seed++) {
    const { rateHz, channels } = programmeOf(seed);
    writeWav(file('programme.wav'), rateHz, channels[0]?.length ?? 0, (from, count) =>
      channels.map((signal) => signal.subarray(from, from + count)),
    );
    const meter = new LoudnessMeter(rateHz, channels.length);
    meter.push(channels);
    const lufs = lufsOf((await ffmpeg(file('programme.wav'))).says);
    theirs.push(lufs);
    // Of what is all silence ffmpeg says −70, where nothing is said here.
    worst = Math.max(worst, Math.abs((meter.finish().lufs ?? -70) - lufs));
  }
  console.log(`${FILES} programmes: the farthest from ffmpeg by ${worst.toFixed(3)} LU`);
  console.log(`  ffmpeg says ${theirs.join(', ')}`);
};

/** Louder and fainter, as syllables and pauses: another gain every 0.15 s. */
const loudAt = (syllable: number): number =>
  0.02 + 0.3 * (((syllable * 1_103_515_245 + 12_345) >>> 8) % 1000 > 600 ? 1 : 0.05);

/** Noise that is the same wherever it is asked for; the second recording begins some samples later. */
const noiseAt = (at: number): number => {
  let x = (at * 2_654_435_761) >>> 0;
  x = ((x ^ (x >>> 15)) * 2_246_822_519) >>> 0;
  x = ((x ^ (x >>> 13)) * 3_266_489_917) >>> 0;
  return loudAt(Math.floor(at / 7200)) * ((x >>> 8) / 8_388_608 - 1);
};
const noise = (name: string, rateHz: number, lengthS: number, later: number, channels: number) =>
  writeWav(file(name), rateHz, lengthS * rateHz, (from, count) =>
    Array.from({ length: channels }, () =>
      Float32Array.from({ length: count }, (_, at) => noiseAt(from + at + later)),
    ),
  );

const hour = async (): Promise<void> => {
  noise('hour.wav', 48_000, minutes * 60, 0, 2);
  const [we, they] = [await ours('loudness', file('hour.wav')), await ffmpeg(file('hour.wav'))];
  console.log(
    `loudness of ${minutes} min: ours ${Number(we.says).toFixed(2)} LUFS in ${we.s.toFixed(1)} s and ` +
      `${we.mb.toFixed(0)} MB, ffmpeg ${lufsOf(they.says)} in ${they.s.toFixed(1)} s and ${they.mb.toFixed(0)} MB: ` +
      `${(they.s / we.s).toFixed(2)} times as fast`,
  );
};

const shifts = async (): Promise<void> => {
  const LATER = [0, 1, 777, 48_000, 123_456];
  for (const later of LATER) {
    noise('a.wav', 48_000, 60, 0, 1);
    noise('b.wav', 48_000, 60, later, 1);
    const found = await ours('align', file('a.wav'), file('b.wav'));
    const theirs = spawnSync('/usr/bin/python3', [
      'bench/tools/correlate.py',
      file('a.wav'),
      file('b.wav'),
    ]).stdout.toString();
    console.log(`a dry shift of ${later}: ours ${found.says.trim()}, scipy ${theirs.trim()}`);
  }
  noise('a.wav', 48_000, minutes * 60, 0, 1);
  noise('b.wav', 48_000, minutes * 60, 98_765, 1);
  const we = await ours('align', file('a.wav'), file('b.wav'));
  const they = await run(
    '/usr/bin/python3',
    'bench/tools/correlate.py',
    file('a.wav'),
    file('b.wav'),
  );
  console.log(
    `a shift over ${minutes} min: ours ${we.says.trim()} in ${we.s.toFixed(1)} s and ${we.mb.toFixed(0)} MB, ` +
      `scipy ${they.says.trim()} in ${they.s.toFixed(1)} s and ${they.mb.toFixed(0)} MB: ` +
      `${(they.s / we.s).toFixed(2)} times as fast`,
  );
};

if (!(await asMeasured())) {
  mkdirSync(folder, { recursive: true });
  await forty();
  await hour();
  await shifts();
  rmSync(folder, { recursive: true });
}
