import { type Device, entry, type Phase, type Rig } from '../../rig';

/** Where the figure of a line is looked up, as a view of the rig. */
export type LookUp =
  | 'gain'
  | 'picture'
  | 'power'
  | 'time'
  | 'light'
  | 'monitoring'
  | 'cables'
  | 'plan'
  | 'files'
  | 'people';

/** A figure that is read off a meter while a line is ticked, beside what the rig makes of it. */
export interface ToRead {
  readonly unit: 'dBFS' | 'LUFS' | 'ms';
  readonly expected: number;
  /** What is further off says that something stands otherwise */
  readonly within: number;
}

export interface CheckLine {
  /** The same for the same thing in every state of the rig: `voice host-mic strip-1` */
  readonly id: string;
  readonly phase: Phase;
  readonly what: string;
  readonly where: string;
  /** Empty: whoever is there */
  readonly who: string;
  readonly why: string;
  /** What is read off, met or set: `−18 dBFS`; null where there is nothing to read */
  readonly figure: string | null;
  /** What is read off and kept with the run; null where nothing is */
  readonly reads: ToRead | null;
  readonly lookUp: LookUp | null;
  readonly caution: string | null;
  /** Nobody goes live, or goes home, while it is open */
  readonly isMust: boolean;
  readonly deviceId: string | null;
  /** The house put it there, not the rig */
  readonly isOfHouse: boolean;
}

type Line = Partial<CheckLine> & Pick<CheckLine, 'id' | 'phase' | 'what' | 'why'>;

export const line = (of: Line): CheckLine => ({
  where: '',
  who: '',
  figure: null,
  reads: null,
  lookUp: null,
  caution: null,
  isMust: false,
  deviceId: null,
  isOfHouse: false,
  ...of,
});

const whereOf = (rig: Rig, { on, placeId }: Device): string =>
  entry(rig.supports, on?.supportId ?? '')?.name ?? entry(rig.places, placeId ?? '')?.name ?? '';

const whoseOf = (rig: Rig, { personId }: Device): string =>
  entry(rig.people, personId ?? '')?.name ?? '';

export const about = (rig: Rig, deviceId: string, device: Device) => ({
  deviceId,
  where: whereOf(rig, device),
  who: whoseOf(rig, device),
});
