import { type DeviceNode, isOpen, type PortNode, stagesOf, type Thread } from '../graph';
import { measure } from '../passes/measure';
import type { Measured } from '../passes/measured';
import { nameOf } from '../passes/names';
import { apply, type SimpleCommand } from '../rig';
import { type Fix, simpleOf } from './fix';
import { closeGates, gatesOn } from './gates';
import { joinings } from './onward';

/** Sound put into the picture before both go on together, as edits. */

const LINES: ReadonlySet<string> = new Set(['line', 'consumer line']);
const MAKES_MIXES: ReadonlySet<string> = new Set(['mixer', 'interface', 'stage-box']);

const passedBy = (threads: readonly Thread[]): DeviceNode[] => [
  ...new Set(threads.flatMap(({ last }) => stagesOf(last).map(({ at }) => at.device))),
];

/** A switch that has to be on for anything to leave by a port; none where something does. */
const opening = (
  measured: Measured,
  { id, model }: DeviceNode,
  portId: string,
): SimpleCommand[] => {
  const ways = Object.values(model.routes).filter(({ to, sound }) => sound && to.includes(portId));
  if (ways.some((way) => isOpen(measured.device({ id }), way))) return [];
  const [control] = ways.flatMap(({ when }) => (when?.is === true ? [when.control] : []));
  return control === undefined ? [] : [{ type: 'setControl', deviceId: id, control, value: true }];
};

/**
 * Connects what mixes the voices of a place to a sound input that its picture passes, and takes the sound
 * out of the way it came by, where that leaves nobody unheard.
 */
export const withPicture = (measured: Measured, placeId: string): Fix[] => {
  const there = measured.traced.threads.filter(({ end }) => end.device.id === placeId);
  const [sounds, pictures] = (['sound', 'picture'] as const).map((wanted) =>
    there.filter(({ signal }) => signal === wanted),
  ) as [Thread[], Thread[]];
  // What all of the sound goes through as well is where they meet, not how the picture comes there.
  const isShared = (device: DeviceNode): boolean =>
    sounds.every(({ last }) => stagesOf(last).some(({ at }) => at.device === device));
  const seen = passedBy(pictures).filter((device) => !isShared(device));
  const mixes = passedBy(sounds).filter(
    (device) => MAKES_MIXES.has(device.model.kind) && !seen.includes(device),
  );
  const isIn = ({ last }: Thread): boolean =>
    stagesOf(last).some(({ at }) => seen.includes(at.device));
  // What is in the picture already has only to be left alone there.
  const apart = gatesOn(sounds.filter((thread) => !isIn(thread)));
  if (sounds.some(isIn)) return closeGates(measured, apart);
  // A line into a domestic one is too loud and can be turned down: what that brings is found by trying.
  const isLine = ({ port }: PortNode): boolean =>
    port.family === 'digital sound' || (port.family === 'analogue' && LINES.has(port.nominal));
  return joinings(
    measured,
    new Set(mixes),
    new Set(seen),
    (out, to) => isLine(out) && isLine(to),
  ).flatMap(({ from, into, command }): Fix[] => {
    const label = `Connect ${nameOf(measured, from)} to ${nameOf(measured, into)}`;
    const commands = [...opening(measured, from.device, from.id), command];
    const joined = measure(
      apply(measured.rig, { type: 'batch', label: 'Try', commands }),
      measured,
    );
    const before = sounds.filter(({ last }) =>
      stagesOf(last).some(({ at }) => at.device === from.device),
    );
    return closeGates(joined, gatesOn(before)).map((fix) => ({
      label: `${label}. ${fix.label}`,
      command: { type: 'batch', label, commands: [...commands, ...simpleOf(fix)] },
    }));
  });
};
