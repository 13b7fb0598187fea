/** Timecode as SMPTE ST 12-1 counts it: hours, minutes, seconds, frames. */

import { type Rate, rate } from '../units';

/** Frames that are counted to a second: 30 at 29.97. */
const counted = ({ num, den }: Rate): number => Math.round(num / den);

/** Rates that timecode counts, as they are chosen from. */
export const TIMECODE_RATES: readonly Rate[] = [
  rate(24_000, 1001),
  rate(24),
  rate(25),
  rate(30_000, 1001),
  rate(30),
  rate(50),
  rate(60_000, 1001),
  rate(60),
];

/** Numbers are dropped only where 30 or 60 are counted and fewer pass. */
export const mayDrop = (of: Rate): boolean => of.den !== 1 && counted(of) % 30 === 0;

const two = (value: number): string => String(value).padStart(2, '0');
const DAY_H = 24;

/** Numbers that drop-frame leaves out at the beginning of each minute but every tenth. */
const droppedBy = (of: Rate): number => counted(of) / 15;

/**
 * A count of frames as timecode: `01:00:00:00`, with a semicolon before the frames where numbers are dropped.
 * Behind 24 hours it begins anew.
 * @param frames whole, 0 or more @param isDrop only where `mayDrop`
 */
export const timecode = (frames: number, of: Rate, isDrop: boolean): string => {
  const inS = counted(of);
  let number = frames;
  if (isDrop) {
    const dropped = droppedBy(of);
    const inMinute = 60 * inS - dropped;
    const inTen = 10 * inMinute + dropped;
    const tens = Math.floor(frames / inTen);
    const rest = frames % inTen;
    // The first minute of ten keeps its numbers.
    const minutes = rest < 60 * inS ? 0 : 1 + Math.floor((rest - 60 * inS) / inMinute);
    number = frames + dropped * (9 * tens + minutes);
  }
  const seconds = Math.floor(number / inS);
  return (
    `${two(Math.floor(seconds / 3600) % DAY_H)}:${two(Math.floor(seconds / 60) % 60)}:` +
    `${two(seconds % 60)}${isDrop ? ';' : ':'}${two(number % inS)}`
  );
};

/**
 * Timecode as a count of frames.
 * @returns null where it is none at this rate: a frame too many, or a number that is dropped
 */
export const framesOf = (text: string, of: Rate, isDrop: boolean): number | null => {
  const match = /^(\d\d):([0-5]\d):([0-5]\d)[:;](\d\d)$/.exec(text);
  if (!match) return null;
  const [hours = 0, minutes = 0, seconds = 0, frame = 0] = match.slice(1).map(Number);
  if (hours >= DAY_H || frame >= counted(of)) return null;
  const number = ((hours * 60 + minutes) * 60 + seconds) * counted(of) + frame;
  if (!isDrop) return number;
  const dropped = droppedBy(of);
  if (minutes % 10 !== 0 && seconds === 0 && frame < dropped) return null;
  const minute = hours * 60 + minutes;
  return number - dropped * (minute - Math.floor(minute / 10));
};

/** The frame that is on at a time. @param ms whole, from the first frame on */
export const frameAt = (ms: number, { num, den }: Rate): number =>
  Math.floor((ms * num) / (1000 * den));
