import * as aside from './aside/shape';
import * as brief from './brief/shape';
import * as built from './built/shape';
import * as cabling from './cabling/shape';
import * as day from './day/shape';
import * as devices from './devices/shape';
import * as filing from './filing/shape';
import * as hands from './hands/shape';
import * as house from './house/shape';
import * as lenses from './lenses/shape';
import * as light from './light/shape';
import * as links from './links/shape';
import * as mains from './mains/shape';
import * as people from './people/shape';
import * as places from './places/shape';
import * as power from './power/shape';
import * as programme from './programme/shape';
import * as readings from './readings/shape';
import * as reminders from './reminders/shape';
import * as room from './room/shape';
import * as rundown from './rundown/shape';
import * as sets from './sets/shape';
import * as shell from './shell/shape';
import * as shows from './shows/shape';
import * as supports from './supports/shape';
import * as timing from './timing/shape';
import * as title from './title/shape';
import * as ways from './ways/shape';

/** What every part of the document holds, in the order of its fields. `slices.ts` has what is done with it. */
const PARTS = {
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

/** The parts of the document, by their folders */
export type Part = keyof typeof PARTS;
type Parts = typeof PARTS;

/** Several types at once, where a union would be one of them. */
export type Both<Union> = (Union extends unknown ? (part: Union) => void : never) extends (
  all: infer All,
) => void
  ? { [Key in keyof All]: All[Key] }
  : never;

/** The fields of every part together. */
type Shape = Both<Parts[Part]['shape']>;
type Blank = Both<ReturnType<Parts[Part]['blank']>>;

const merged = <All>(of: (part: Parts[Part]) => object): All =>
  // Parts have no field in common, as the test of the slices proves: together they are their intersection.
  Object.assign({}, ...Object.values(PARTS).map(of)) as All;

export const SHAPE = merged<Shape>(({ shape }) => shape);
export const blankParts = (): Blank => merged<Blank>(({ blank }) => blank());
