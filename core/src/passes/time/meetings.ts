import { delayRange, sourceFrames } from '../../catalogue/delays';
import type { Signal, Stage, Thread } from '../../graph';
import { entry, numberSetting, type Offset } from '../../rig';
import { framesPerSecond, soundMps } from '../../units';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { type DelayStep, knownStep, stageSteps } from './step';

/** Where picture and sound meet, and how far apart they arrive. Milliseconds; sound late is positive. */

/** Sources of one signal that come to a place by the same steps. */
export interface Arriving {
  readonly sourceIds: readonly string[];
  readonly steps: readonly DelayStep[];
  /** A frame of the picture as it arrives; null for sound, and where the format is not known */
  readonly frameMs: number | null;
  /** Delays that could be set on the way */
  readonly knobs: readonly DelayKnob[];
}

/** A delay that can be set at a socket which sound or picture goes through on its way to a meeting. */
export interface DelayKnob {
  readonly deviceId: string;
  readonly portId: string;
  readonly signal: Signal;
  readonly mostMs: number;
  readonly stepMs: number;
  /** As it is set now */
  readonly ms: number;
}

export const knobKey = ({
  deviceId,
  portId,
  signal,
}: Pick<DelayKnob, 'deviceId' | 'portId' | 'signal'>): string =>
  `${deviceId}|at ${portId}|${signal}`;

/** One way of sound and one of picture at one place. */
export interface Pair {
  readonly placeId: string;
  readonly sound: Arriving;
  readonly picture: Arriving;
  /** Sound less picture; null where a step is not known */
  readonly offsetMs: number | null;
  readonly leastMs: number;
  readonly mostMs: number;
  /** The same as computed, whatever was measured */
  readonly predictedMs: number | null;
  /** Steps whose delay nobody knows */
  readonly unknown: readonly DelayStep[];
  readonly measured: Offset | null;
  /** A measurement that no longer holds, since something is set otherwise */
  readonly stale: Offset | null;
  /** What each goes through alone; a measurement holds as long as these are as they were */
  readonly apart: { readonly sound: readonly DelayStep[]; readonly picture: readonly DelayStep[] };
  /** What delays set on purpose put between the two */
  readonly setMs: number;
}

/** A place where picture and sound meet. */
export interface Meeting {
  readonly placeId: string;
  readonly sounds: readonly Arriving[];
  readonly pictures: readonly Arriving[];
  readonly pairs: readonly Pair[];
}

const PLACES: ReadonlySet<string> = new Set([
  'stream',
  'recording',
  'call',
  'recorder',
  'switcher',
]);

/** A camera takes frames to see, a microphone hears as late as the voice is away. */
const sourceStep = (measured: Measured, { signal, source, last }: Thread): DelayStep | null => {
  const { device } = source;
  const base = { deviceId: device.id, key: `${device.id}|${signal}`, routeId: null };
  const known = knownStep(measured, device.id, null);
  if (known) return { ...base, ...known };
  if (signal === 'picture') {
    const frames = sourceFrames(device.model);
    const format = frames && measured.picture[firstOf(last).index]?.format;
    if (!frames) return null;
    if (!format) return { ...base, ms: null, leastMs: 0, mostMs: 0, by: 'typical' };
    const [leastMs = 0, ms = 0, mostMs = 0] = frames.map(
      (n) => (1000 * n) / framesPerSecond(format),
    );
    return { ...base, ms, leastMs, mostMs, by: 'typical' };
  }
  const emits = source.port.emits?.sound;
  if (emits?.type !== 'microphone') return null;
  const distanceM = numberSetting(measured.device(device), emits.distanceControl);
  if (distanceM === undefined) return null;
  const ms = (1000 * distanceM) / soundMps(measured.rig.room.temperatureC);
  return { ...base, ms, leastMs: ms, mostMs: ms, by: 'typical' };
};

const firstOf = (stage: Stage): Stage => {
  let first = stage;
  while (first.parent) first = first.parent;
  return first;
};

