import { inOrder, type Rig, type Segment } from '../rig';

/** The rundown against the clock. Times of day in seconds since midnight; they may run past it. */

export interface TimedSegment {
  readonly id: string;
  readonly segment: Segment;
  /** From the beginning of the show. @unit s */
  readonly fromS: number;
  readonly toS: number;
  /** The latest it may begin for the show to end on time, were all that follows done as planned. @unit s */
  readonly latestS: number;
}

export interface TimedRundown {
  readonly segments: readonly TimedSegment[];
  /** @unit s */
  readonly totalS: number;
  /** What the brief asks for; null where there is no brief. @unit s */
  readonly wantedS: number | null;
  /** Planned less asked for: positive runs over. @unit s */
  readonly overS: number | null;
}

/** Segments one after another; reckoned back from the length that the brief asks for, or from their own sum. */
export const timedRundown = ({
  segments,
  brief,
}: Pick<Rig, 'segments' | 'brief'>): TimedRundown => {
  const list = inOrder(segments);
  const totalS = list.reduce((sum, [, { lengthS }]) => sum + lengthS, 0);
  const wantedS = brief ? brief.lengthMin * 60 : null;
  let fromS = 0;
  const timed = list.map(([id, segment]) => {
    const begins = fromS;
    fromS += segment.lengthS;
    return {
      id,
      segment,
      fromS: begins,
      toS: fromS,
      latestS: (wantedS ?? totalS) - (totalS - begins),
    };
  });
  return { segments: timed, totalS, wantedS, overS: wantedS === null ? null : totalS - wantedS };
};

/** `19:30:15` as seconds since midnight. */
export const secondsOfDay = (time: string): number => {
  const [hours = 0, minutes = 0, seconds = 0] = time.split(':').map(Number);
  return hours * 3600 + minutes * 60 + seconds;
};

const two = (value: number): string => String(value).padStart(2, '0');

/** `00:04:30`; behind midnight it begins anew. @param seconds any, whole seconds are shown */
export const timeOfDayText = (seconds: number): string => {
  const whole = ((Math.floor(seconds) % 86_400) + 86_400) % 86_400;
  return `${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}`;
};

/** `4:30`, `1:02:03`, with a minus where it is below nothing. */
export const durationText = (seconds: number): string => {
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60];
  return hours > 0
    ? `${sign}${hours}:${two(minutes)}:${two(whole % 60)}`
    : `${sign}${minutes}:${two(whole % 60)}`;
};

/** `14 h 22 min`, `81 min`: rounded down, since it is what can be relied on. @param minutes 0 or more */
export const hoursText = (minutes: number): string => {
  const whole = Math.floor(minutes + 1e-9);
  return whole < 120 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
};
