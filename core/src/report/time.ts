import { meetings } from '../passes/time';
import type { Measured } from '../passes/measured';
import { setsOf, solveTiming } from '../solve/timing';

/** Where sound and picture meet, and what to set. Milliseconds; sound late is positive. */
export interface TimeReport {
  readonly places: readonly {
    readonly placeId: string;
    readonly pairs: readonly {
      /** Devices whose sound, or picture, comes by this way */
      readonly sound: readonly string[];
      readonly picture: readonly string[];
      /** null where a delay on the way is not known */
      readonly offsetMs: number | null;
      readonly leastMs: number;
      readonly mostMs: number;
      readonly by: 'predicted' | 'measured';
      /** Devices whose delay nobody knows */
      readonly unknown: readonly string[];
    }[];
  }[];
  /** Every delay that should be changed for all places at once; null where nothing can be reckoned */
  readonly solution: {
    readonly worstBeforeMs: number;
    readonly worstMs: number;
    /** No setting leaves less */
    readonly boundMs: number;
    readonly set: readonly {
      readonly deviceId: string;
      readonly portId: string;
      readonly signal: 'sound' | 'picture';
      readonly ms: number;
    }[];
  } | null;
}

export const timeReport = (measured: Measured): TimeReport => {
  const solution = solveTiming(measured);
  return {
    places: meetings(measured).map(({ placeId, pairs }) => ({
      placeId,
      pairs: pairs.map((pair) => ({
        sound: pair.sound.sourceIds,
        picture: pair.picture.sourceIds,
        offsetMs: pair.offsetMs,
        leastMs: pair.leastMs,
        mostMs: pair.mostMs,
        by: pair.measured ? ('measured' as const) : ('predicted' as const),
        unknown: [...new Set(pair.unknown.map(({ deviceId }) => deviceId))],
      })),
    })),
    solution: solution && {
      worstBeforeMs: solution.worstBeforeMs,
      worstMs: solution.worstMs,
      boundMs: solution.boundMs,
      set: setsOf(solution).flatMap((command) =>
        command.type === 'setDelay'
          ? [
              {
                deviceId: command.deviceId,
                portId: command.portId,
                signal: command.signal,
                ms: command.ms ?? 0,
              },
            ]
          : [],
      ),
    },
  };
};
