/** Value of a capture format control that passes on whatever arrives. */
export const AS_RECEIVED = 'as received';

/**
 * Bits per pixel on USB by the value of an encoding control. 1.6 is typical of frame-by-frame
 * compression at about 10:1.
 */
export const ENCODING_BITS_PER_PIXEL: Readonly<Record<string, number>> = {
  'raw 16': 16,
  'raw 12': 12,
  compressed: 1.6,
};

/** Value of a source's format control: the best format that everything it is plugged into takes. */
export const BEST_THAT_FITS = 'best that fits';

/** Value of a switcher's format control: it runs at the format of the first input that has a plug in it. */
export const FIRST_CONNECTED = 'first connected';

/** Ways of writing pixels, by the value of a coding control. */
export interface Coding {
  readonly chroma: 'rgb' | '4:2:2' | '4:2:0';
  readonly bits: 8 | 10;
  readonly range: 'full' | 'limited';
}
export const CODINGS: Readonly<Record<string, Coding>> = {
  'rgb 8 full': { chroma: 'rgb', bits: 8, range: 'full' },
  'rgb 8 limited': { chroma: 'rgb', bits: 8, range: 'limited' },
  'rgb 10 limited': { chroma: 'rgb', bits: 10, range: 'limited' },
  '422 10 limited': { chroma: '4:2:2', bits: 10, range: 'limited' },
  '420 8 limited': { chroma: '4:2:0', bits: 8, range: 'limited' },
};

/** What an input takes the range of a picture to be. */
export const READ_AS = ['as signalled', 'full', 'limited'] as const;
