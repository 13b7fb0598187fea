import { type DeviceNode, type LinkEdge, stagesOf } from '../graph';
import type { Measured } from '../passes/measured';
import { apply, freeId, type Rig, type SimpleCommand } from '../rig';
import { join } from './join';
import { added, type Attempt } from './plugging';
import { splice } from './splice';

/** Machines that record by themselves, as edits to be tried: for want of a way through what is there. */

/** A machine that records a picture on its own drive and passes it on, put into a cable. */
const recorderIn = (rig: Rig, edge: LinkEdge): readonly SimpleCommand[] => {
  const { port } = edge.from;
  const isSdi = port.family === 'picture' && port.standard === 'sdi';
  return splice(rig, edge, isSdi ? 'recorder-picture-sdi' : 'recorder-picture', {
    in: 'in',
    out: 'loop',
  }).commands;
};

/** A source and the machine it is recorded on, apart from everything that is there. */
const apart = (
  measured: Measured,
  label: string,
  source: { readonly classId: string; readonly name: string; readonly port: string },
  machine: { readonly classId: string; readonly port: string },
  owner: { readonly personId: string | null; readonly sightId: string | null },
): Attempt[] => {
  const { rig } = measured;
  const sourceId = freeId(source.name, rig.devices);
  const machineId = freeId(`${source.name} recorder`, rig.devices);
  const before: SimpleCommand[] = [
    added(sourceId, source.name, source.classId, owner.personId),
    added(machineId, `${source.name} recorder`, machine.classId),
    ...(owner.sightId === null
      ? []
      : [{ type: 'showSight', deviceId: sourceId, sightId: owner.sightId } as const]),
  ];
  const cable = join(
    apply(rig, { type: 'batch', label: 'Add', commands: before }),
    { deviceId: sourceId, portId: source.port },
    { deviceId: machineId, portId: machine.port },
  );
  return cable ? [{ label, kind: 'apart', commands: [...before, cable], isLast: true }] : [];
};

/** A microphone on a recorder of its own, put in sync afterwards. */
export const heardApart = (measured: Measured, name: string, personId: string): Attempt[] =>
  apart(
    measured,
    `Add a microphone for ${name} on a recorder of its own, to be put in sync`,
    { classId: 'mic-dynamic-stage', name: `${name} mic`, port: 'out' },
    { classId: 'recorder-sound', port: 'mic-1' },
    { personId, sightId: null },
  );

/** A camera on a recorder of its own, put in sync afterwards. */
export const seenApart = (
  measured: Measured,
  name: string,
  owner: { readonly personId: string | null; readonly sightId: string | null },
): Attempt[] =>
  apart(
    measured,
    `Add a camera for ${name} on a recorder of its own, to be put in sync`,
    { classId: 'camera-camcorder', name: `${name} camera`, port: 'hdmi' },
    { classId: 'recorder-picture', port: 'in' },
    owner,
  );

/** One in the way of each stream, the nearest to it first. */
export const recorderBeforeStream = (measured: Measured, name: string): Attempt[] =>
  measured.traced.threads
    .filter(({ signal, end }) => signal === 'picture' && end.device.model.kind === 'stream')
    .flatMap(({ last }) => stagesOf(last))
    .flatMap(({ via }): Attempt[] => {
      if (via.by !== 'link' || via.link.from.port.family !== 'picture') return [];
      const into = measured.device(via.link.to.device).name;
      return [
        {
          label: `Record ${name} on a machine before ${into}`,
          kind: 'machine',
          commands: recorderIn(measured.rig, via.link),
        },
      ];
    })
    .reverse();

/** One behind every camera that is plugged in. */
export const recorderAtCameras = (
  measured: Measured,
  isCamera: (node: DeviceNode) => boolean,
): Attempt[] => {
  const commands: SimpleCommand[] = [];
  let now = measured.rig;
  const done = new Set<DeviceNode>();
  for (const edge of measured.graph.links.values()) {
    const { device, port } = edge.from;
    if (!isCamera(device) || done.has(device) || port.family !== 'picture') continue;
    done.add(device);
    const more = recorderIn(now, edge);
    commands.push(...more);
    now = apply(now, { type: 'batch', label: 'Add', commands: [...more] });
  }
  return commands.length > 0
    ? [{ label: 'Record every camera on a machine of its own', kind: 'machines', commands }]
    : [];
};