/** Every step of a thread that takes time, or may, from what happens to its end, and what could be set. */
export const wayOf = (
  measured: Measured,
  thread: Thread,
): { steps: DelayStep[]; knobs: DelayKnob[] } => {
  const ofStages = stageSteps(measured);
  const steps: DelayStep[] = [];
  const passed: DelayKnob[] = [];
  for (let stage: Stage | null = thread.last; stage; stage = stage.parent) {
    const { at, signal } = stage;
    const { route = null, set = null } = ofStages[stage.index] ?? {};
    if (set) steps.push(set);
    const range = delayRange(at.device.model, at.port, signal);
    if (range)
      passed.push({
        deviceId: at.device.id,
        portId: at.id,
        signal,
        ...range,
        ms: set?.ms ?? 0,
      });
    if (route && route.ms !== 0) steps.push(route);
  }
  const source = sourceStep(measured, thread);
  return {
    steps: [...(source ? [source] : []), ...steps.reverse()],
    knobs: passed.reverse(),
  };
};

/** Whether a thread shows or lets hear what happens in front of it. */
const isLive = ({ signal, source }: Thread): boolean =>
  signal === 'picture'
    ? sourceFrames(source.device.model) !== null
    : source.port.emits?.sound?.type === 'microphone';

const frameOf = (measured: Measured, { signal, last }: Thread): number | null => {
  const format = signal === 'picture' ? measured.picture[last.index]?.format : null;
  return format ? 1000 / framesPerSecond(format) : null;
};

/** Sources whose ways read the same come to a place together, however many there are. */
const together = (measured: Measured, threads: readonly Thread[]): Arriving[] => {
  const groups = new Map<string, Arriving & { sourceIds: string[] }>();
  for (const thread of threads) {
    const sourceId = thread.source.device.id;
    const way = wayOf(measured, thread);
    const key = [
      ...way.steps.map(({ deviceId, key: step, ms, by }) => {
        const ofWhom = deviceId === sourceId ? 'own' : deviceId;
        return ms === null ? `${ofWhom} ${step}` : `${ofWhom} ${ms.toFixed(3)} ${by}`;
      }),
      ...way.knobs.map(knobKey),
    ].join(', ');
    const known = groups.get(key);
    if (!known)
      groups.set(key, { sourceIds: [sourceId], ...way, frameMs: frameOf(measured, thread) });
    else if (!known.sourceIds.includes(sourceId)) known.sourceIds.push(sourceId);
  }
  return [...groups.values()];
};

const sum = (steps: readonly DelayStep[], of: 'ms' | 'leastMs' | 'mostMs'): number =>
  steps.reduce((total, step) => total + (step.ms === null ? 0 : (step[of] ?? 0)), 0);

/** Steps in words: what a measurement rests on. Delays set on purpose are known and left out. */
const words = (measured: Measured, steps: readonly DelayStep[], { sourceIds }: Arriving): string =>
  steps
    .filter(({ by }) => by !== 'set')
    .map(({ deviceId, ms }) => {
      // Which of several alike stands for them all says nothing.
      const name = sourceIds.includes(deviceId)
        ? 'source'
        : (entry(measured.rig.devices, deviceId)?.name ?? deviceId);
      return `${name} ${ms === null ? '?' : ms.toFixed(2)}`;
    })
    .join(', ');

/** The same steps by device and class. */
const marks = (measured: Measured, steps: readonly DelayStep[], { sourceIds }: Arriving): string =>
  steps
    .filter(({ by }) => by !== 'set')
    .map(({ deviceId, routeId, ms }) => {
      const model = entry(measured.rig.devices, deviceId)?.model;
      const what = sourceIds.includes(deviceId) ? 'source' : `${deviceId} ${routeId ?? ''}`;
      return `${what} ${model?.classId ?? model?.kind} ${ms === null ? '?' : ms.toFixed(2)}`;
    })
    .join(', ');

type Apart = Pick<Pair, 'sound' | 'picture' | 'apart'>;

/** What would have to read the same for a measurement to hold, in words. */
export const heldWhile = (measured: Measured, { sound, picture, apart }: Apart): string =>
  `${words(measured, apart.sound, sound)} / ${words(measured, apart.picture, picture)}`;

/** The same by devices and their classes: what anything is called does not matter. */
const heldBy = (measured: Measured, { sound, picture, apart }: Apart): string =>
  `${marks(measured, apart.sound, sound)} / ${marks(measured, apart.picture, picture)}`;

