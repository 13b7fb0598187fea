import { classById } from '../catalogue';
import type { LinkEdge } from '../graph';
import type { Measured } from '../passes/measured';
import { middleM, stoodAt } from '../passes/place/stood';
import { apply, entry, freeId, type Rig, type SimpleCommand } from '../rig';
import { cable, type CableId, reachM, STOCK_LENGTHS_M } from '../rig/links/cables';
import type { Fix } from './fix';
import { join } from './join';
import { added } from './plugging';
import { disconnect, otherCables } from './splice';

/** Remedies of a run that its cable does not go, as edits. Lengths in metres, loads in Gb/s. */

/** A cable that would carry the load over the length. */
const longerCable = (edge: LinkEdge, gbps: number, warnShare: number): Fix[] => {
  // A USB cable of a lower class would slow the device down.
  const neededGbps =
    edge.from.port.family === 'usb' ? (cable(edge.link.cable.kind).maxGbps ?? 0) : gbps;
  return otherCables(edge)
    .filter(
      (id) =>
        reachM(cable(id), gbps) * warnShare >= edge.link.cable.lengthM &&
        (cable(id).maxGbps ?? Infinity) >= neededGbps,
    )
    .slice(0, 1)
    .map((id) => ({
      label: `Use ${cable(id).name}`,
      command: {
        type: 'setCable',
        linkId: edge.id,
        cable: { kind: id, lengthM: edge.link.cable.lengthM },
      },
    }));
};

interface Box {
  readonly classId: string;
  readonly into: string;
  readonly out: string;
}

interface Detour {
  readonly label: string;
  readonly boxes: readonly [Box, Box?];
  /** One box, with half of the run before it */
  readonly isHalfWay?: true;
}

/** Between a device and the converter beside it. @unit m */
const BESIDE_M = 1;

/**
 * Puts converters into a link so that the long run is of another kind: one box at its near end, and
 * another at its far end where one is given; or one half way.
 * @returns null where a plug does not fit
 */
const convert = (
  rig: Rig,
  edge: LinkEdge,
  { boxes: [near, far], isHalfWay }: Detour,
): readonly SimpleCommand[] | null => {
  const { from, to, cable: run } = edge.link;
  const name = entry(rig.devices, from.deviceId)?.name ?? from.deviceId;
  const commands: SimpleCommand[] = [disconnect(edge)];
  let now = apply(rig, disconnect(edge));
  const then = (command: SimpleCommand | null): boolean => {
    if (!command) return false;
    commands.push(command);
    now = apply(now, command);
    return true;
  };
  const longM = isHalfWay ? run.lengthM / 2 : run.lengthM;
  let at = from;
  for (const [index, box] of [near, ...(far ? [far] : [])].entries()) {
    const model = classById(box.classId);
    const deviceId = freeId(`${from.deviceId}-${model.kind}`, now.devices);
    then(added(deviceId, `${name} ${model.kind}${index === 0 ? '' : ', far end'}`, box.classId));
    const lengthM = index > 0 || isHalfWay ? longM : BESIDE_M;
    if (!then(join(now, at, { deviceId, portId: box.into }, { lengthM }))) return null;
    at = { deviceId, portId: box.out };
  }
  return then(join(now, at, to, { lengthM: far ? BESIDE_M : longM })) ? commands : null;
};

const AS_SDI: Detour = {
  label: 'Run it as SDI, with a converter at each end',
  boxes: [
    { classId: 'converter-hdmi-sdi', into: 'in', out: 'out' },
    { classId: 'converter-sdi-hdmi', into: 'in', out: 'out' },
  ],
};

/** What goes farther with a box, by the cable that does not. */
const DETOURS: Partial<Record<CableId, Detour>> = {
  hdmi: AS_SDI,
  'hdmi-optical': AS_SDI,
  'hdmi-fast': AS_SDI,
  'hdmi-fast-optical': AS_SDI,
  'sdi-coax': {
    label: 'Put a distributor that reclocks half way',
    boxes: [{ classId: 'splitter-sdi-4', into: 'in', out: 'out-1' }],
    isHalfWay: true,
  },
  unbalanced: {
    label: 'Balance it with a converter where it begins',
    boxes: [{ classId: 'converter-line', into: 'in', out: 'out' }],
  },
};

