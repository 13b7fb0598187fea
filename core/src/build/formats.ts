import { type HouseRules, type Mains, usualFormatOn } from '../rig';
import { type Format, formatText, framesPerSecond, parseFormat, rate } from '../units';

/** In which formats a new rig works, from the format that was chosen and the mains it stands on. */
export interface Formats {
  /** The house rule: what whatever may choose aims at */
  readonly house: string;
  /** What cameras are set to */
  readonly camera: string;
  /** What the programme is made and delivered in */
  readonly programme: string;
  /** What is taken into the computer: the programme's rate, no larger than 1080p */
  readonly capture: string;
}

/** Of large pictures no more: few cables and few cameras carry them faster. @unit pictures a second */
const MOST_LARGE_HZ = 30;
const LARGE = { width: 3840, height: 2160 } as const;
const FULL = { width: 1920, height: 1080 } as const;

const slower = (format: Format): Format =>
  framesPerSecond(format) > MOST_LARGE_HZ
    ? { ...format, rate: rate(format.rate.num, format.rate.den * 2) }
    : format;

/** Whole pictures: of an interlaced format as many as it has frames. */
const whole = (format: Format): Format =>
  format.scan === 'i'
    ? { ...format, scan: 'p', rate: rate(format.rate.num, format.rate.den * 2) }
    : format;

/**
 * @param answered the format that was chosen. Where none was, the mains says: lamps on 50 Hz do not
 * flicker at 25 and 50, those on 60 Hz not at 30 and 60; and what is sent then has half the rate, as
 * most audiences get it
 * @source handbook 3-picture: the mains region decides defaults
 */
export const formatsFor = (
  { captureSize }: Pick<HouseRules, 'captureSize'>,
  answered: string | undefined,
  mains: Mains | null,
): Formats => {
  const chosen = whole(parseFormat(answered ?? usualFormatOn(mains)));
  const small: Format = chosen.height > FULL.height ? { ...chosen, ...FULL } : chosen;
  const large: Format = slower({ ...chosen, ...LARGE });
  const sent = answered === undefined ? slower(small) : small;
  switch (captureSize) {
    case '1080p everywhere':
      return texts({ house: small, camera: small, programme: sent, capture: sent });
    case '2160p to punch in':
      return texts({ house: small, camera: large, programme: sent, capture: sent });
    case '2160p throughout':
      return texts({ house: large, camera: large, programme: large, capture: slower(small) });
  }
};

const texts = (formats: Record<keyof Formats, Format>): Formats => ({
  house: formatText(formats.house),
  camera: formatText(formats.camera),
  programme: formatText(formats.programme),
  capture: formatText(formats.capture),
});
