import type { Connector, PortFamily } from '../devices/ports';

/**
 * A class of cable: what it joins, how fast and how far. Reach figures are typical and deferred to
 * the cable's own data.
 */
export interface CableKind {
  readonly name: string;
  readonly family: PortFamily;
  readonly connectors: readonly Connector[];
  /** Highest load, Gb/s; absent for analogue */
  readonly maxGbps?: number;
  /** Longest run by load: the first row whose `uptoGbps` covers the load holds. @unit m */
  readonly reach: readonly { readonly uptoGbps: number; readonly lengthM: number }[];
  /** Typical, in the studio's currency: its plugs, and each metre */
  readonly price: { readonly each: number; readonly perM: number };
  readonly source: string;
}

const anyLoad = (lengthM: number): CableKind['reach'] => [{ uptoGbps: Infinity, lengthM }];
const BALANCED: readonly Connector[] = ['xlr', 'jack', 'combo'];
const HDMI: readonly Connector[] = ['hdmi', 'mini-hdmi', 'micro-hdmi'];
const USB: readonly Connector[] = ['usb-a', 'usb-b', 'usb-c'];

/**
 * Cable classes by id, dearest last: the first that fits is offered first. @source handbook
 * 3-picture, reach defaults
 */
export const CABLES = {
  balanced: {
    name: 'Balanced audio cable',
    price: { each: 8, perM: 1.2 },
    family: 'analogue',
    connectors: BALANCED,
    reach: anyLoad(100),
    source: 'handbook 3-picture',
  },
  unbalanced: {
    name: 'Unbalanced audio cable',
    price: { each: 5, perM: 0.8 },
    family: 'analogue',
    connectors: [...BALANCED, 'mini-jack', 'phono'],
    reach: anyLoad(6),
    source: 'handbook 3-picture',
  },
  speaker: {
    name: 'Loudspeaker cable',
    price: { each: 4, perM: 1.5 },
    family: 'analogue',
    connectors: ['speaker'],
    reach: anyLoad(30),
    source: 'typical',
  },
  'optical-audio': {
    name: 'Optical audio cable',
    price: { each: 6, perM: 1 },
    family: 'digital sound',
    connectors: ['optical'],
    reach: anyLoad(10),
    source: 'handbook 3-picture',
  },
  'digital-xlr': {
    name: 'Digital audio cable, 110 Ω',
    price: { each: 12, perM: 2 },
    family: 'digital sound',
    connectors: ['xlr'],
    reach: anyLoad(100),
    source: 'AES3',
  },
  hdmi: {
    name: 'HDMI cable, passive',
    price: { each: 6, perM: 2 },
    family: 'picture',
    connectors: HDMI,
    maxGbps: 14.4,
    reach: [
      { uptoGbps: 3.6, lengthM: 15 },
      { uptoGbps: 7.2, lengthM: 7.5 },
      { uptoGbps: 14.4, lengthM: 3 },
    ],
    source: 'handbook 3-picture',
  },
  'hdmi-optical': {
    name: 'HDMI cable, active optical',
    price: { each: 40, perM: 2.5 },
    family: 'picture',
    connectors: HDMI,
    maxGbps: 14.4,
    reach: anyLoad(30),
    source: 'handbook 3-picture',
  },
  'hdmi-fast': {
    name: 'HDMI cable, passive, 42 Gb/s',
    price: { each: 12, perM: 9 },
    family: 'picture',
    connectors: HDMI,
    maxGbps: 42.67,
    reach: [
      { uptoGbps: 3.6, lengthM: 15 },
      { uptoGbps: 7.2, lengthM: 7.5 },
      { uptoGbps: 14.4, lengthM: 5 },
      { uptoGbps: 42.67, lengthM: 3 },
    ],
    source: 'handbook 3-picture: payload limits by link class; reach typical',
  },
  'hdmi-fast-optical': {
    name: 'HDMI cable, active optical, 42 Gb/s',
    price: { each: 80, perM: 4 },
    family: 'picture',
    connectors: HDMI,
    maxGbps: 42.67,
    reach: anyLoad(30),
    source: 'typical',
  },
  'sdi-coax': {
    name: 'SDI coax, 75 Ω',
    price: { each: 10, perM: 1.6 },
    family: 'picture',
    connectors: ['bnc'],
    maxGbps: 11.88,
    reach: [
      { uptoGbps: 1.49, lengthM: 150 },
      { uptoGbps: 2.98, lengthM: 100 },
      { uptoGbps: 5.95, lengthM: 80 },
      { uptoGbps: 11.89, lengthM: 60 },
    ],
    source: 'handbook 3-picture',
  },
  'usb-2': {
    name: 'USB cable, 480 Mb/s',
    price: { each: 4, perM: 1 },
    family: 'usb',
    connectors: USB,
    maxGbps: 0.48,
    reach: anyLoad(5),
    source: 'handbook 3-picture',
  },
  'usb-5g': {
    name: 'USB cable, 5 Gb/s',
    price: { each: 8, perM: 3 },
    family: 'usb',
    connectors: USB,
    maxGbps: 5,
    reach: anyLoad(3),
    source: 'handbook 3-picture',
  },
  'usb-10g': {
    name: 'USB cable, 10 Gb/s',
    price: { each: 12, perM: 8 },
    family: 'usb',
    connectors: USB,
    maxGbps: 10,
    reach: anyLoad(1),
    source: 'handbook 3-picture',
  },
  'usb-active': {
    name: 'USB cable, active, 5 Gb/s',
    price: { each: 30, perM: 4 },
    family: 'usb',
    connectors: USB,
    maxGbps: 5,
    reach: anyLoad(15),
    source: 'typical',
  },
  radio: {
    name: 'Radio link, in sight',
    price: { each: 0, perM: 0 },
    family: 'analogue',
    connectors: ['radio'],
    reach: anyLoad(30),
    source: 'typical',
  },
  ethernet: {
    name: 'Ethernet cable',
    price: { each: 3, perM: 0.8 },
    family: 'network',
    connectors: ['rj45'],
    maxGbps: 10,
    reach: anyLoad(100),
    source: 'handbook 3-picture',
  },
  inside: {
    name: 'Inside the computer',
    price: { each: 0, perM: 0 },
    family: 'software',
    connectors: ['software'],
    reach: anyLoad(Infinity),
    source: 'no cable',
  },
} as const satisfies Record<string, CableKind>;