/** Whether a measurement was taken as a pair is set now. */
export const holds = (measured: Measured, offset: Offset, pair: Apart): boolean =>
  offset.heldBy === undefined
    ? offset.heldWhile === heldWhile(measured, pair)
    : offset.heldBy === heldBy(measured, pair);

/** How a pair is set, for a measurement of it to be kept with. */
export const heldNow = (
  measured: Measured,
  pair: Pair,
): Pick<Offset, 'setMs' | 'heldWhile' | 'heldBy'> => ({
  setMs: pair.setMs,
  heldWhile: heldWhile(measured, pair),
  heldBy: heldBy(measured, pair),
});

const ofSet = (steps: readonly DelayStep[]): number =>
  sum(
    steps.filter(({ by }) => by === 'set'),
    'ms',
  );

const pairOf = (measured: Measured, placeId: string, sound: Arriving, picture: Arriving): Pair => {
  // What both go through delays both alike, however long it takes.
  const shared = new Set(picture.steps.map(({ key }) => key));
  const common = new Set(sound.steps.flatMap(({ key }) => (shared.has(key) ? [key] : [])));
  const [ofSound, ofPicture] = [sound.steps, picture.steps].map((steps) =>
    steps.filter(({ key }) => !common.has(key)),
  ) as [DelayStep[], DelayStep[]];
  const unknown = [...ofSound, ...ofPicture].filter(({ ms }) => ms === null);
  const setMs = ofSet(ofSound) - ofSet(ofPicture);
  const predictedMs = unknown.length > 0 ? null : sum(ofSound, 'ms') - sum(ofPicture, 'ms');
  const apart = { sound: ofSound, picture: ofPicture };
  const found = Object.values(measured.rig.offsets)
    .filter(
      (offset) =>
        offset.placeId === placeId &&
        sound.sourceIds.includes(offset.soundId) &&
        picture.sourceIds.includes(offset.pictureId),
    )
    .sort((a, b) => b.order - a.order);
  const holding =
    found.find((offset) => holds(measured, offset, { sound, picture, apart })) ?? null;
  const offsetMs = holding ? holding.offsetMs - holding.setMs + setMs : predictedMs;
  return {
    placeId,
    sound,
    picture,
    offsetMs,
    leastMs: holding
      ? (offsetMs ?? 0) - holding.spreadMs
      : sum(ofSound, 'leastMs') - sum(ofPicture, 'mostMs'),
    mostMs: holding
      ? (offsetMs ?? 0) + holding.spreadMs
      : sum(ofSound, 'mostMs') - sum(ofPicture, 'leastMs'),
    predictedMs,
    unknown: holding ? [] : unknown,
    measured: holding,
    stale: holding ? null : (found[0] ?? null),
    apart,
    setMs,
  };
};

/** Every place where pictures of cameras and sound of microphones meet, in the order of the rig. */
export const meetings = pass('meetings', (measured): readonly Meeting[] => {
  const byPlace = new Map<string, { picture: Thread[]; sound: Thread[] }>();
  for (const thread of measured.traced.threads) {
    const { device } = thread.end;
    if (!PLACES.has(device.model.kind) || !isLive(thread)) continue;
    // What a camera keeps of its own picture and of its own sound is one recording already.
    if (device.id === thread.source.device.id) continue;
    let place = byPlace.get(device.id);
    if (!place) byPlace.set(device.id, (place = { picture: [], sound: [] }));
    place[thread.signal].push(thread);
  }
  return [...byPlace].flatMap(([placeId, { picture, sound }]) => {
    if (picture.length === 0 || sound.length === 0) return [];
    const [sounds, pictures] = [together(measured, sound), together(measured, picture)];
    return [
      {
        placeId,
        sounds,
        pictures,
        pairs: sounds.flatMap((one) =>
          pictures.map((other) => pairOf(measured, placeId, one, other)),
        ),
      },
    ];
  });
});

/** Every delay that could be set on the way to a meeting. */
export const knobs = pass('knobs', (measured): readonly DelayKnob[] => {
  const found = new Map<string, DelayKnob>();
  for (const { sounds, pictures } of meetings(measured))
    for (const { knobs: passed } of [...sounds, ...pictures])
      for (const knob of passed) found.set(knobKey(knob), knob);
  return [...found.values()];
});
