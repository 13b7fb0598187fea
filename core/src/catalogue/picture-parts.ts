import { AS_RECEIVED, BEST_THAT_FITS, READ_AS } from '../rig/devices/encoding';
import type { Control } from '../rig/devices/model';
import type { PicturePort } from '../rig/devices/ports';
import { parseFormat } from '../units';
import { choice } from './parts';

const FORMAT_LABELS = {
  '1280x720p30': '720p30',
  '1280x720p60': '720p60',
  '1920x1080p24000/1001': '1080p23.98',
  '1920x1080p25': '1080p25',
  '1920x1080p30000/1001': '1080p29.97',
  '1920x1080p30': '1080p30',
  '1920x1080p50': '1080p50',
  '1920x1080p60000/1001': '1080p59.94',
  '1920x1080p60': '1080p60',
  '1920x1080i50': '1080i50',
  '1920x1080i60': '1080i60',
  '3840x2160p24000/1001': '2160p23.98',
  '3840x2160p25': '2160p25',
  '3840x2160p30000/1001': '2160p29.97',
  '3840x2160p30': '2160p30',
  '3840x2160p50': '2160p50',
  '3840x2160p60': '2160p60',
} as const;

export type FormatText = keyof typeof FORMAT_LABELS;

export const HD_30: readonly FormatText[] = [
  '1280x720p30',
  '1920x1080p25',
  '1920x1080p30000/1001',
  '1920x1080p30',
];

export const HD_60: readonly FormatText[] = [
  ...HD_30,
  '1280x720p60',
  '1920x1080p24000/1001',
  '1920x1080p50',
  '1920x1080p60000/1001',
  '1920x1080p60',
  '1920x1080i50',
  '1920x1080i60',
];

export const UHD_30: readonly FormatText[] = [
  ...HD_60,
  '3840x2160p24000/1001',
  '3840x2160p25',
  '3840x2160p30000/1001',
  '3840x2160p30',
];

export const UHD_60: readonly FormatText[] = [...UHD_30, '3840x2160p50', '3840x2160p60'];

/** What a program mixes pictures in: whole ones, up to 2160p30. */
export const CANVASES: readonly FormatText[] = UHD_30.filter(
  (text) => parseFormat(text).scan === 'p',
);

/** Formats a rig may be wanted in, as they are read. */
export const WANTED_FORMATS: readonly { readonly value: string; readonly label: string }[] =
  UHD_60.filter((text) => {
    const { scan, height } = parseFormat(text);
    return scan === 'p' && height >= 1080;
  }).map((value) => ({
    value,
    label: FORMAT_LABELS[value],
  }));

export const formats = (label: string, list: readonly FormatText[], initial: FormatText): Control =>
  choice(
    label,
    list.map((text) => [text, FORMAT_LABELS[text]] as const),
    initial,
  );

/** A source's format: one it is told, or the best that everything behind it takes. */
export const sourceFormats = (
  label: string,
  list: readonly FormatText[],
  initial: FormatText,
): Control =>
  choice(
    label,
    [
      [BEST_THAT_FITS, 'Best that fits'],
      ...list.map((text) => [text, FORMAT_LABELS[text]] as const),
    ],
    initial,
  );

/** A capture device's format: what arrives, or one it scales to. */
export const captureFormats = (list: readonly FormatText[]): Control =>
  choice(
    'Capture format',
    [[AS_RECEIVED, 'As received'], ...list.map((text) => [text, FORMAT_LABELS[text]] as const)],
    AS_RECEIVED,
  );

const ENCODING_LABELS = {
  'raw 16': 'Uncompressed, 16 bits a pixel',
  'raw 12': 'Uncompressed, 12 bits a pixel',
  compressed: 'Compressed, frame by frame',
} as const;

export type Encoding = keyof typeof ENCODING_LABELS;

export const encodings = (list: readonly Encoding[], initial: Encoding): Control =>
  choice(
    'Encoding',
    list.map((value) => [value, ENCODING_LABELS[value]] as const),
    initial,
  );

const CODING_LABELS = {
  'rgb 8 full': 'RGB, 8 bits, full range',
  'rgb 8 limited': 'RGB, 8 bits, limited range',
  'rgb 10 limited': 'RGB, 10 bits, limited range',
  '422 10 limited': '4:2:2, 10 bits, limited range',
  '420 8 limited': '4:2:0, 8 bits, limited range',
} as const;

export type CodingText = keyof typeof CODING_LABELS;

/** How pixels are written: told, or the best that fits. */
export const codings = (list: readonly CodingText[], initial: CodingText): Control =>
  choice(
    'Pixels',
    [
      [BEST_THAT_FITS, 'Best that fits'],
      ...list.map((value) => [value, CODING_LABELS[value]] as const),
    ],
    initial,
  );

const READ_LABELS = { 'as signalled': 'As signalled', full: 'Full', limited: 'Limited' } as const;

/** What an input takes the range of a picture to be. */
export const readsRange = (): Control =>
  choice(
    'Range read at the input',
    READ_AS.map((value) => [value, READ_LABELS[value]] as const),
    'as signalled',
  );

/** Accepts a list of formats, as an input without a scaler does. */
export const accepting = (base: PicturePort, list: readonly FormatText[]): PicturePort => ({
  ...base,
  accepts: [...list],
});
