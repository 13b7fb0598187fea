import { type Analysis, reanalyse } from '../../analyse';
import { type Fix, simpleOf } from '../../edits/fix';
import { additions } from '../../edits/plugging';
import { sameWay } from '../../edits/same-way';
import { withPicture } from '../../edits/with-picture';
import { type Meeting, meetings } from '../../passes/time';
import { apply, Refusal, type SimpleCommand } from '../../rig';
import { findingKey } from '../../rules';
import { setsOf, solveTiming } from '.';

/** What else than delays would bring sound and picture together: other ways, each tried and solved anew. */

export type OtherWayKind = 'cameras the same way' | 'sound with the picture' | 'recorded elsewhere';

export interface OtherWay {
  readonly kind: OtherWayKind;
  readonly label: string;
  readonly placeId: string;
  /** What the place is called, where it is one that would be added too */
  readonly place: string;
  /** Largest offset there as it is wired, and as it would be. @unit ms; null = not known until it is measured */
  readonly now: Left;
  readonly after: Left;
  /** Stops and warnings that it would bring */
  readonly brings: readonly string[];
  /** The wiring, and every delay where wiring alone is not enough */
  readonly commands: readonly SimpleCommand[];
}

/** Largest offset at a place. @unit ms; null = a pair there cannot be reckoned */
export interface Left {
  readonly asSetMs: number | null;
  /** With every delay set for all places */
  readonly allSetMs: number | null;
  /** Delays that have to be set for that, in all the rig */
  readonly delays: number;
  /** Whether the house lets be what is apart there as it is set */
  readonly isLetBe: boolean;
}

/** Less gained than this is not worth another cable. @unit ms */
const WORTH_MS = 1;
/** Edits tried of one kind at one place at the most. */
const MOST_TRIES = 12;

const NOT_KNOWN: Left = { asSetMs: null, allSetMs: null, delays: 0, isLetBe: false };

const largest = (values: readonly number[]): number =>
  values.reduce((worst, ms) => Math.max(worst, Math.abs(ms)), 0);

/** What is left at every place that can be reckoned whole. */
const leftBy = (analysis: Analysis): ReadonlyMap<string, Left> => {
  const { timeRules } = analysis.rig;
  const { pairs = [], sets = [] } = solveTiming(analysis) ?? {};
  const delays = sets.filter(({ ms }) => ms > 0).length;
  return new Map(
    meetings(analysis).map(({ placeId, pairs: all }) => {
      const there = pairs.filter(({ pair }) => pair.placeId === placeId);
      return [
        placeId,
        there.length < all.length
          ? NOT_KNOWN
          : {
              asSetMs: largest(there.map(({ beforeMs }) => beforeMs)),
              allSetMs: largest(there.map(({ afterMs }) => afterMs)),
              delays,
              isLetBe: there.every(
                ({ beforeMs }) => beforeMs >= -timeRules.earlyMs && beforeMs <= timeRules.lateMs,
              ),
            },
      ];
    }),
  );
};

/** Who is seen and heard where, at every end there is. */
const heardAndSeen = ({ traced }: Analysis): ReadonlySet<string> =>
  new Set(
    traced.threads.map(
      ({ signal, source, end }) => `${signal} ${source.device.id} ${end.device.id}`,
    ),
  );

const isMissed = (before: Analysis, after: Analysis): boolean => {
  const still = heardAndSeen(after);
  return [...heardAndSeen(before)].some((one) => !still.has(one));
};