const detour = ({ rig }: Measured, edge: LinkEdge): Fix[] => {
  const way = DETOURS[edge.link.cable.kind];
  const commands = way ? convert(rig, edge, way) : null;
  return way && commands
    ? [{ label: way.label, command: { type: 'batch', label: way.label, commands: [...commands] } }]
    : [];
};

/** Slack of a run: a share of it, and never less than at both ends together. @source handbook 5, cables */
const SLACK_SHARE = 0.1;
const SLACK_LEAST_M = 0.6;

/**
 * Length of a cable between two devices as they stand: down, along the walls' two directions, and up; straight
 * across where both stand on one thing.
 * @returns the stock length that covers it, m; Infinity where none does; null where either stands nowhere
 */
const stockBetweenM = (measured: Measured, { from, to }: LinkEdge): number | null => {
  const [a, b] = [from, to].map(({ device }) => stoodAt(measured, device.id));
  if (!a || !b) return null;
  const runM =
    Math.abs(a.spot.xM - b.spot.xM) +
    Math.abs(a.spot.yM - b.spot.yM) +
    (a.supportId !== null && a.supportId === b.supportId
      ? 0
      : (middleM(a) ?? 0) + (middleM(b) ?? 0));
  const neededM = runM + Math.max(SLACK_LEAST_M, runM * SLACK_SHARE);
  return STOCK_LENGTHS_M.find((stockM) => stockM >= neededM) ?? Infinity;
};

const isPlaced = (measured: Measured, { from, to }: LinkEdge): boolean =>
  [from, to].every(({ device }) => stoodAt(measured, device.id) !== undefined);

/** A shorter one: what is needed as the two stand, or the longest that goes where nobody has placed them. */
const shorter = (
  measured: Measured,
  edge: LinkEdge,
  { gbps, warnShare }: { gbps: number; warnShare: number },
): Fix[] => {
  const { kind, lengthM: typedM } = edge.link.cable;
  const goesM = reachM(cable(kind), gbps) * warnShare;
  const neededM = stockBetweenM(measured, edge);
  const lengthM = neededM ?? STOCK_LENGTHS_M.findLast((stockM) => stockM <= goesM);
  if (lengthM === undefined || lengthM >= typedM || lengthM > goesM) return [];
  return [
    {
      label:
        neededM === null
          ? `Stand them nearer and lay ${lengthM} m`
          : `Lay ${lengthM} m, where it can go as straight as on the plan`,
      command: { type: 'setCable', linkId: edge.id, cable: { kind, lengthM } },
    },
  ];
};

/**
 * What helps where a cable does not go as far as it is laid: the length that is needed, another cable,
 * converters, and for one that carries nothing at last doing without.
 * @param gbps load on it; 0 for sound @param is whether it only comes near its reach, is beyond it, or carries
 * nothing at all @param warnShare of its reach from which a cable is warned of
 */
export const farther = (
  measured: Measured,
  edge: LinkEdge,
  { gbps, warnShare, is }: { gbps: number; warnShare: number; is: 'near' | 'beyond' | 'dead' },
): Fix[] => {
  const atLast = (fix: Fix): Fix => ({ ...fix, isLast: true });
  // Where a cable only comes near its reach, its length is believed: the way may go round things.
  const nearer = is === 'near' ? [] : shorter(measured, edge, { gbps, warnShare });
  return [
    ...(isPlaced(measured, edge) ? nearer : []),
    ...longerCable(edge, gbps, warnShare),
    ...detour(measured, edge).map(atLast),
    ...(isPlaced(measured, edge) ? [] : nearer.map(atLast)),
    ...(is === 'dead' ? [atLast({ label: 'Unplug it', command: disconnect(edge) })] : []),
  ];
};
