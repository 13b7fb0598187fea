export { anyCommand } from './any-command';
export * from './apply';
export * from './brief/schema';
export * from './cabling/schema';
export { type Chance, seeded } from './chance';
export * from './commands';

export * from './devices/body';
export * from './devices/device-figures';
export * from './devices/encoding';
export { figureAt } from './devices/figures';
export * from './devices/light-figures';
export { modelSchema } from './devices/checked-model';
export * from './devices/model';
export * from './devices/ownership';
export * from './devices/ports';
export * from './devices/schema';
export * from './devices/settings';
export * from './devices/sound-model';
export * from './devices/supply';
export { checkRig } from './files/check';
export { csvOf } from './files/csv';
export * from './files/export';
export * from './files/import';
export { readCommand } from './files/read-command';
export { MAX_DEPTH } from './files/scan';
export { upgrade } from './files/upgrade';
export { upgradeCommand } from './files/upgrade-command';
export { type OldEntry, type UpgradedEntry, upgradeLog } from './files/upgrade-log';
export * from './history';
export { type Hand, HAND_KINDS } from './hands/schema';
export * from './house/questions';
export * from './house/questions-light';
export * from './house/questions-sound';
export * from './house/rules';
export * from './house/school';
export * from './ids';
export * from './lenses/schema';
export { USUAL_LENSES } from './lenses/usual';
export { cablePrice } from './links/cables';
export * from './light/levels';
export * from './light/schema';
export { USUAL_MODIFIERS, usualModifier } from './light/usual';
export * from './links/mating';
export * from './links/schema';
export { type Mains, mainsName, USUAL_MAINS } from './mains/schema';
export { MAX_ORDER, entry, inOrder } from './order';
export * from './people/schema';
export * from './places/schema';
export * from './power/schema';
export * from './timing/schema';
export * from './readings/schema';
export * from './programme/schema';
export * from './refusal';
export { type Aside } from './aside/schema';
export { type Reminder } from './reminders/schema';
export * from './rig';
export * from './room/schema';
export * from './sentences';
export { finish, type Material, MATERIALS } from './shell/materials';
export {
  areaOf,
  isInside,
  lengthOfWalls,
  outlineProblem,
  rectangle,
  wallsOf,
} from './shell/outline';
export * from './shell/schema';
export * from './supports/schema';
export { type UsualSupport, USUAL_SUPPORTS, usualSupport } from './supports/usual';
export * from './built/schema';
export * from './day/schema';
export * from './filing/schema';
export * from './rundown/schema';
export * from './sets/schema';
export { type Show, showSchema } from './shows/schema';
export * from './ways/schema';
export { cleanLine, cleanText, shorten, writable } from './text';
