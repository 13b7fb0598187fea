import deepEqual from 'fast-deep-equal';
import { framedBy } from '../../passes/framing';
import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp, moveLamp, turnTo } from '../../edits/light';
import { exposures } from '../../passes/exposure';
import { lampSources, type LightSource, movedTo } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { bearing, distanceBetween, stepped } from '../../passes/place';
import { figure } from '../../passes/sum';
import { entry, numberSetting, type SimpleCommand, USUAL_MODIFIERS } from '../../rig';
import type { LightAnswer } from './answer';
import { bestLevels, type Chosen } from './programme';
import { whyNot } from './may-stand';
import { withLamp, withNeed } from './variants';
import { type LightTask, type LightWish, taskOf } from './wish';

/** What would make a wish possible that the lamps cannot meet as they stand: each is tried. */

export interface LightCure {
  readonly label: string;
  /** Dimmers that go with it. @unit % */
  readonly levels: LightAnswer['levels'];
  readonly watts: number;
  readonly commands: readonly SimpleCommand[];
  /** How far a lamp is carried, m; 0 for what is only turned or set */
  readonly byM: number;
}

const levelsOf = (task: LightTask, { levels: { shares } }: Chosen): LightAnswer['levels'] =>
  task.lamps.map(({ id, name, share }) => ({
    id,
    name,
    now: 100 * share,
    to: Math.round(1000 * (shares[id] ?? 0)) / 10,
  }));

const cure = (
  measured: Measured,
  label: string,
  task: LightTask,
  chosen: Chosen,
  commands: readonly SimpleCommand[],
  byM = 0,
): LightCure => ({
  label,
  levels: levelsOf(task, chosen),
  watts: task.lamps.reduce(
    (sum, { id, watts }) => sum + watts * (chosen.levels.shares[id] ?? 0),
    0,
  ),
  commands: [
    ...commands,
    ...task.lamps.flatMap(({ id }) => dimTo(measured, id, 100 * (chosen.levels.shares[id] ?? 0))),
  ],
  byM,
});

/** Many are tried: of each only what is likely is looked at. */
const QUICK = { most: 1, isQuick: true } as const;

/** How far a lamp is carried at a time, and at most. @unit m */
const STEP_M = 0.2;
const MOST_M = 1.6;
/** Nearer to a face than this no lamp is put. @unit m */
const NEAREST_M = 0.8;

/** Every lamp a step and more nearer to the middle of the faces it is for. */
const closer = (measured: Measured, task: LightTask): LightCure[] =>
  lampSources(measured).flatMap((source) => {
    if (!task.lamps.some(({ id }) => id === source.id)) return [];
    const nearest = [...task.faces].sort(
      (a, b) => distanceBetween(a.face.eyes, source.at) - distanceBetween(b.face.eyes, source.at),
    )[0];
    if (!nearest) return [];
    const { eyes } = nearest.face;
    const farM = distanceBetween(eyes, source.at);
    for (let byM = STEP_M; byM <= MOST_M + 1e-9 && farM - byM >= NEAREST_M; byM += STEP_M) {
      const direction = bearing(source.at, eyes);
      const found = moved(measured, task, source, direction, Number(byM.toFixed(2)));
      if (found)
        return [
          { ...found, label: `Bring ${nameOfThing(measured, source)} ${figure(byM)} m closer` },
        ];
    }
    return [];
  });

/** A lamp carried somewhere else, if that meets everything. */
const moved = (
  measured: Measured,
  task: LightTask,
  source: LightSource,
  directionDeg: number,
  byM: number,
): LightCure | null => {
  const to = stepped(source.at, directionDeg, byM);
  const commands = moveLamp(measured, source.id, directionDeg, byM);
  const there = movedTo(measured, source, { ...to, zM: source.at.zM });
  // Where it stands already it may stand as badly as elsewhere.
  if (commands.length === 0 || (whyNot(measured, there) && !whyNot(measured, source))) return null;
  const other = withLamp(measured, task, there);
  const chosen = bestLevels(other, QUICK);
  return (
    chosen &&
    cure(
      measured,
      `Move ${nameOfThing(measured, source)} ${figure(byM)} m, to ${figure(directionDeg, 0)}° on the plan`,
      other,
      chosen,
      commands,
      byM,
    )
  );
};

/** Directions a lamp is carried in, and how far. */
const WAYS = 12;
const FAR_M = [0.3, 0.6, 0.9, 1.2];

/** A lamp carried anywhere about: the shortest way that serves, once for each lamp. */
const aside = (measured: Measured, task: LightTask): LightCure[] =>
  lampSources(measured).flatMap((source) => {
    if (!task.lamps.some(({ id }) => id === source.id)) return [];
    for (const byM of FAR_M) {
      const found = Array.from({ length: WAYS }, (_, way) => (360 * way) / WAYS).flatMap(
        (directionDeg) => moved(measured, task, source, directionDeg, byM) ?? [],
      );
      const [best] = found.sort((a, b) => a.watts - b.watts);
      if (best) return [best];
    }
    return [];
  });

