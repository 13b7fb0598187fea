import { closeSync, openSync, readSync, statSync, writeSync } from 'node:fs';
import type { Recording } from '@echo-loom/core/signal';

/** Files of 16 bits, written and read a piece at a time: as plain as what the tools beside us read. */

const HEAD = 44;

/** @param fill gives so many samples of every channel, from a number on, −1 to 1, one channel after the other */
export const writeWav = (
  file: string,
  rateHz: number,
  samples: number,
  fill: (from: number, count: number) => readonly Float32Array[],
): void => {
  const channels = fill(0, 1).length;
  const head = Buffer.alloc(HEAD);
  const bytes = samples * channels * 2;
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + bytes, 4);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(channels, 22);
  head.writeUInt32LE(rateHz, 24);
  head.writeUInt32LE(rateHz * channels * 2, 28);
  head.writeUInt16LE(channels * 2, 32);
  head.writeUInt16LE(16, 34);
  head.write('data', 36);
  head.writeUInt32LE(bytes, 40);
  const to = openSync(file, 'w');
  writeSync(to, head);
  for (let from = 0; from < samples; from += rateHz) {
    const count = Math.min(rateHz, samples - from);
    const piece = fill(from, count);
    const out = new Int16Array(count * channels);
    for (const [channel, signal] of piece.entries())
      for (let at = 0; at < count; at++)
        out[at * channels + channel] = Math.round(32_768 * (signal[at] ?? 0));
    writeSync(to, Buffer.from(out.buffer));
  }
  closeSync(to);
};

export interface WavFile extends Recording {
  readonly channels: number;
  pieces(count: number): Generator<Float32Array[]>;
  close(): void;
}

export const openWav = (file: string): WavFile => {
  const from = openSync(file, 'r');
  const head = Buffer.alloc(HEAD);
  readSync(from, head, 0, HEAD, 0);
  const channels = head.readUInt16LE(22);
  const rateHz = head.readUInt32LE(24);
  const samples = (statSync(file).size - HEAD) / 2 / channels;
  const raw = (at: number, count: number): Int16Array => {
    const bytes = Buffer.allocUnsafeSlow(count * channels * 2);
    readSync(from, bytes, 0, bytes.length, HEAD + at * channels * 2);
    return new Int16Array(bytes.buffer, bytes.byteOffset, count * channels);
  };
  return {
    rateHz,
    samples,
    channels,
    read: (at, count) => {
      const begin = Math.max(0, at);
      const end = Math.min(samples, at + count);
      const out = new Float32Array(count);
      if (end > begin) {
        const values = raw(begin, end - begin);
        for (let n = 0; n < end - begin; n++)
          out[begin - at + n] = (values[n * channels] ?? 0) / 32_768;
      }
      return Promise.resolve(out);
    },
    *pieces(count) {
      for (let at = 0; at < samples; at += count) {
        const some = Math.min(count, samples - at);
        const values = raw(at, some);
        const piece = Array.from({ length: channels }, () => new Float32Array(some));
        for (const [channel, signal] of piece.entries())
          for (let n = 0; n < some; n++)
            signal[n] = (values[n * channels + channel] as number) * (1 / 32_768);
        yield piece;
      }
    },
    close: () => closeSync(from),
  };
};