const done = (analysis: Analysis, commands: readonly SimpleCommand[]): Analysis | null => {
  try {
    const command = { type: 'batch' as const, label: 'Try', commands: [...commands] };
    return reanalyse(analysis, apply(analysis.rig, command));
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

interface Try {
  readonly kind: OtherWayKind;
  readonly placeId: string;
  readonly now: Left;
  readonly fix: Fix;
}

/** What an edit comes to; null where it is refused, or somebody would be missed who was there. */
const judged = (analysis: Analysis, { kind, placeId, now, fix }: Try): OtherWay | null => {
  const wiring = simpleOf(fix);
  const wired = done(analysis, wiring);
  if (!wired || isMissed(analysis, wired)) return null;
  const after = leftBy(wired).get(placeId) ?? NOT_KNOWN;
  const solution = after.isLetBe ? null : solveTiming(wired);
  const sets = solution ? setsOf(solution) : [];
  const known = new Set(analysis.findings.map(findingKey));
  const last = done(wired, sets) ?? wired;
  return {
    kind,
    label: fix.label,
    placeId,
    place: wired.device({ id: placeId }).name,
    now,
    after,
    brings: last.findings
      .filter((finding) => finding.level !== 'note' && !known.has(findingKey(finding)))
      .map(({ title }) => title),
    commands: [...wiring, ...sets],
  };
};

/**
 * Whether it is worth its cable: it leaves less with all set, or no more with fewer delays to set, or less than
 * the house lets be with nothing set.
 */
const isWorth = ({ kind, now, after }: OtherWay): boolean => {
  if (after.asSetMs === null || after.allSetMs === null)
    return kind === 'sound with the picture' && !now.isLetBe;
  if (now.asSetMs === null || now.allSetMs === null) return true;
  const gainsMs = now.allSetMs - after.allSetMs;
  return (
    gainsMs > WORTH_MS ||
    (gainsMs > -WORTH_MS && after.delays < now.delays) ||
    (!now.isLetBe && after.isLetBe)
  );
};

/** What brings least with it, and of those what leaves least. */
const best = (all: readonly OtherWay[]): OtherWay[] =>
  [...all]
    .sort(
      (a, b) =>
        a.brings.length - b.brings.length ||
        (a.after.asSetMs ?? Infinity) - (b.after.asSetMs ?? Infinity),
    )
    .slice(0, 1);

/** Every camera of a place brought the way of another, where it comes by one of its own. */
const camerasTogether = (analysis: Analysis, { placeId, pictures }: Meeting): Fix[] =>
  pictures.flatMap((odd) =>
    pictures.flatMap((others) => {
      const [cameraId, more] = odd.sourceIds;
      const [asCameraId] = others.sourceIds;
      return odd === others || more !== undefined || !cameraId || !asCameraId
        ? []
        : sameWay(analysis, placeId, cameraId, asCameraId);
    }),
  );

/** A machine that records, wherever one can be plugged in. */
const recorders = (analysis: Analysis): readonly Pick<Try, 'placeId' | 'fix'>[] =>
  additions(analysis, 'recorder-picture', 'Recorder in sync', {
    personId: null,
    sightId: null,
  }).flatMap(({ label, commands }) => {
    const [added] = commands;
    return added?.type === 'addDevice'
      ? [
          {
            placeId: added.deviceId,
            fix: { label, command: { type: 'batch', label, commands: [...commands] } },
          },
        ]
      : [];
  });

/**
 * Other ways than delays, each as one edit: all cameras by one way, sound put into the picture, and another
 * place to record. Only what leaves less than delays do, or need fewer, or what the house lets be without any; and what
 * would have to be measured to be known, where the sound is put into the picture.
 */
export const otherWays = (analysis: Analysis): readonly OtherWay[] => {
  const left = leftBy(analysis);
  const bestOf = (tries: readonly Try[]): OtherWay[] =>
    best(
      tries
        .slice(0, MOST_TRIES)
        .flatMap((one) => judged(analysis, one) ?? [])
        .filter(isWorth),
    );
  const each = meetings(analysis).flatMap((meeting): OtherWay[] => {
    const { placeId } = meeting;
    const now = left.get(placeId) ?? NOT_KNOWN;
    const triesOf = (kind: OtherWayKind, fixes: readonly Fix[]): Try[] =>
      fixes.map((fix) => ({ kind, placeId, now, fix }));
    return [
      ...bestOf(triesOf('cameras the same way', camerasTogether(analysis, meeting))),
      ...bestOf(triesOf('sound with the picture', withPicture(analysis, placeId))),
    ];
  });
  // Beside the place where it is best already.
  const [now = NOT_KNOWN] = [...left.values()]
    .filter(({ asSetMs }) => asSetMs !== null)
    .sort((a, b) => (a.asSetMs ?? 0) - (b.asSetMs ?? 0));
  return [
    ...each,
    ...bestOf(recorders(analysis).map((one) => ({ ...one, kind: 'recorded elsewhere', now }))),
  ];
};
