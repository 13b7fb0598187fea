import { FLASH_MOST_S, type Frame } from '@echo-loom/core/signal';
import {
  ALL_FORMATS,
  BlobSource,
  CanvasSink,
  EncodedPacketSink,
  Input,
  type InputVideoTrack,
} from 'mediabunny';
import { UnreadableFile } from './sound-file';

/** The picture of a film: what it is by its packets, and its frames where this browser reads them. */

/** Cells a picture is looked at in. */
const CELLS = { width: 32, height: 18 } as const;
/** A still is so wide. @unit pixels */
const STILL_WIDTH = 480;
/** Frames are looked at in the first minute alone. @unit s */
export const FRAMES_MOST_S = FLASH_MOST_S;

/** One picture of a film. */
export interface Still {
  readonly atS: number;
  /** @unit pixels */
  readonly width: number;
  readonly height: number;
  /** How bright each pixel is, 0 to 255, row by row */
  readonly lumas: Uint8Array;
  /** As an address that a page can show */
  readonly image: string;
}

export interface FilmFile {
  readonly codec: string;
  /** @unit pixels, as it is shown */
  readonly width: number;
  readonly height: number;
  readonly lengthS: number;
  /** Whether white is 255 and black 0, or 235 and 16; null where the file does not say */
  readonly isFullRange: boolean | null;
  readonly isHdr: boolean;
  /** Why its pictures are not read by this browser, and what would help; null where they are */
  readonly unread: string | null;
  /** When each frame is shown, of the whole film, in the order they are packed in */
  times(tell: (share: number) => void): Promise<number[]>;
  /** Of the first minute, in 32 × 18 cells; none where they are not read */
  frames(tell: (share: number) => void): Promise<Frame[]>;
  /** @returns null where there is none, or it is not read */
  still(atS: number): Promise<Still | null>;
  close(): void;
}

/** How bright a pixel is. @source ITU-R BT.709 */
const luma = (pixels: Uint8ClampedArray, at: number): number =>
  0.2126 * (pixels[at] ?? 0) + 0.7152 * (pixels[at + 1] ?? 0) + 0.0722 * (pixels[at + 2] ?? 0);

const pixelsOf = (
  canvas: HTMLCanvasElement | OffscreenCanvas,
): Uint8ClampedArray<ArrayBufferLike> => {
  const context = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D | null;
  if (!context) throw new Error('This browser draws no pictures here.');
  return context.getImageData(0, 0, canvas.width, canvas.height).data;
};

const cellsOf = (canvas: HTMLCanvasElement | OffscreenCanvas): Float32Array => {
  const pixels = pixelsOf(canvas);
  return Float32Array.from({ length: CELLS.width * CELLS.height }, (_, cell) =>
    luma(pixels, 4 * cell),
  );
};

const timesOf = async (
  track: InputVideoTrack,
  lengthS: number,
  tell: (share: number) => void,
): Promise<number[]> => {
  const times: number[] = [];
  const packets = new EncodedPacketSink(track).packets(undefined, undefined, {
    metadataOnly: true,
  });
  for await (const { timestamp } of packets) {
    times.push(timestamp);
    if (times.length % 500 === 0) tell(Math.min(1, timestamp / lengthS));
  }
  return times;
};

const framesOf = async (
  track: InputVideoTrack,
  lengthS: number,
  tell: (share: number) => void,
): Promise<Frame[]> => {
  const untilS = Math.min(FRAMES_MOST_S, lengthS);
  const sink = new CanvasSink(track, { ...CELLS, fit: 'fill', poolSize: 1 });
  const frames: Frame[] = [];
  for await (const { canvas, timestamp } of sink.canvases(0, untilS)) {
    frames.push({ atS: timestamp, cells: cellsOf(canvas) });
    tell(timestamp / untilS);
  }
  return frames;
};

/** A picture as an address that holds it. */
const addressOf = async (image: Blob): Promise<string> => {
  const bytes = new Uint8Array(await image.arrayBuffer());
  return `data:${image.type};base64,${btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))}`;
};

const stillOf = async (track: InputVideoTrack, atS: number): Promise<Still | null> => {
  const wide = await track.getDisplayWidth();
  const high = await track.getDisplayHeight();
  const width = Math.min(STILL_WIDTH, wide);
  const height = Math.max(1, Math.round((width * high) / wide));
  const found = await new CanvasSink(track, { width, height, fit: 'fill' }).getCanvas(atS);
  if (!found) return null;
  const { canvas, timestamp } = found;
  const pixels = pixelsOf(canvas);
  const copy = new OffscreenCanvas(width, height);
  copy.getContext('2d')?.drawImage(canvas, 0, 0);
  return {
    atS: timestamp,
    width,
    height,
    lumas: Uint8Array.from({ length: width * height }, (_, at) => Math.round(luma(pixels, 4 * at))),
    image: await addressOf(await copy.convertToBlob({ type: 'image/jpeg' })),
  };
};

/** @throws UnreadableFile where there is no picture in it */
export const openFilm = async (file: File): Promise<FilmFile> => {
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(file) });
  try {
    const track = await input.getPrimaryVideoTrack().catch(() => {
      throw new UnreadableFile(`${file.name} is no film that can be read here.`);
    });
    if (!track) throw new UnreadableFile(`${file.name} has no picture in it.`);
    const codec = (await track.getCodec()) ?? 'unknown';
    const canDecode = await track.canDecode();
    const lengthS = await track.computeDuration();
    return {
      codec,
      width: await track.getDisplayWidth(),
      height: await track.getDisplayHeight(),
      lengthS,
      isFullRange: (await track.getColorSpace()).fullRange ?? null,
      isHdr: await track.hasHighDynamicRange(),
      unread: canDecode
        ? null
        : `The pictures of ${file.name} (${codec}) are not read by this browser. H.264, VP8, VP9 and ` +
          'AV1 are: on a phone the setting is often called “most compatible”.',
      times: (tell) => timesOf(track, lengthS, tell),
      frames: (tell) => (canDecode ? framesOf(track, lengthS, tell) : Promise.resolve([])),
      still: (atS) => (canDecode ? stillOf(track, atS) : Promise.resolve(null)),
      close: () => input.dispose(),
    };
  } catch (error) {
    input.dispose();
    throw error;
  }
};
