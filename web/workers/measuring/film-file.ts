import { FLASH_MOST_S, type Frame } from '@echo-loom/core/signal';
import { ALL_FORMATS, BlobSource, CanvasSink, Input } from 'mediabunny';
import { UnreadableFile } from './sound-file';

/** Cells a picture is looked at in. */
const CELLS = { width: 32, height: 18 } as const;

/** How bright a pixel is. @source ITU-R BT.709 */
const luma = (pixels: Uint8ClampedArray, at: number): number =>
  0.2126 * (pixels[at] ?? 0) + 0.7152 * (pixels[at + 1] ?? 0) + 0.0722 * (pixels[at + 2] ?? 0);

const cellsOf = (canvas: HTMLCanvasElement | OffscreenCanvas): Float32Array => {
  const context = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D | null;
  const pixels = context?.getImageData(0, 0, CELLS.width, CELLS.height).data;
  return Float32Array.from({ length: CELLS.width * CELLS.height }, (_, cell) =>
    pixels ? luma(pixels, 4 * cell) : 0,
  );
};

/**
 * Frames of a film's first minute, in 32 × 18 cells.
 * @param tell how far it is, 0 to 1 @throws UnreadableFile where there are no pictures this browser reads
 */
export const framesOf = async (file: File, tell: (share: number) => void): Promise<Frame[]> => {
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const track = await input.getPrimaryVideoTrack().catch(() => {
      throw new UnreadableFile(`${file.name} is no film that can be read here.`);
    });
    if (!track) throw new UnreadableFile(`${file.name} has no picture in it.`);
    const codec = (await track.getCodec()) ?? 'unknown';
    if (!(await track.canDecode()))
      throw new UnreadableFile(
        `The pictures of ${file.name} (${codec}) are not read by this browser. H.264, VP8, VP9 and AV1 ` +
          'are: on a phone the setting is often called “most compatible”.',
      );
    const lengthS = Math.min(FLASH_MOST_S, await track.computeDuration());
    const sink = new CanvasSink(track, { ...CELLS, fit: 'fill', poolSize: 1 });
    const frames: Frame[] = [];
    for await (const { canvas, timestamp } of sink.canvases(0, lengthS)) {
      frames.push({ atS: timestamp, cells: cellsOf(canvas) });
      tell(timestamp / lengthS);
    }
    return frames;
  } finally {
    input.dispose();
  }
};
