import { durationText, timedRundown, type TimedSegment } from '../../day/rundown';
import { coverage } from '../../passes/coverage';
import type { Measured } from '../../passes/measured';
import { scenesMade } from '../../passes/programme/scenes';
import { entry, type Segment } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachDayRule } from '../rule-of';

/** The rundown against the length asked for, the scenes and the people. */

const SOURCE = 'handbook 7, Rundown';
/** A rundown is as long as asked for within so much. */
const SHARE = 0.01;
const LEAST_S = 30;
/** Under by more is worth knowing. */
const UNDER_SHARE = 0.05;
/** Shorter than this nobody sees a segment begin. @unit s */
const SHORT_S = 10;
const MOST_MIN = 24 * 60;

interface Planned {
  readonly totalS: number;
  readonly wantedS: number;
  readonly overS: number;
}

const planned = ({ rig }: Measured): readonly Planned[] => {
  const { segments, totalS, wantedS, overS } = timedRundown(rig);
  return segments.length === 0 || wantedS === null || overS === null
    ? []
    : [{ totalS, wantedS, overS }];
};

const lengthSum = ({ totalS, wantedS, overS }: Planned) => [
  {
    label: 'Rundown beside what is asked for',
    formula: 'sum of the segments − length of the show',
    inputs: [
      { name: 'segments', value: totalS, unit: 's' },
      { name: 'asked for', value: wantedS, unit: 's' },
    ],
    result: overS,
    unit: 's',
    source: SOURCE,
  },
];

const asLong = ({ totalS }: Planned) => {
  const lengthMin = Math.ceil(totalS / 60);
  return lengthMin < 1 || lengthMin > MOST_MIN
    ? []
    : [
        batchFix(`Ask for ${lengthMin} min in the brief`, [
          { type: 'writeBrief', brief: { lengthMin } },
        ]),
      ];
};

export const rundownOver = eachDayRule<Planned>(
  'day.rundown-over',
  {
    looksFor: 'A rundown longer than the show.',
    why: 'The end is cut off, or the show runs over.',
    remedy: 'Shorten segments, leave one out, or ask for a longer show.',
    source: SOURCE,
  },
  {
    all: planned,
    about: () => THE_RIG,
    judge: ({ totalS, wantedS, overS }) =>
      overS > Math.max(LEAST_S, SHARE * wantedS)
        ? {
            level: 'warn',
            title: `Rundown ${durationText(overS)} over`,
            says:
              `The segments take ${durationText(totalS)}; ${durationText(wantedS)} are asked for. ` +
              'Shorten them, leave one out, or ask for a longer show.',
          }
        : null,
    sums: lengthSum,
    fixes: (one, { rig }) => [
      batchFix(
        'Shorten every segment by the same share',
        Object.entries(rig.segments).map(([segmentId, { lengthS }]) => ({
          type: 'changeSegment',
          segmentId,
          segment: { lengthS: Math.max(1, Math.floor((lengthS * one.wantedS) / one.totalS)) },
        })),
      ),
      ...asLong(one),
    ],
  },
);

export const rundownUnder = eachDayRule<Planned>(
  'day.rundown-under',
  {
    looksFor: 'A rundown that leaves a part of the show empty.',
    why: 'Somebody has to fill it, and nobody knows with what.',
    remedy: 'Plan what fills it, or ask for a shorter show.',
    source: SOURCE,
  },
  {
    all: planned,
    about: () => THE_RIG,
    judge: ({ totalS, wantedS, overS }) =>
      -overS > Math.max(60, UNDER_SHARE * wantedS)
        ? {
            level: 'note',
            title: `Rundown ${durationText(-overS)} under`,
            says:
              `The segments take ${durationText(totalS)}; ${durationText(wantedS)} are asked for. ` +
              'Plan what fills the rest, or ask for a shorter show.',
          }
        : null,
    sums: lengthSum,
    fixes: asLong,
  },
);

const segmentsOf = ({ rig }: Measured): readonly TimedSegment[] => timedRundown(rig).segments;
const ofSegment = ({ id }: TimedSegment) => ({ kind: 'segment' as const, segmentId: id });

const change = (label: string, { id }: TimedSegment, segment: Partial<Omit<Segment, 'order'>>) => [
  batchFix(label, [{ type: 'changeSegment', segmentId: id, segment }]),
];

/** Why the scene of a segment cannot be made; null where it can, or has none. */
const sceneShort = ({ segment }: TimedSegment, measured: Measured): string | null => {
  const made = scenesMade(measured).find(({ sceneId }) => sceneId === segment.sceneId);
  return made?.short[0]?.says ?? null;
};

export const segmentScene = eachDayRule<TimedSegment>(
  'day.segment-scene',
  {
    looksFor: 'A segment whose scene cannot be made.',
    why: 'It is found out when it is called for, on air.',
    remedy: 'Mend the scene, or take another for the segment.',
    source: SOURCE,
  },
  {
    all: segmentsOf,
    about: ofSegment,
    judge: (timed, measured) => {
      const short = sceneShort(timed, measured);
      const scene = entry(measured.rig.scenes, timed.segment.sceneId ?? '');
      return short === null
        ? null
        : {
            level: 'warn',
            title: `${timed.segment.title}: ${scene?.name ?? 'its scene'} cannot be made`,
            says: `${short} Mend the scene, or take another for ${timed.segment.title}.`,
          };
    },
    fixes: (timed) => change('Leave the scene to whoever switches', timed, { sceneId: null }),
  },
);

