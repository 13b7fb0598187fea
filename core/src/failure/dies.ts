import { type Analysis, reanalyse } from '../analyse';
import { coverage } from '../passes/coverage';
import type { Need } from '../passes/coverage/line';
import { scenesMade } from '../passes/programme/scenes';
import { apply, entry, inOrder, type Kind, type Rig } from '../rig';

/** What is lost when something dies in the show, and what the paths that remain can still do. */

export interface SceneLeft {
  readonly sceneId: string;
  readonly name: string;
  /** Who is heard or seen in it of those the dead thing served */
  readonly shows: readonly string[];
}

export interface IfDies {
  readonly deviceId: string;
  readonly name: string;
  /** What was there and is not there any more: `Host is no longer heard` */
  readonly lost: readonly string[];
  /** What the dead thing served and something else still does */
  readonly still: readonly string[];
  /** Scenes that can no longer be made, by name */
  readonly scenesLost: readonly string[];
  /** Scenes that can be cut to, the nearest to what is lost first */
  readonly scenesLeft: readonly SceneLeft[];
  /** What to do, in order */
  readonly todo: readonly string[];
}

/** What can fail on its own and take something along. */
const MAY_DIE: readonly Kind[] = [
  'microphone',
  'camera',
  'wireless',
  'preamp',
  'mixer',
  'interface',
  'recorder',
  'capture',
  'switcher',
  'computer',
  'encoder',
  'splitter',
  'converter',
  'display',
  'prompter',
  'headphones',
  'headphone-amplifier',
  'loudspeaker',
  'player',
  'hub',
  'light',
];

const LOST: Readonly<Record<Need, string>> = {
  seen: 'no longer seen',
  heard: 'no longer heard',
  hears: 'hears nothing any more',
  sees: 'no longer sees the guests',
  shown: 'can no longer be shown',
  delivered: 'no longer delivered',
};
const STILL: Readonly<Record<Need, string>> = {
  seen: 'still seen',
  heard: 'still heard',
  hears: 'still hears',
  sees: 'still sees the guests',
  shown: 'can still be shown',
  delivered: 'still delivered',
};
const RANK = { missing: 0, partly: 1, met: 2 } as const;

/** The rig without some of its devices. */
const without = (rig: Rig, deviceIds: readonly string[]): Rig =>
  deviceIds
    .filter((id) => entry(rig.devices, id))
    .reduce((left, deviceId) => apply(left, { type: 'removeDevice', deviceId }), rig);

/** What two answers to the same needs differ in. */
const compared = (before: Analysis, after: Analysis) => {
  const later = new Map(coverage(after).map((line) => [line.id, line]));
  return coverage(before).map((line) => ({
    line,
    after: later.get(line.id) ?? null,
    isWorse: RANK[later.get(line.id)?.verdict ?? 'missing'] < RANK[line.verdict],
  }));
};

const spareFor = (rig: Rig, deviceId: string): string | null => {
  const dead = entry(rig.devices, deviceId);
  if (!dead) return null;
  const used = new Set(
    Object.values(rig.links).flatMap(({ from, to }) => [from.deviceId, to.deviceId]),
  );
  const spare = inOrder(rig.devices).find(
    ([id, { model }]) => id !== deviceId && model.kind === dead.model.kind && !used.has(id),
  );
  return spare?.[1].name ?? null;
};

/** Those left that can be made, nearest to what the dead one served first. */
const scenesAfter = (before: Analysis, after: Analysis, dead: ReadonlySet<string>) => {
  const made = new Set(
    scenesMade(before)
      .filter(({ short }) => short.length === 0)
      .map(({ sceneId }) => sceneId),
  );
  const served = new Set(
    [...dead].flatMap((id) => {
      const device = entry(before.rig.devices, id);
      return device?.personId ? [device.personId] : [];
    }),
  );
  const left: SceneLeft[] = [];
  const lost: string[] = [];
  for (const { sceneId, scene, short } of scenesMade(after)) {
    const was = entry(before.rig.scenes, sceneId);
    const usesDead = was?.layers.some(({ deviceId }) => dead.has(deviceId)) ?? false;
    if (!made.has(sceneId)) continue;
    // A voice that is missing leaves a picture to cut to.
    if (usesDead || short.some(({ resource }) => resource !== 'voice')) {
      lost.push(scene.name);
      continue;
    }
    const people = scene.layers.flatMap(({ deviceId }) => {
      const personId = entry(before.rig.devices, deviceId)?.personId;
      return personId && served.has(personId) ? [personId] : [];
    });
    left.push({
      sceneId,
      name: scene.name,
      shows: people.map((id) => entry(before.rig.people, id)?.name ?? id),
    });
  }
  // A scene that shows whom the dead one showed comes first; then the order of the rig.
  return { lost, left: left.sort((a, b) => b.shows.length - a.shows.length) };
};

