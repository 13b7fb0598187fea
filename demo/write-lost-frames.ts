import type * as Mediabunny from 'mediabunny';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { withEncoder } from './films';

/**
 * A film in which something is wrong, and where is known: at 25 frames, three are lost at 2.00 s and one at
 * 4.00 s, the picture stands still from 5.96 to 8.00 s, and it is black from 9.00 to 10.00 s.
 */

const FILM = {
  lengthS: 12,
  rate: 25,
  lost: [50, 51, 52, 100],
  still: { from: 150, to: 200 },
  black: { from: 225, to: 250 },
};

const bytes = await withEncoder((page) =>
  page.evaluate(async (film) => {
    const { Output, WebMOutputFormat, BufferTarget, CanvasSource } = (await import(
      // @ts-expect-error served by the route of withEncoder
      'https://film.invalid/mediabunny.mjs'
    )) as typeof Mediabunny;
    const canvas = new OffscreenCanvas(320, 180);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    const target = new BufferTarget();
    const output = new Output({ format: new WebMOutputFormat(), target });
    const pictures = new CanvasSource(canvas, { codec: 'vp8', bitrate: 150_000 });
    output.addVideoTrack(pictures, { frameRate: film.rate });
    await output.start();
    for (let frame = 0; frame < film.lengthS * film.rate; frame++) {
      const isStill = frame >= film.still.from && frame < film.still.to;
      const isBlack = frame >= film.black.from && frame < film.black.to;
      const moved = isStill ? film.still.from - 1 : frame;
      context.fillStyle = isBlack ? '#000' : '#665544';
      context.fillRect(0, 0, 320, 180);
      if (!isBlack) {
        // A bowl on a wheel: something pale that goes to and fro.
        context.fillStyle = '#d9c3a5';
        context.beginPath();
        context.ellipse(160 + 70 * Math.sin(moved / 4), 70, 34, 40, 0, 0, 2 * Math.PI);
        context.fill();
      }
      if (!film.lost.includes(frame)) await pictures.add(frame / film.rate, 1 / film.rate);
    }
    await output.finalize();
    return [...new Uint8Array(target.buffer ?? new ArrayBuffer(0))];
  }, FILM),
);
writeFileSync(
  path.join(import.meta.dirname, '../web/public/ours/lost-frames.webm'),
  Uint8Array.from(bytes),
);
console.log(`${bytes.length} bytes; ${FILM.lost.length} frames lost`);
