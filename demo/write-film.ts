import type * as Mediabunny from 'mediabunny';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { beepOf, FLASH_EVERY_S, FLASH_LASTS_S } from '../core/src/signal';
import { withEncoder } from './films';

/**
 * A film of our flashing page whose truth is known: its picture comes 150 ms late, its sound 6.3 ms. It
 * is encoded by the browser, 320 × 180 at 25 frames, so that nothing else is needed for it.
 */

const RATE_HZ = 48_000;
const FILM = {
  lengthS: 22,
  rate: 25,
  beginS: 0.4,
  pictureS: 0.15,
  soundS: 0.0063,
  everyS: FLASH_EVERY_S,
  lastsS: FLASH_LASTS_S,
  rateHz: RATE_HZ,
  beep: [...beepOf(RATE_HZ)],
};

const bytes = await withEncoder((page) =>
  page.evaluate(async (film) => {
    const { Output, WebMOutputFormat, BufferTarget, CanvasSource, AudioBufferSource } =
      (await import(
        // @ts-expect-error served by the route above
        'https://film.invalid/mediabunny.mjs'
      )) as typeof Mediabunny;
    const canvas = new OffscreenCanvas(320, 180);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    const target = new BufferTarget();
    const output = new Output({ format: new WebMOutputFormat(), target });
    const pictures = new CanvasSource(canvas, { codec: 'vp8', bitrate: 120_000 });
    const sounds = new AudioBufferSource({ codec: 'opus', bitrate: 48_000 });
    output.addVideoTrack(pictures, { frameRate: film.rate });
    output.addAudioTrack(sounds);
    await output.start();
    const samples = new Float32Array(film.lengthS * film.rateHz);
    for (let at = film.beginS + film.soundS; at < film.lengthS - 0.1; at += film.everyS)
      for (const [step, value] of film.beep.entries())
        samples[Math.round(at * film.rateHz) + step] = 0.5 * value;
    const buffer = new AudioBuffer({
      length: samples.length,
      sampleRate: film.rateHz,
      numberOfChannels: 1,
    });
    buffer.copyToChannel(samples, 0);
    await sounds.add(buffer);
    for (let frame = 0; frame < film.lengthS * film.rate; frame++) {
      const since = frame / film.rate - film.beginS - film.pictureS;
      context.fillStyle = '#555';
      context.fillRect(0, 0, 320, 180);
      context.fillStyle = since >= 0 && since % film.everyS < film.lastsS ? '#fff' : '#000';
      context.fillRect(30, 30, 140, 100);
      await pictures.add(frame / film.rate, 1 / film.rate);
    }
    await output.finalize();
    return [...new Uint8Array(target.buffer ?? new ArrayBuffer(0))];
  }, FILM),
);
writeFileSync(
  path.join(import.meta.dirname, '../web/public/ours/flash-and-beep.webm'),
  Uint8Array.from(bytes),
);
console.log(`${bytes.length} bytes; sound ${(1000 * (FILM.soundS - FILM.pictureS)).toFixed(1)} ms`);