/** Whoever is on site and still heard once it is dead: their microphones can be shared. */
const stillHeard = (after: Analysis): string[] =>
  coverage(after).flatMap(({ need, verdict, subject }) =>
    need === 'heard' &&
    verdict !== 'missing' &&
    entry(after.rig.people, subject.id)?.where === 'on site'
      ? [subject.name]
      : [],
  );

const aboutPicture = ({ lost, left: [best] }: ReturnType<typeof scenesAfter>): string[] => {
  if (lost.length === 0) return [];
  if (!best) return ['No scene is left: say so on another way to those who watch, and wait.'];
  const { name, shows } = best;
  const inIt =
    shows.length === 0 ? '' : `: ${shows.join(' and ')} ${shows.length === 1 ? 'is' : 'are'} in it`;
  return [`Cut to ${name}${inIt}.`];
};

const aboutVoices = (isHeardLess: boolean, after: Analysis): string[] => {
  if (!isHeardLess) return [];
  const [nearest] = stillHeard(after);
  return [
    nearest === undefined
      ? 'Nobody in the room is heard any more: cut to a card or a film, and wait.'
      : `Share a microphone that is on: ${nearest} is still heard.`,
  ];
};

/**
 * What happens when a device dies, with those that are dead already.
 * @param dead others that are dead already: what they took along is not told again
 */
export const ifDies = (
  analysis: Analysis,
  deviceId: string,
  dead: readonly string[] = [],
): IfDies => {
  const earlier = dead.filter((id) => id !== deviceId);
  const before =
    earlier.length === 0 ? analysis : reanalyse(analysis, without(analysis.rig, earlier));
  const after = reanalyse(before, without(before.rig, [deviceId]));
  const lines = compared(before, after);
  const lost = lines
    .filter(({ isWorse }) => isWorse)
    .map(({ line, after: later }) =>
      later?.verdict === 'partly'
        ? `${line.subject.name}: ${STILL[line.need]}, but not as asked for. ${later.says}`
        : `${line.subject.name}: ${LOST[line.need]}.`,
    );
  const still = lines
    .filter(
      ({ line, isWorse }) => !isWorse && line.verdict !== 'missing' && line.by.includes(deviceId),
    )
    .map(
      ({ line, after: later }) => `${line.subject.name}: ${STILL[line.need]}. ${later?.says ?? ''}`,
    );
  const scenes = scenesAfter(before, after, new Set([deviceId, ...earlier]));
  const isHeardLess = lines.some(
    ({ line, isWorse }) => isWorse && line.need === 'heard' && line.subject.kind === 'person',
  );
  const { name } = analysis.device({ id: deviceId });
  const spare = spareFor(before.rig, deviceId);
  return {
    deviceId,
    name,
    lost,
    still,
    scenesLost: scenes.lost,
    scenesLeft: scenes.left,
    todo: [
      ...aboutPicture(scenes),
      ...aboutVoices(isHeardLess, after),
      ...(spare === null ? [] : [`${spare} is there and not in use: plug it in for ${name}.`]),
      `Look at the power and the plugs of ${name}: it may have lost only one of them.`,
      ...(lost.length + scenes.lost.length === 0
        ? ['Go on: nothing that was asked for is lost. Mark it and mend it afterwards.']
        : []),
    ],
  };
};

/** Devices worth a card of their own, in the order of the rig. */
export const mayDie = ({ devices }: Pick<Rig, 'devices'>): readonly string[] =>
  inOrder(devices)
    .filter(([, { model }]) => MAY_DIE.includes(model.kind))
    .map(([id]) => id);

/** A card for every likely failure that costs something; those that cost most first. */
export const failureCards = (
  analysis: Analysis,
  onProgress?: (done: number, of: number) => void,
): IfDies[] => {
  const ids = mayDie(analysis.rig);
  return ids
    .map((id, at) => {
      const card = ifDies(analysis, id);
      onProgress?.(at + 1, ids.length);
      return card;
    })
    .filter(({ lost, scenesLost }) => lost.length + scenesLost.length > 0)
    .sort((a, b) => b.lost.length - a.lost.length || b.scenesLost.length - a.scenesLost.length);
};
