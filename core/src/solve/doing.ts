import { type Fix, simpleOf } from '../edits/fix';
import type { Rig, SimpleCommand } from '../rig';
import { isFree } from './free';

/** What a remedy asks of whoever carries it out, the easiest first. */
export const DOINGS = ['turn', 'write', 'plug', 'move', 'buy'] as const;
export type Doing = (typeof DOINGS)[number];

type Type = SimpleCommand['type'];

/** What is turned, what is plugged, what is carried about; everything else is decided and written down. */
const DOES: Readonly<Partial<Record<Type, Doing>>> = {
  setControl: 'turn',
  mountLens: 'move',
  connect: 'plug',
  disconnect: 'plug',
  setCable: 'plug',
  addDevice: 'plug',
  removeDevice: 'plug',
  replaceModel: 'plug',
  placeDevice: 'move',
  standDevice: 'move',
  raiseDevice: 'move',
  changeSupport: 'move',
  addSupport: 'move',
  removeSupport: 'move',
  standAsSet: 'move',
  addSurface: 'move',
  changeSurface: 'move',
  removeSurface: 'move',
  finishRoom: 'move',
  changeOpening: 'move',
};

const doingOfCommand = (command: SimpleCommand): Doing => {
  switch (command.type) {
    case 'changePerson':
      return command.person.at === undefined ? 'write' : 'move';
    case 'changeNoise':
      return command.noise.at === undefined ? 'turn' : 'move';
    default:
      return DOES[command.type] ?? 'write';
  }
};

/**
 * The most that a remedy asks for: it is bought where anything has to come from somewhere, priced or not.
 * @throws Refusal where it no longer applies
 */
export const doingOf = (rig: Rig, fix: Pick<Fix, 'command'>): Doing => {
  if (!isFree(rig, fix)) return 'buy';
  const does = new Set(simpleOf(fix).map(doingOfCommand));
  return DOINGS.findLast((doing) => does.has(doing)) ?? 'write';
};
