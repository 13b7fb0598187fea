import type { DeviceNode } from '../graph';
import type { Measured } from '../measure';
import { numberSetting, type Storage } from '../rig';
import { gbPerHour, hoursThatFit, SOUND_CHANNEL_MBPS, writeMBps } from '../storage';
import { ByDevice, deliverableFor, deliverableOf } from './work';

/** Something that flows to a drive or up the line. */
export interface Flow {
  readonly label: string;
  /** @unit Mb/s */
  readonly mbps: number;
}

/** What a drive is asked to write, against what it can. */
export interface DriveLoad {
  readonly node: DeviceNode;
  readonly storage: Storage;
  readonly flows: readonly Flow[];
  /** @unit Mb/s */
  readonly mbps: number;
  /** @unit MB/s */
  readonly writeMBps: number;
  /** @unit GB per hour */
  readonly gbPerHour: number;
  /** @unit h; null where the capacity is not known or nothing is written */
  readonly hours: number | null;
}

const total = (flows: readonly Flow[]): number => flows.reduce((sum, { mbps }) => sum + mbps, 0);

/** Files that computers write: one for a programme, one for each picture, one for each voice; and pictures that recorders and recording switchers write. */
const flowsByDevice = (measured: Measured): ByDevice<Flow> => {
  const found = new ByDevice<Flow>();
  for (const { signal, last, end, source } of measured.traced.threads) {
    const { storage } = end.device.device.model;
    if (storage?.bitrateControl !== undefined) {
      // An input is one picture, whatever was put together before it.
      const input = last.via.by === 'route' && last.parent ? last.parent.at : last.at;
      if (signal === 'picture' && measured.picture[last.index]?.format) found.put(end.device, input.id, { label: input.port.name, mbps: numberSetting(end.device.device, storage.bitrateControl) ?? 0 });
      continue;
    }
    if (last.via.by !== 'link' || end.device.device.model.kind !== 'recording') continue;
    const deliverable = deliverableFor(measured, end.device);
    if (!deliverable) continue;
    const writer = last.via.link.from.device;
    const { name } = end.device.device;
    if (deliverable.what === 'voice tracks') {
      if (signal === 'sound') found.put(writer, `${end.device.id} ${source.index}`, { label: `${name}: ${source.device.device.name}`, mbps: SOUND_CHANNEL_MBPS });
    } else if (signal === 'picture' && deliverable.bitrateMbps !== null) {
      const apart = deliverable.what === 'camera recordings';
      found.put(writer, apart ? `${end.device.id} ${source.device.id}` : end.device.id, { label: apart ? `${name}: ${source.device.device.name}` : name, mbps: deliverable.bitrateMbps });
    }
  }
  return found;
};

const known = new WeakMap<Measured['traced'], readonly DriveLoad[]>();

/** What every drive and card of the rig has to write. */
export const driveLoads = (measured: Measured): readonly DriveLoad[] => {
  const made = known.get(measured.traced) ?? makeLoads(measured);
  known.set(measured.traced, made);
  return made;
};

const makeLoads = (measured: Measured): readonly DriveLoad[] => {
  const all = flowsByDevice(measured);
  return [...measured.graph.devices.values()].flatMap((node) => {
    const { storage } = node.device.model;
    if (!storage) return [];
    const flows = all.of(node);
    const mbps = total(flows);
    return [{ node, storage, flows, mbps, writeMBps: writeMBps(mbps), gbPerHour: gbPerHour(mbps), hours: storage.capacityGb === null || mbps === 0 ? null : hoursThatFit(storage.capacityGb, mbps) }];
  });
};

/** What a call sends up for one guest. @unit Mb/s, typical of 720p */
const CALL_MBPS = 3;

/** Everything that goes up the line out of the building. */
export interface Uplink {
  readonly flows: readonly Flow[];
  /** @unit Mb/s */
  readonly mbps: number;
  /** What the line carries; null where nobody has measured it. @unit Mb/s */
  readonly lineMbps: number | null;
}

export const uplinkOf = (measured: Measured): Uplink => {
  const flows = new Map<string, Flow>();
  for (const { end, signal } of measured.traced.threads) {
    const { kind } = end.device.device.model;
    if (kind === 'stream' && signal === 'picture') flows.set(end.device.id, { label: end.device.device.name, mbps: deliverableOf(measured, 'stream').bitrateMbps ?? 0 });
    if (kind === 'call') flows.set(end.device.id, { label: end.device.device.name, mbps: CALL_MBPS });
  }
  const list = [...flows.values()];
  return { flows: list, mbps: total(list), lineMbps: measured.rig.brief?.uplinkMbps ?? null };
};