export const CABLE_IDS = Object.keys(CABLES) as [CableId, ...CableId[]];
export type CableId = keyof typeof CABLES;
export const cable = (id: CableId): CableKind => CABLES[id];

/**
 * Longest run of a cable at a load. @param gbps 0 for analogue @returns m; 0 when the cable cannot
 * carry the load at all
 */
export const reachM = (kind: CableKind, gbps: number): number =>
  kind.reach.find((row) => gbps <= row.uptoGbps)?.lengthM ?? 0;

/** What a cable usually costs, in the studio's currency. */
export const cablePrice = ({
  kind,
  lengthM,
}: {
  readonly kind: CableId;
  readonly lengthM: number;
}): number => {
  const { each, perM } = CABLES[kind].price;
  return each + perM * lengthM;
};

/** Lengths that are sold. @unit m @source handbook 5-room-desk-power */
export const STOCK_LENGTHS_M = [0.5, 1, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 50] as const;

const LONGEST_M = Math.max(...STOCK_LENGTHS_M);

/** A sum of lengths that were typed to the centimetre. @unit m */
const ROUNDING_M = 1e-9;

/**
 * Lengths that are sold and make up a run: the shortest that does, or whole ones joined and a last.
 * @param needM with slack and travel
 */
export const stockFor = (needM: number): number[] => {
  const whole = Math.max(0, Math.ceil((needM - ROUNDING_M) / LONGEST_M) - 1);
  const rest = needM - whole * LONGEST_M;
  const last = STOCK_LENGTHS_M.find((lengthM) => lengthM >= rest - ROUNDING_M) ?? LONGEST_M;
  return [...Array.from({ length: whole }, () => LONGEST_M), last];
};

/** What joins two lengths of one run, in the studio's currency. @source typical */
export const JOIN_PRICE = 6;

/** What a run costs in the lengths that are sold, and what joins them. */
export const soldPrice = (run: { readonly kind: CableId; readonly lengthM: number }): number => {
  if (run.kind === 'inside' || run.kind === 'radio') return 0;
  const lengths = stockFor(run.lengthM);
  return lengths.reduce(
    (sum, lengthM) => sum + cablePrice({ kind: run.kind, lengthM }),
    JOIN_PRICE * (lengths.length - 1),
  );
};
