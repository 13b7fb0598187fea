import * as aside from './aside';
import * as brief from './brief';
import * as built from './built';
import * as cabling from './cabling';
import * as day from './day';
import * as devices from './devices';
import * as filing from './filing';
import * as hands from './hands';
import * as house from './house';
import * as lenses from './lenses';
import * as light from './light';
import * as links from './links';
import * as mains from './mains';
import * as people from './people';
import * as places from './places';
import * as power from './power';
import * as programme from './programme';
import * as readings from './readings';
import * as reminders from './reminders';
import * as room from './room';
import * as rundown from './rundown';
import * as sets from './sets';
import * as shell from './shell';
import * as shows from './shows';
import type { Slice } from './slice';
import * as supports from './supports';
import * as timing from './timing';
import * as title from './title';
import * as ways from './ways';

/** Every part of the document, in the order of its fields. This is the only list of them. */
const SLICES = {
  title,
  house,
  mains,
  brief,
  people,
  places,
  room,
  shell,
  ways,
  supports,
  lenses,
  devices,
  links,
  light,
  cabling,
  power,
  timing,
  readings,
  hands,
  programme,
  reminders,
  sets,
  aside,
  shows,
  built,
  rundown,
  day,
  filing,
};

type Slices = typeof SLICES;
type Both<Union> = (Union extends unknown ? (part: Union) => void : never) extends (
  all: infer All,
) => void
  ? { [Key in keyof All]: All[Key] }
  : never;

/** The fields of every part together. */
type Shape = Both<Slices[keyof Slices]['shape']>;
type Blank = Both<ReturnType<Slices[keyof Slices]['blank']>>;
/** The commands of every part together, by their type. */
export type Commands = Both<Slices[keyof Slices]['commands']>;

const merged = <Part, All>(of: (slice: Slices[keyof Slices]) => Part): All =>
  // Parts have no field in common, as the test of the slices proves: together they are their intersection.
  Object.assign({}, ...Object.values(SLICES).map(of)) as All;

export const SHAPE = merged<object, Shape>(({ shape }) => shape);
export const COMMANDS = merged<object, Commands>(({ commands }) => commands);
export const LIMITS = merged<object, Readonly<Record<string, number>>>(({ limits }) => limits);
export const blankParts = (): Blank => merged<object, Blank>(({ blank }) => blank());

/** Each part as a slice: whoever forgets to export something of it is told here. */
export const ALL_SLICES: Readonly<Record<keyof Slices, Slice>> = SLICES;
