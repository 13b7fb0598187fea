import { bodyOf } from '../catalogue/bodies';
import { type Device, entry, inOrder, type Rig, type Support } from '../rig';
import { CABLES } from '../rig/links/cables';
import { csvOf } from '../rig/files/csv';

/** What goes along to a show elsewhere, and in which case. Kilograms. */

const GROUPS = ['Picture', 'Sound', 'Computers', 'Light'] as const;
type Group = (typeof GROUPS)[number];

const PICTURE: ReadonlySet<Device['model']['kind']> = new Set([
  'camera',
  'webcam',
  'phone',
  'capture',
  'splitter',
  'selector',
  'converter',
  'switcher',
  'display',
  'prompter',
  'player',
]);
const COMPUTERS: ReadonlySet<Device['model']['kind']> = new Set([
  'computer',
  'hub',
  'encoder',
  'recorder',
]);
/** No things that anybody carries: programs, and what comes with them. */
const NOTHING: ReadonlySet<Device['model']['kind']> = new Set(['call', 'stream', 'recording']);

const groupOf = ({ model: { kind } }: Device): Group =>
  kind === 'light'
    ? 'Light'
    : PICTURE.has(kind)
      ? 'Picture'
      : COMPUTERS.has(kind)
        ? 'Computers'
        : 'Sound';

export interface Packed {
  readonly deviceId: string;
  readonly name: string;
  /** null where nobody has said */
  readonly massKg: number | null;
}

export interface PackCase {
  /** `Sound 2` */
  readonly name: string;
  readonly things: readonly Packed[];
  /** Of what is known */
  readonly massKg: number;
}

export interface PackingList {
  /** Each at most as heavy as was asked for */
  readonly cases: readonly PackCase[];
  /** Too heavy for a case: carried by itself */
  readonly alone: readonly Packed[];
  /** What hangs or is screwed to a wall: it belongs to the house */
  readonly stays: readonly string[];
  /** Stands, arms and tables, folded */
  readonly supports: readonly string[];
  readonly cables: readonly {
    readonly name: string;
    readonly lengthM: number;
    readonly count: number;
  }[];
}

/** Belongs to the house: only who hung it takes it down. */
const isFixed = ({ figures }: Support): boolean =>
  figures.is === 'overhead' || figures.is === 'wall';

/** The heaviest first, each into the first case of its group that takes it. */
const intoCases = (group: Group, things: readonly Packed[], mostKg: number): PackCase[] => {
  const cases: { things: Packed[]; massKg: number }[] = [];
  for (const thing of things.toSorted((a, b) => (b.massKg ?? 0) - (a.massKg ?? 0))) {
    const kg = thing.massKg ?? 0;
    const fits = cases.find(({ massKg }) => massKg + kg <= mostKg + 1e-9);
    if (fits) {
      fits.things.push(thing);
      fits.massKg += kg;
    } else cases.push({ things: [thing], massKg: kg });
  }
  return cases.map((one, at) => ({
    name: cases.length === 1 ? group : `${group} ${at + 1}`,
    ...one,
  }));
};

/**
 * Everything of the rig that is carried.
 * @param mostKg what one case may hold, its own weight apart
 */
export const packingList = (rig: Rig, mostKg: number): PackingList => {
  const hangs = ({ on }: Device): boolean => {
    const support = entry(rig.supports, on?.supportId ?? '');
    return support !== undefined && isFixed(support);
  };
  const here = inOrder(rig.devices).filter(
    ([, { model, personId }]) =>
      !NOTHING.has(model.kind) &&
      // What a remote guest has is at theirs.
      entry(rig.people, personId ?? '')?.where !== 'remote',
  );
  const things = here
    .filter(([, device]) => !hangs(device))
    .map(([deviceId, device]) => ({
      group: groupOf(device),
      thing: { deviceId, name: device.name, massKg: bodyOf(device.model)?.massKg ?? null },
    }));
  const isHeavy = ({ massKg }: Packed): boolean => (massKg ?? 0) > mostKg;
  const cables = new Map<string, PackingList['cables'][number]>();
  for (const { cable } of Object.values(rig.links)) {
    if (cable.kind === 'inside' || cable.kind === 'radio') continue;
    const key = `${cable.kind} ${cable.lengthM}`;
    const count = (cables.get(key)?.count ?? 0) + 1;
    cables.set(key, { name: CABLES[cable.kind].name, lengthM: cable.lengthM, count });
  }
  return {
    cases: GROUPS.flatMap((group) =>
      intoCases(
        group,
        things
          .filter((one) => one.group === group && !isHeavy(one.thing))
          .map(({ thing }) => thing),
        mostKg,
      ),
    ),
    stays: here.filter(([, device]) => hangs(device)).map(([, { name }]) => name),
    alone: things.map(({ thing }) => thing).filter(isHeavy),
    supports: inOrder(rig.supports)
      .filter(([, support]) => !isFixed(support))
      .map(([, { name }]) => name),
    cables: [...cables.values()].sort(
      (a, b) => a.name.localeCompare(b.name, 'en') || a.lengthM - b.lengthM,
    ),
  };
};

/** A line for each thing, with the case it is in. */
export const packingCsv = ({ cases, alone, supports, cables, stays }: PackingList): string =>
  csvOf(
    ['Case', 'Thing', 'Count', 'kg'],
    [
      ...cases.flatMap(({ name, things }) =>
        things.map((thing) => [name, thing.name, 1, thing.massKg ?? '']),
      ),
      ...alone.map((thing) => ['by itself', thing.name, 1, thing.massKg ?? '']),
      ...supports.map((name) => ['stands', name, 1, '']),
      ...stays.map((name) => ['stays in the house', name, 1, '']),
      ...cables.map(({ name, lengthM, count }) => ['cables', `${name}, ${lengthM} m`, count, '']),
    ],
  );
