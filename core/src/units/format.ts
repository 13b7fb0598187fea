import { rate, type Rate, rateName, rateToHz, sameRate } from './rate';

/** A picture format. Written in documents as `1920x1080p60` or `1920x1080p60000/1001`. */
export interface Format {
  /** @unit pixels @min 1 */
  readonly width: number;
  /** @unit pixels @min 1 */
  readonly height: number;
  /** Progressive, or interlaced (then the rate counts fields). */
  readonly scan: 'p' | 'i';
  readonly rate: Rate;
}

export const FORMAT_PATTERN =
  /^([1-9]\d{1,4})x([1-9]\d{1,4})([pi])([1-9]\d{0,6})(?:\/([1-9]\d{0,4}))?$/;

/** Whether a text names a format; a control's value may say something else, such as `as received`. */
export const isFormatText = (text: string): boolean => FORMAT_PATTERN.test(text);

const parsed = new Map<string, Format>();
/**
 * Only the catalogue's few dozen formats and a user's own ever get here; the bound keeps a hostile
 * file from growing it.
 */
const PARSED_LIMIT = 1000;

/** @throws RangeError for text that is not a format; documents have been checked before */
export const parseFormat = (text: string): Format => {
  const known = parsed.get(text);
  if (known) return known;
  const match = FORMAT_PATTERN.exec(text);
  if (!match)
    throw new RangeError(
      `"${text}" is not a picture format; write it like 1920x1080p60 or 1920x1080p60000/1001`,
    );
  const format: Format = {
    width: Number(match[1]),
    height: Number(match[2]),
    scan: match[3] === 'i' ? 'i' : 'p',
    rate: rate(Number(match[4]), Number(match[5] ?? 1)),
  };
  if (parsed.size < PARSED_LIMIT) parsed.set(text, format);
  return format;
};

/** As spoken: 1080p60, 2160p29.97; sizes that are not 16:9 are written in full. */
export const formatName = ({ width, height, scan, rate: r }: Format): string =>
  `${width * 9 === height * 16 ? height : `${width}×${height}`}${scan}${rateName(r)}`;

/** A format as the document writes it: 1920x1080p60000/1001. */
export const formatText = ({ width, height, scan, rate: { num, den } }: Format): string =>
  `${width}x${height}${scan}${num}${den === 1 ? '' : `/${den}`}`;

/** Size, scan and exact rate all the same. */
export const isSameFormat = (a: Format, b: Format): boolean =>
  a === b ||
  (a.width === b.width && a.height === b.height && a.scan === b.scan && sameRate(a.rate, b.rate));

/** Frames per second: half the field rate when interlaced. @unit Hz */
export const framesPerSecond = (format: Format): number =>
  rateToHz(format.rate) / (format.scan === 'i' ? 2 : 1);

/** Pixels shown per second. */
export const pixelsPerSecond = (format: Format): number =>
  format.width * format.height * framesPerSecond(format);

/**
 * Total line and frame lengths, blanking included, of the broadcast sizes. @source SMPTE ST 274, ST
 * 296, ST 2036-1; CTA-861
 */
const LINE_TOTALS: Readonly<
  Record<
    string,
    { lines: number; at60: number; at50: number; at24: number; at30?: number; at25?: number }
  >
> = {
  '1280x720': { lines: 750, at60: 1650, at50: 1980, at24: 4125, at30: 3300, at25: 3960 },
  '1920x1080': { lines: 1125, at60: 2200, at50: 2640, at24: 2750 },
  '3840x2160': { lines: 2250, at60: 4400, at50: 5280, at24: 5500 },
};

/**
 * Pixel clock of a format on a cable, blanking included.
 * @unit Hz
 * @returns null for sizes whose blanking is not standard: then the link's load cannot be told
 */
export const pixelClockHz = (format: Format): number | null => {
  const totals = LINE_TOTALS[`${format.width}x${format.height}`];
  if (!totals) return null;
  const hz = Math.round(rateToHz(format.rate));
  const perLine =
    hz === 24
      ? totals.at24
      : hz === 25
        ? (totals.at25 ?? totals.at50)
        : hz === 30
          ? (totals.at30 ?? totals.at60)
          : hz === 50
            ? totals.at50
            : hz === 60
              ? totals.at60
              : null;
  if (perLine === null) return null;
  return (perLine * totals.lines * rateToHz(format.rate)) / (format.scan === 'i' ? 2 : 1);
};

export type PictureStandard = 'hdmi' | 'sdi';
export type Chroma = 'rgb' | '4:2:2' | '4:2:0';

/**
 * Bits a pixel takes on a link. HDMI carries 4:2:2 of up to 12 bits in the room of 8-bit RGB; SDI carries 10-bit 4:2:2.
 * @param bits per colour, 8 or 10 @source CTA-861; SMPTE ST 292
 */
export const linkBitsPerPixel = (
  standard: PictureStandard,
  chroma: Chroma,
  bits: number,
): number =>
  standard === 'sdi' ? 20 : chroma === '4:2:2' ? 24 : chroma === '4:2:0' ? 1.5 * bits : 3 * bits;

/** `parseFormat` gives one object for one text, so each format's clock is worked out once. */
const pixelClocks = new WeakMap<Format, number | null>();

/**
 * Load of a format on a link of the given standard.
 * @param bitsPerPixel on that link; 8-bit RGB on HDMI and 10-bit 4:2:2 on SDI where nothing else is said
 * @unit Gb/s
 * @returns null where the pixel clock is unknown
 * @source handbook 3-picture: 1080p60 3.564 Gb/s; SMPTE ST 424: 2.97 Gb/s
 */
export const linkPayloadGbps = (
  format: Format,
  standard: PictureStandard,
  bitsPerPixel = standard === 'hdmi' ? 24 : 20,
): number | null => {
  let clock = pixelClocks.get(format);
  if (clock === undefined) {
    clock = pixelClockHz(format);
    pixelClocks.set(format, clock);
  }
  return clock === null ? null : (clock * bitsPerPixel) / 1e9;
};

/**
 * Data rate of an unblanked picture stream.
 * @param bitsPerPixel 16 or 12 uncompressed; less when compressed
 * @unit MB/s (10⁶ bytes)
 */
export const streamMBps = (format: Format, bitsPerPixel: number): number =>
  (pixelsPerSecond(format) * bitsPerPixel) / 8e6;

/**
 * What is left of each pixel of a delivered picture. Under 0.05 a common 8-bit codec begins to
 * show, under 0.03 it is seen.
 * @param bitrateMbps Mb/s @unit bits per pixel @source handbook 3-picture
 */
export const deliveredBitsPerPixel = (format: Format, bitrateMbps: number): number =>
  (bitrateMbps * 1e6) / pixelsPerSecond(format);
