import type { DeviceNode, PortNode, Stage, Thread } from '../../graph';
import { type Deliverable, type Kind, USUAL_DELIVERABLES } from '../../rig';
import { type Format, parseFormat, pixelsPerSecond } from '../../units';
import type { Measured } from '../measured';
import { deviceName } from '../names';
import { pass } from '../pass';
import { eachPicture } from '../stages';

/** One picture of 1080p30 handled once: the unit of a computer's work. */
const UNIT_PIXELS_PER_SECOND = 1920 * 1080 * 30;
/**
 * What handling a picture costs beside its pixels. Indicative: a measured budget wins. @source
 * handbook 3-picture, into the computer
 */
const COST = { capture: 1, decode: 1.5, mix: 1, hardwareEncode: 0.5 } as const;
const SOFTWARE_ENCODE: Readonly<Record<Deliverable['codec'], number>> = {
  AVC: 4,
  HEVC: 8,
  AV1: 12,
  'intra-frame': 1.5,
  PCM: 0,
};

export interface WorkItem {
  readonly what: 'capture' | 'call' | 'programme' | 'encode in hardware' | 'encode in software';
  readonly label: string;
  /** @unit pictures of 1080p30 */
  readonly units: number;
}

/** What a computer is asked to do at once, against what it can. */
export interface Workload {
  readonly node: DeviceNode;
  readonly items: readonly WorkItem[];
  readonly units: number;
  readonly budget: number | null;
  readonly encodes: number;
  readonly hardwareEncodes: number;
}

/** The brief's deliverable of a kind, or what is usual where it asks for none. */
export const deliverableOf = (
  measured: Measured,
  what: Deliverable['what'],
): Omit<Deliverable, 'order'> =>
  Object.values(measured.rig.brief?.deliverables ?? {}).find(
    (deliverable) => deliverable.what === what,
  ) ?? USUAL_DELIVERABLES[what];

/** The deliverable that a destination's file or stream is for. */
export const deliverableFor = (
  measured: Measured,
  { model }: DeviceNode,
): Omit<Deliverable, 'order'> | null => {
  if (model.kind === 'stream') return deliverableOf(measured, 'stream');
  if (model.kind !== 'recording') return null;
  const ends = Object.values(model.ports).map(({ ends: end }) => end);
  if (ends.some((end) => end?.picture && end.sound))
    return deliverableOf(measured, 'programme recording');
  return deliverableOf(
    measured,
    ends.some((end) => end?.picture) ? 'camera recordings' : 'voice tracks',
  );
};

const units = (format: Format): number => pixelsPerSecond(format) / UNIT_PIXELS_PER_SECOND;
const CALLS: ReadonlySet<Kind> = new Set(['call']);

/** Pictures that a computer writes or sends, each an encode of its own. */
interface Encode {
  readonly label: string;
  readonly codec: Deliverable['codec'];
  readonly units: number;
}

/** What belongs to each computer, gathered in one walk however many computers there are. */
class ByDevice<Key, T> {
  private readonly kept = new Map<DeviceNode, Map<Key, T>>();
  /** The items of a device, for more to be put in. */
  itemsOf(node: DeviceNode): Map<Key, T> {
    let items = this.kept.get(node);
    if (!items) this.kept.set(node, (items = new Map<Key, T>()));
    return items;
  }
  of(node: DeviceNode): T[] {
    return [...(this.kept.get(node)?.values() ?? [])];
  }
}

/** The port that makes the picture arriving at a stage by a cable: a hub only passes it on. */
const makerOf = (arrived: Stage): PortNode => {
  let at = arrived.parent ?? arrived;
  while (at.parent && at.at.device.model.kind === 'hub') at = at.parent;
  return at.at;
};

/** The picture that a program passes to a file: however many sources are in it, it came in as one. */
export const pictureInto = ({ last, source }: Thread): PortNode => {
  const arrived = last.parent?.parent;
  return arrived?.via.by === 'link' ? makerOf(arrived) : source;
};

