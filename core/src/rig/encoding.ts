/** Value of a capture format control that passes on whatever arrives. */
export const AS_RECEIVED = 'as received';

/** Bits per pixel on USB by the value of an encoding control. 1.6 is typical of frame-by-frame compression at about 10:1. */
export const ENCODING_BITS_PER_PIXEL: Readonly<Record<string, number>> = { 'raw 16': 16, 'raw 12': 12, compressed: 1.6 };
