import { type Analysis, reanalyse } from '../../analyse';
import { framed } from '../../passes/framing';
import { onDesks } from '../../passes/place';
import {
  apply,
  numberSetting,
  reachesFocal,
  Refusal,
  type Rig,
  type SimpleCommand,
} from '../../rig';
import { type Finding, findingKey, type Level } from '../../rules';
import { steppedNear } from '../../edits/stepped';
import { arrangeDesk } from '../desk/arrange';
import { layOut, type Way } from './layout';
import { largestFloor, stagesOf } from './stage';

/**
 * "Place it for me": everybody and everything of a rig in its room, tried in several ways and judged
 * by the rules. The best is proposed.
 */
export interface Placing {
  readonly commands: readonly SimpleCommand[];
  /** Findings of place and stands that it brings, by level; those of the room itself were there before */
  readonly leaves: Readonly<Record<Level, number>>;
  /** Ways that were tried */
  readonly tried: number;
  readonly says: string;
}

const WEIGHT: Readonly<Record<Level, number>> = { stop: 1000, warn: 20, note: 1 };
/** Arranging a desk is tried so often for each way; more would keep a person waiting. */
const DESK_TRIES = 20_000;

const isOfPlace = ({ area }: Finding): boolean => area === 'place' || area === 'stands';

const applied = (rig: Rig, commands: readonly SimpleCommand[]): Rig =>
  commands.length === 0
    ? rig
    : apply(rig, { type: 'batch', label: 'Placed everything.', commands: [...commands] });

/** Focal lengths that frame what is wanted from where the cameras now stand. */
export const zooms = (analysis: Analysis): SimpleCommand[] =>
  framed(analysis).flatMap(({ device, shot, camera, lens, focalForWantedMm }): SimpleCommand[] => {
    if (!camera || focalForWantedMm === null || (lens && !reachesFocal(lens, focalForWantedMm)))
      return [];
    const value = steppedNear(device, camera.focalControl, focalForWantedMm);
    return value === null || value === numberSetting(device, camera.focalControl)
      ? []
      : [{ type: 'setControl', deviceId: shot.deviceId, control: camera.focalControl, value }];
  });

interface Tried {
  readonly commands: readonly SimpleCommand[];
  readonly after: Analysis;
  readonly cost: number;
}

/** What arranging a desk takes care of counts only once it is arranged. */
const ARRANGED: ReadonlySet<string> = new Set(['stands.overlap', 'stands.overhang']);
/** So many of the ways, the best first, have their desks arranged. */
const MOST_ARRANGED = 4;

/** One way, with lenses set, and desks arranged if that is asked for. @returns null where the rig refuses it */
const tryWay = (
  analysis: Analysis,
  way: Way,
  known: ReadonlySet<string>,
  arranges: boolean,
): Tried | null => {
  try {
    const commands = layOut(analysis, way);
    let after = reanalyse(analysis, applied(analysis.rig, commands));
    const add = (more: readonly SimpleCommand[]): void => {
      if (more.length === 0) return;
      after = reanalyse(after, applied(after.rig, more));
      commands.push(...more);
    };
    add(zooms(after));
    for (const { id } of arranges ? onDesks(after) : [])
      add(arrangeDesk(after, id, undefined, DESK_TRIES)?.commands ?? []);
    const counted = after.findings.filter(
      (finding) => !known.has(findingKey(finding)) && (arranges || !ARRANGED.has(finding.code)),
    );
    const unplaced = Object.values(after.rig.devices).filter(({ at, on }) => !at && !on).length;
    return {
      commands,
      after,
      cost: counted.reduce((sum, { level }) => sum + WEIGHT[level], 0) + 0.01 * unplaced,
    };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

const GEARS = ['own desk', 'the table', 'left out'] as const;

/**
 * Places everybody and everything that has no place yet.
 * @returns null where the room is not drawn, or nobody and nothing is to be placed
 */
export const placeAll = (
  analysis: Analysis,
  onProgress?: (tried: number, of: number) => void,
): Placing | null => {
  const floor = analysis.rig.shell && largestFloor(analysis.rig.shell.corners);
  if (!floor || Object.keys(analysis.rig.people).length === 0) return null;
  const known = new Set(analysis.findings.map(findingKey));
  const ways = stagesOf(floor).flatMap((stage) =>
    GEARS.flatMap((gear) =>
      [0, -0.15 * stage.acrossM, 0.15 * stage.acrossM].map((asideM): Way => ({
        stage,
        gear,
        asideM,
      })),
    ),
  );
  const ranked = ways
    .flatMap((way, index) => {
      onProgress?.(index, ways.length);
      const tried = tryWay(analysis, way, known, false);
      return tried ? [{ way, index, cost: tried.cost }] : [];
    })
    .sort((a, b) => a.cost - b.cost || a.index - b.index);
  const [found] = ranked
    .slice(0, MOST_ARRANGED)
    .flatMap(({ way }) => tryWay(analysis, way, known, true) ?? [])
    .sort((a, b) => a.cost - b.cost);
  if (!found) return null;
  const left = found.after.findings.filter(
    (finding) => isOfPlace(finding) && !known.has(findingKey(finding)),
  );
  const leaves = {
    stop: left.filter(({ level }) => level === 'stop').length,
    warn: left.filter(({ level }) => level === 'warn').length,
    note: left.filter(({ level }) => level === 'note').length,
  };
  return {
    commands: found.commands,
    leaves,
    tried: ways.length,
    says:
      leaves.stop + leaves.warn + leaves.note === 0
        ? `The best of ${ways.length} ways that were tried. Nothing of it is complained about.`
        : `The best of ${ways.length} ways that were tried. It brings ${leaves.stop} stops, ` +
          `${leaves.warn} warnings and ${leaves.note} notes of place and stands.`,
  };
};
