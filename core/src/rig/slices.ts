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
import type { Both, Part } from './shapes';
import type { Slice } from './slice';
import * as supports from './supports';
import * as timing from './timing';
import * as title from './title';
import * as ways from './ways';

/** Every part of the document, and what is done with it. */
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

/** The commands of every part together, by their type. */
export type Commands = Both<Slices[Part]['commands']>;

const merged = <All>(of: (slice: Slices[Part]) => object): All =>
  // Parts have no command in common, as the test of the slices proves.
  Object.assign({}, ...Object.values(SLICES).map(of)) as All;

export const COMMANDS = merged<Commands>(({ commands }) => commands);
export const LIMITS = merged<Readonly<Record<string, number>>>(({ limits }) => limits);

/** Each part as a slice: whoever forgets one, or to export something of it, is told here. */
export const ALL_SLICES: Readonly<Record<Part, Slice>> = SLICES;
