import { nameOfThing } from '../names';
import { supplyOf } from '../../catalogue/supplies';
import {
  type Circuit,
  type Device,
  entry,
  type Feed,
  inOrder,
  type Rig,
  type Supply,
  switchSetting,
} from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import type { Sum } from '../sum';

/** What is drawn from every strip, supply and circuit. Powers at most, in W and VA; currents in A. */

/** Where nothing else is known. @source handbook 5, Power: 0.6 for small external supplies, 0.95 for corrected ones */
const USUAL_FACTOR = { adapter: 0.6, inlet: 0.95 } as const;

/** Something that draws from the mains. */
export interface Drawn {
  readonly of: 'device' | 'load';
  readonly id: string;
  /** At most */
  readonly w: number;
  /** In use */
  readonly typicalW: number;
  readonly powerFactor: number;
  /** Whether the power factor is only typical of its kind */
  readonly isTypicalFactor: boolean;
  readonly va: number;
  readonly inrush: Supply['inrush'];
  /** Sockets that its plug or adapter takes */
  readonly covers: number;
}

/** The battery of a camera or a lamp that can also run on an adapter, and the path of how long it lasts. */
const batteryIn = ({ camera, light }: Device['model']) =>
  camera?.battery
    ? { ...camera.battery, path: 'camera.battery.lastsMin' }
    : light?.battery && { ...light.battery, path: 'light.battery.lastsMin' };

/** Whether a camera or a lamp runs on its battery because its adapter is not plugged in. */
export const isOnBattery = (device: Device): boolean => {
  const battery = batteryIn(device.model);
  return battery !== undefined && !switchSetting(device, battery.mainsControl);
};

/** How long the battery lasts that a device runs on, and the path of that figure; null where it runs on none. */
export const batteryOf = (
  device: Device,
): { readonly lastsMin: number; readonly path: string } | null => {
  const { battery } = device.model;
  if (battery) return { lastsMin: battery.lastsMin, path: 'battery.lastsMin' };
  const own = batteryIn(device.model);
  return own && isOnBattery(device) ? own : null;
};

/** What a device draws from the mains. @returns null where it draws nothing from there */
export const drawnBy = (id: string, device: Device): Drawn | null => {
  const supply = supplyOf(device.model);
  if (!supply || (supply.is !== 'inlet' && supply.is !== 'adapter') || isOnBattery(device))
    return null;
  const powerFactor = supply.powerFactor ?? USUAL_FACTOR[supply.is];
  return {
    of: 'device',
    id,
    w: supply.mostW,
    typicalW: supply.typicalW,
    powerFactor,
    isTypicalFactor: supply.powerFactor === null,
    va: supply.mostW / powerFactor,
    inrush: supply.inrush,
    covers: supply.covers,
  };
};

/** Every device that draws from the mains, in the rig's order. */
export const drawers = pass('what draws from the mains', (measured): readonly Drawn[] =>
  inOrder(Object.fromEntries(measured.devices())).flatMap(
    ([id, device]) => drawnBy(id, device) ?? [],
  ),
);

const loadsOf = (rig: Rig): readonly (readonly [Rig['loads'][string], Drawn])[] =>
  inOrder(rig.loads).flatMap(([id, load]) =>
    load.runs
      ? [
          [
            load,
            {
              of: 'load',
              id,
              w: load.mostW,
              typicalW: load.mostW,
              powerFactor: load.powerFactor ?? 1,
              isTypicalFactor: load.powerFactor === null,
              va: load.mostW / (load.powerFactor ?? 1),
              inrush: 'small',
              covers: 1,
            },
          ] as const,
        ]
      : [],
  );

/** Everything that hangs on one feed or circuit, added up. */
export interface Loading {
  /** Plugged into it, or into a strip that is */
  readonly drawn: readonly Drawn[];
  readonly w: number;
  readonly typicalW: number;
  readonly va: number;
  /** null where the mains is not known. @unit A */
  readonly a: number | null;
}

export interface FeedLoading extends Loading {
  readonly feedId: string;
  readonly feed: Feed;
  /** Sockets that are taken, those that adapters cover with them */
  readonly taken: number;
  /** Feeds that are plugged into it */
  readonly feedIds: readonly string[];
  /** The circuit it comes from, through whatever */
  readonly circuitId: string | null;
}

export interface CircuitLoading extends Loading {
  readonly circuitId: string;
  readonly circuit: Circuit;
  /** What it may give for hours. @unit A */
  readonly allowedA: number;
}

const added = (drawn: readonly Drawn[], volts: number | null): Loading => {
  const sum = (of: (one: Drawn) => number): number =>
    drawn.reduce((total, one) => total + of(one), 0);
  const va = sum((one) => one.va);
  return {
    drawn,
    w: sum(({ w }) => w),
    typicalW: sum(({ typicalW }) => typicalW),
    va,
    a: volts === null ? null : va / volts,
  };
};