const encodes = (measured: Measured): ByDevice<number, Encode> => {
  const found = new ByDevice<number, Encode>();
  const deliverables: (ReturnType<typeof deliverableFor> | undefined)[] = [];
  const ports = measured.graph.ports.length;
  const { picture: figures } = measured;
  for (const thread of measured.traced.threads) {
    const { signal, last, end } = thread;
    if (signal !== 'picture' || last.via.by !== 'link') continue;
    const node = last.via.link.from.device;
    const format = node.model.work && figures[last.index]?.format;
    if (!format) continue;
    const deliverable = (deliverables[end.device.index] ??= deliverableFor(measured, end.device));
    if (!deliverable) continue;
    // A file per picture is an encode per picture; a programme is one, however many pictures are in it.
    const { what, codec, format: asked } = deliverable;
    const picture = what === 'camera recordings' ? pictureInto(thread) : null;
    const key = end.index * (ports + 1) + (picture ? picture.index + 1 : 0);
    const items = found.itemsOf(node);
    if (items.has(key)) continue;
    items.set(key, {
      label: picture
        ? `${measured.device(picture.device).name} to ${measured.device(end.device).name}`
        : measured.device(end.device).name,
      codec,
      units: units(asked !== null && !picture ? parseFormat(asked) : format),
    });
  }
  return found;
};

/** Pictures that come into computers over USB and from calls, and the programmes put together in them. */
const captures = (measured: Measured): ByDevice<DeviceNode, WorkItem> => {
  const found = new ByDevice<DeviceNode, WorkItem>();
  eachPicture(measured, (stage, { format, encoding }) => {
    const node = stage.at.device;
    if (!stage.parent || !node.model.work || !format) return;
    if (stage.via.by === 'route') {
      const isProgramme =
        stage.at.port.family === 'software' &&
        stage.via.route.route.picture?.does === 'house format' &&
        stage.at.links.some(({ to }) => to.device.model.kind !== 'call');
      const items = found.itemsOf(node);
      if (isProgramme && !items.has(node))
        items.set(node, {
          what: 'programme',
          label: 'The programme put together',
          units: units(format) * COST.mix,
        });
      return;
    }
    const maker = makerOf(stage);
    const isCall = CALLS.has(maker.device.model.kind);
    if (stage.at.port.family !== 'usb' && !isCall) return;
    const cost = isCall || encoding === 'compressed' ? COST.decode : COST.capture;
    const items = found.itemsOf(node);
    if (!items.has(maker.device))
      items.set(maker.device, {
        what: isCall ? 'call' : 'capture',
        label: deviceName(measured, maker.device),
        units: units(format) * cost,
      });
  });
  return found;
};

/** The work of every computer in the rig. */
export const workloads = pass('workloads', (measured): readonly Workload[] =>
  makeWorkloads(measured),
);

const makeWorkloads = (measured: Measured): readonly Workload[] => {
  const [allEncodes, allCaptures] = [encodes(measured), captures(measured)];
  return [...measured.graph.devices.values()].flatMap((node) => {
    const { work } = node.model;
    if (!work) return [];
    const own = allEncodes.of(node).sort((a, b) => b.units - a.units);
    const items: WorkItem[] = [
      ...allCaptures.of(node),
      ...own.map(({ label, codec, units: size }, index): WorkItem =>
        index < work.hardwareEncodes
          ? { what: 'encode in hardware', label, units: size * COST.hardwareEncode }
          : { what: 'encode in software', label, units: size * SOFTWARE_ENCODE[codec] },
      ),
    ];
    return [
      {
        node,
        items,
        units: items.reduce((sum, item) => sum + item.units, 0),
        budget: work.budget,
        encodes: own.length,
        hardwareEncodes: work.hardwareEncodes,
      },
    ];
  });
};
