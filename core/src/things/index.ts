export { headingOf, THING_COLUMNS, type ThingColumn } from './columns';
export {
  readThing,
  type ReadThings,
  THING_HEADINGS,
  type ThingFault,
  type ThingLine,
  thingRows,
  thingsFromCells,
  thingsFromCsv,
  thingsToCsv,
  type ToTake,
  toTake,
} from './files';
export { type ThingFinding, thingFindings, type ThingFix } from './findings';
export {
  blankThing,
  CONDITIONS,
  HAD_AS,
  isFieldOf,
  isNeeded,
  MOST_THINGS,
  type OwnThing,
  type Thing,
  THING_KINDS,
  type ThingField,
  type ThingKind,
  thingSchema,
} from './schema';
export {
  allModelRefs,
  asLens,
  daysOf,
  modelRefOf,
  type NamedRig,
  takeCommand,
  type Use,
  usesIn,
} from './uses';