/** The circuit a feed comes from. @returns null where it comes from none that is known */
export const circuitOf = ({ feeds }: Pick<Rig, 'feeds'>, feedId: string): string | null => {
  const seen = new Set<string>();
  for (let id = feedId; !seen.has(id);) {
    seen.add(id);
    const from = entry(feeds, id)?.from;
    if (!from) return null;
    if (from.by === 'circuit') return from.circuitId;
    id = from.feedId;
  }
  return null;
};

/** Whether two devices hang on different circuits; false where one of them is not known. */
export const areApart = (measured: Measured, a: string, b: string): boolean => {
  const { plugs } = measured.rig;
  const circuits = [a, b].map((id) => {
    const feedId = plugs[id];
    return feedId === undefined ? null : circuitOf(measured.rig, feedId);
  });
  return !circuits.includes(null) && circuits[0] !== circuits[1];
};

const directOn = (measured: Measured, feedId: string): Drawn[] => [
  ...drawers(measured).filter(({ id }) => entry(measured.rig.plugs, id) === feedId),
  ...loadsOf(measured.rig).flatMap(([{ from }, drawn]) =>
    from?.by === 'feed' && from.feedId === feedId ? [drawn] : [],
  ),
];

const feedsOn = ({ feeds }: Pick<Rig, 'feeds'>, feedId: string): string[] =>
  inOrder(feeds).flatMap(([id, { from }]) =>
    from?.by === 'feed' && from.feedId === feedId ? [id] : [],
  );

/** Everything on a feed and on what is plugged into it. A document has no circle of feeds. */
const allOn = (measured: Measured, feedId: string): Drawn[] => [
  ...directOn(measured, feedId),
  ...feedsOn(measured.rig, feedId).flatMap((id) => allOn(measured, id)),
];

/** Every outlet, strip and supply with what hangs on it, in the rig's order. */
export const feedLoadings = pass('loading of feeds', (measured): readonly FeedLoading[] => {
  const volts = measured.rig.mains?.volts ?? null;
  return inOrder(measured.rig.feeds).map(([feedId, feed]) => {
    const feedIds = feedsOn(measured.rig, feedId);
    return {
      feedId,
      feed,
      ...added(allOn(measured, feedId), volts),
      taken:
        directOn(measured, feedId).reduce((sum, { covers }) => sum + covers, 0) + feedIds.length,
      feedIds,
      circuitId: circuitOf(measured.rig, feedId),
    };
  });
});

/** Every circuit with what hangs on it, in the rig's order. */
export const circuitLoadings = pass(
  'loading of circuits',
  (measured): readonly CircuitLoading[] => {
    const { circuits, feeds, mains, powerRules } = measured.rig;
    return inOrder(circuits).map(([circuitId, circuit]) => ({
      circuitId,
      circuit,
      ...added(
        [
          ...inOrder(feeds).flatMap(([id, { from }]) =>
            from?.by === 'circuit' && from.circuitId === circuitId ? allOn(measured, id) : [],
          ),
          ...loadsOf(measured.rig).flatMap(([{ from }, drawn]) =>
            from?.by === 'circuit' && from.circuitId === circuitId ? [drawn] : [],
          ),
        ],
        mains?.volts ?? null,
      ),
      allowedA: allowedA(circuit, powerRules.breakerShare),
    }));
  },
);

/** What a circuit may give for hours. @unit A */
export const allowedA = ({ breakerA }: Pick<Circuit, 'breakerA'>, share: number): number =>
  breakerA * share;

/** The same as power at a power factor of 1: 230 V and 16 A are 2,944 W, 120 V and 20 A 1,920 W. @unit W */
export const allowedW = (
  circuit: Pick<Circuit, 'breakerA'>,
  share: number,
  volts: number,
): number => allowedA(circuit, share) * volts;

/** How what is drawn adds up. */
export const explainLoading = (
  measured: { readonly rig: Rig },
  label: string,
  { drawn, a, va }: Loading,
  volts: number | null,
): Sum[] => [
  {
    label,
    formula: 'sum of W ÷ power factor ÷ V',
    inputs: [
      ...drawn.map((one) => ({
        name: `${nameOfThing(measured, one)}, at ${one.powerFactor}${one.isTypicalFactor ? ' (typical)' : ''}`,
        value: one.w,
        unit: 'W',
      })),
      { name: 'together', value: va, unit: 'VA' },
      { name: 'mains', value: volts ?? 'unknown', unit: 'V' },
    ],
    result: a,
    unit: 'A',
    source: 'handbook 5, Power',
  },
];