/** Cameras may be opened so far. @unit stops */
const MOST_STOPS = 3;

/** What opens every camera by some stops: sensitivity as long as it is clean, then the aperture. */
const opened = (measured: Measured, stops: number): SimpleCommand[] | null => {
  const commands: SimpleCommand[] = [];
  const seen = new Set<string>();
  for (const { framing, faces } of exposures(measured)) {
    const { camera, exposure, fNumber, shot } = framing;
    const device = framedBy(measured, framing);
    if (!camera || exposure !== 'set' || faces.length === 0 || seen.has(shot.deviceId)) continue;
    seen.add(shot.deviceId);
    const iso = numberSetting(device, camera.isoControl) ?? 0;
    if (iso * 2 ** stops <= measured.rig.lightRules.cleanIso + 1e-9) {
      commands.push(...turnTo(measured, shot.deviceId, camera.isoControl, iso * 2 ** stops));
      continue;
    }
    const control = entry(device.model.controls, camera.fNumberControl);
    const wide = fNumber === null ? 0 : fNumber / 2 ** (stops / 2);
    const least = Math.max(
      framing.lens?.widest ?? 0,
      control?.type === 'amount' ? control.min : 99,
    );
    if (wide < least) return null;
    commands.push(...turnTo(measured, shot.deviceId, camera.fNumberControl, wide));
  }
  return commands.length > 0 ? commands : null;
};

const opener = (measured: Measured, task: LightTask): LightCure[] => {
  for (let stops = 1; stops <= MOST_STOPS; stops++) {
    const commands = opened(measured, stops);
    if (!commands) return [];
    const other = withNeed(task, 2 ** -stops);
    const chosen = bestLevels(other, QUICK);
    if (chosen)
      return [
        cure(
          measured,
          `Open every camera by ${stops} ${stops === 1 ? 'stop' : 'stops'}`,
          other,
          chosen,
          commands,
        ),
      ];
  }
  return [];
};

/** Another modifier on a lamp, or none. */
const worn = (measured: Measured, task: LightTask): LightCure[] =>
  lampSources(measured).flatMap((source) => {
    const { lamp, figures } = source;
    if (!lamp || !figures?.takesModifiers || !task.lamps.some(({ id }) => id === source.id))
      return [];
    const others = [null, ...USUAL_MODIFIERS].filter(
      (modifier) => !deepEqual(modifier, lamp.modifier ?? null),
    );
    for (const modifier of others) {
      const other = withLamp(measured, task, {
        ...source,
        luxAt1m: figures.luxAt1m * (modifier?.transmission ?? 1),
        beamDeg: modifier?.beamDeg ?? figures.beamDeg,
        widthM: modifier?.widthM ?? figures.widthM,
        heightM: modifier?.heightM ?? figures.heightM,
        lamp: { ...lamp, modifier },
      });
      const chosen = bestLevels(other, QUICK);
      if (chosen)
        return [
          cure(
            measured,
            modifier
              ? `Put ${modifier.name} on ${nameOfThing(measured, source)}`
              : `Bare ${nameOfThing(measured, source)} of ${lamp.modifier?.name ?? 'what it wears'}`,
            other,
            chosen,
            [hangLamp(source.id, { modifier })],
          ),
        ];
    }
    return [];
  });

/** The house's ratio let go, if that alone stands in the way: said last, because it gives something up. */
const ratioLetBe = (measured: Measured, task: LightTask): LightCure[] => {
  const other: LightTask = {
    ...task,
    faces: task.faces.map((wanted) => ({ ...wanted, ratio: null })),
  };
  const chosen = bestLevels(other, QUICK);
  return chosen ? [cure(measured, 'Let the ratio be what it comes to', other, chosen, [])] : [];
};

/**
 * Everything that was tried and serves; none where nothing stands in the way. Cheapest first: what is
 * only set, then what is carried, the shortest way first; what gives something up comes last.
 */
export const curesOf = (measured: Measured, wish: LightWish): LightCure[] => {
  const task = taskOf(measured, wish);
  if (task.lamps.length === 0 || task.faces.length === 0 || bestLevels(task)) return [];
  const carried = [...closer(measured, task), ...aside(measured, task)].sort(
    (a, b) => a.byM - b.byM,
  );
  return [
    ...(wish.faceLux === undefined ? opener(measured, task) : []),
    ...worn(measured, task),
    ...carried,
    ...ratioLetBe(measured, task),
  ];
};
