import type { DeviceNode, PortNode } from '../../graph';
import { numberSetting, type Storage } from '../../rig';
import type { Measured } from '../measure';
import { perAnalysis } from '../per-analysis';
import { gbPerHour, hoursThatFit, SOUND_CHANNEL_MBPS, writeMBps } from '../storage';
import { deliverableFor, deliverableOf, pictureInto } from './work';

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

/** A file or picture as it was found; its name is made when it is asked for. */
interface Seed {
  readonly end: PortNode;
  /** Whose file it is, where each voice or picture has its own */
  readonly source: PortNode | null;
  readonly mbps: number;
}

/** One drive's load. Its flows are named only when somebody looks. */
class Load implements DriveLoad {
  readonly mbps: number;
  constructor(
    readonly node: DeviceNode,
    readonly storage: Storage,
    private readonly seeds: readonly Seed[],
  ) {
    this.mbps = seeds.reduce((sum, { mbps }) => sum + mbps, 0);
  }
  get flows(): readonly Flow[] {
    return this.seeds.map(({ end, source, mbps }) => ({
      label:
        end.device === this.node
          ? end.port.name
          : source
            ? `${end.device.device.name}: ${source.device.device.name}`
            : end.device.device.name,
      mbps,
    }));
  }
  get writeMBps(): number {
    return writeMBps(this.mbps);
  }
  get gbPerHour(): number {
    return gbPerHour(this.mbps);
  }
  get hours(): number | null {
    return this.storage.capacityGb === null || this.mbps === 0
      ? null
      : hoursThatFit(this.storage.capacityGb, this.mbps);
  }
}

/**
 * Files that computers write: one for a programme, one for each picture, one for each voice; and
 * pictures that recorders and recording switchers write.
 */
const seedsByDevice = (measured: Measured): ReadonlyMap<DeviceNode, readonly Seed[]> => {
  const found = new Map<DeviceNode, Seed[]>();
  const seen = new Set<number>();
  const ports = measured.graph.ports.length;
  const put = (node: DeviceNode, seed: Seed): void => {
    const key = seed.end.index * (ports + 1) + (seed.source ? seed.source.index + 1 : 0);
    if (seen.has(key)) return;
    seen.add(key);
    const seeds = found.get(node);
    if (seeds) seeds.push(seed);
    else found.set(node, [seed]);
  };
  const deliverables = new Map<DeviceNode, ReturnType<typeof deliverableFor>>();
  for (const thread of measured.traced.threads) {
    const { signal, last, end, source } = thread;
    const { storage, kind } = end.device.device.model;
    if (storage?.bitrateControl !== undefined) {
      // An input is one picture, whatever was put together before it.
      const input = last.via.by === 'route' && last.parent ? last.parent.at : last.at;
      if (signal === 'picture' && measured.picture[last.index]?.format)
        put(end.device, {
          end: input,
          source: null,
          mbps: numberSetting(end.device.device, storage.bitrateControl) ?? 0,
        });
      continue;
    }
    if (kind !== 'recording' || last.via.by !== 'link') continue;
    let deliverable = deliverables.get(end.device);
    if (deliverable === undefined)
      deliverables.set(end.device, (deliverable = deliverableFor(measured, end.device)));
    if (!deliverable) continue;
    const writer = last.via.link.from.device;
    if (deliverable.what === 'voice tracks') {
      if (signal === 'sound') put(writer, { end, source, mbps: SOUND_CHANNEL_MBPS });
    } else if (signal === 'picture' && deliverable.bitrateMbps !== null)
      put(writer, {
        end,
        source: deliverable.what === 'camera recordings' ? pictureInto(thread) : null,
        mbps: deliverable.bitrateMbps,
      });
  }
  return found;
};

/** What every drive and card of the rig has to write. */
export const driveLoads = perAnalysis((measured): readonly DriveLoad[] => makeLoads(measured));

const makeLoads = (measured: Measured): readonly DriveLoad[] => {
  const seeds = seedsByDevice(measured);
  const loads: DriveLoad[] = [];
  for (const node of measured.graph.devices.values())
    if (node.device.model.storage)
      loads.push(new Load(node, node.device.model.storage, seeds.get(node) ?? []));
  return loads;
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

/** What goes up the line: streams at the bitrate the brief asks for, and what callers are sent. */
export const uplinkOf = perAnalysis((measured): Uplink => makeUplink(measured));

const makeUplink = (measured: Measured): Uplink => {
  const flows = new Map<DeviceNode, Flow>();
  for (const { end, signal } of measured.traced.threads) {
    const { kind } = end.device.device.model;
    if ((kind !== 'stream' && kind !== 'call') || flows.has(end.device)) continue;
    if (kind === 'call') flows.set(end.device, { label: end.device.device.name, mbps: CALL_MBPS });
    else if (signal === 'picture')
      flows.set(end.device, {
        label: end.device.device.name,
        mbps: deliverableOf(measured, 'stream').bitrateMbps ?? 0,
      });
  }
  const list = [...flows.values()];
  return { flows: list, mbps: total(list), lineMbps: measured.rig.brief?.uplinkMbps ?? null };
};