/** Those who are to be heard in a segment and are not let by its scene. */
const shutOut = ({ segment }: TimedSegment, { rig }: Measured): string[] => {
  const heard = entry(rig.scenes, segment.sceneId ?? '')?.heard ?? null;
  return heard === null ? [] : (segment.heard ?? []).filter((id) => !heard.includes(id));
};

export const segmentHeard = eachDayRule<TimedSegment>(
  'day.segment-heard',
  {
    looksFor: 'A segment in which somebody is to be heard whom its scene shuts off.',
    why: 'They speak, and nobody hears them until somebody notices.',
    remedy: 'Let the scene hear them, or leave it to the scene who is heard.',
    source: SOURCE,
  },
  {
    all: segmentsOf,
    about: ofSegment,
    judge: (timed, measured) => {
      const names = shutOut(timed, measured).map(
        (id) => entry(measured.rig.people, id)?.name ?? id,
      );
      return names.length === 0
        ? null
        : {
            level: 'warn',
            title: `${timed.segment.title}: ${names.join(', ')} shut off by the scene`,
            says:
              `${names.join(', ')} ${names.length === 1 ? 'is' : 'are'} to be heard in ` +
              `${timed.segment.title}, and its scene lets only others be heard. Let the scene hear ` +
              'them, or leave it to the scene.',
          };
    },
    fixes: (timed, { rig }) => {
      const sceneId = timed.segment.sceneId ?? '';
      const heard = entry(rig.scenes, sceneId)?.heard ?? [];
      const all = [...new Set([...heard, ...(timed.segment.heard ?? [])])];
      return [
        batchFix('Let the scene hear them', [
          { type: 'changeScene', sceneId, scene: { heard: all } },
        ]),
        ...change('Leave it to the scene who is heard', timed, { heard: null }),
      ];
    },
  },
);

const unheard = ({ segment }: TimedSegment, measured: Measured): string[] => {
  const missing = new Set(
    coverage(measured).flatMap(({ need, verdict, subject }) =>
      need === 'heard' && verdict === 'missing' ? [subject.id] : [],
    ),
  );
  return (segment.heard ?? []).filter((id) => missing.has(id));
};

export const segmentUnheard = eachDayRule<TimedSegment>(
  'day.segment-unheard',
  {
    looksFor: 'A segment in which somebody is to be heard whom nothing in the rig hears.',
    why: 'The segment is theirs, and it is silent.',
    remedy: 'Give them a microphone, or plan the segment without them.',
    source: SOURCE,
  },
  {
    all: segmentsOf,
    about: ofSegment,
    judge: (timed, measured) => {
      const names = unheard(timed, measured).map(
        (id) => entry(measured.rig.people, id)?.name ?? id,
      );
      return names.length === 0
        ? null
        : {
            level: 'warn',
            title: `${timed.segment.title}: nothing hears ${names.join(', ')}`,
            says:
              `${names.join(', ')} ${names.length === 1 ? 'is' : 'are'} to be heard in ` +
              `${timed.segment.title}, and no microphone of theirs arrives. Give them one, or plan ` +
              'the segment without them.',
          };
    },
    fixes: (timed, measured) => {
      const gone = new Set(unheard(timed, measured));
      return change('Plan it without them', timed, {
        heard: (timed.segment.heard ?? []).filter((id) => !gone.has(id)),
      });
    },
  },
);

/** A segment and the one before it. */
interface Turn extends TimedSegment {
  readonly before: TimedSegment;
}

export const segmentCue = eachDayRule<Turn>(
  'day.segment-cue',
  {
    looksFor: 'A segment that changes the scene and says no cue.',
    why: 'Whoever switches waits for words, and talks over the beginning.',
    remedy: 'Write down the words or the sign it begins on.',
    source: SOURCE,
    together: (count) => `${count} segments change the scene without a cue`,
  },
  {
    all: (measured) =>
      segmentsOf(measured).flatMap((timed, at, all) => {
        const before = all[at - 1];
        return before ? [{ ...timed, before }] : [];
      }),
    about: ofSegment,
    judge: ({ segment, before }) =>
      segment.cue === '' && segment.sceneId !== null && segment.sceneId !== before.segment.sceneId
        ? {
            level: 'note',
            title: `${segment.title} has no cue`,
            says:
              `${segment.title} changes the scene, and nothing says on what. Write down the words or ` +
              'the sign it begins on.',
          }
        : null,
  },
);

export const segmentShort = eachDayRule<TimedSegment>(
  'day.segment-short',
  {
    looksFor: 'A segment of a few seconds.',
    why: 'Nobody can do what it asks for and see the next coming.',
    remedy: 'Make it part of its neighbour, or give it time.',
    source: SOURCE,
  },
  {
    all: segmentsOf,
    about: ofSegment,
    judge: ({ segment }) =>
      segment.lengthS < SHORT_S
        ? {
            level: 'note',
            title: `${segment.title} lasts ${segment.lengthS} s`,
            says:
              `${segment.title} lasts ${segment.lengthS} s: it is over before the next can be made ` +
              'ready. Make it part of its neighbour, or give it time.',
          }
        : null,
    fixes: (timed) => change(`Give it ${SHORT_S} s`, timed, { lengthS: SHORT_S }),
  },
);
