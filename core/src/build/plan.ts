import { classById } from '../catalogue';
import type { RigDraft } from '../catalogue/draft';
import type { HouseRules, Mains, Shot } from '../rig';
import type { AnsweredPerson, Answers } from './answers';
import type { Formats } from './formats';

/** Why a rig cannot be built from answers that are each right by themselves. */
export class CannotBuild extends Error {
  override readonly name = 'CannotBuild';
}

/** An answer that the rig does not meet, why, and what meeting it would cost. */
export interface Unmet {
  readonly says: string;
  /** In the studio's currency; null where money does not help, or nobody can say */
  readonly costs: number | null;
  /** The rule whose findings it explains */
  readonly code?: string;
}

/** Something a picture is wanted of. */
export interface PictureSubject {
  readonly id: string;
  readonly name: string;
  readonly personId: string | null;
  readonly sightId: string | null;
  readonly source: 'camera' | 'slides' | 'console';
  /** How much of it is to be seen */
  readonly wanted: Shot;
}

/** The computer in the making: its class, and which of its sockets are for what. */
export interface Machine {
  readonly classId: string;
  readonly sockets: { readonly sound: string; readonly pictures: readonly string[] };
  readonly screens: readonly string[];
}

/** Computers that can take a show in, cheapest first. */
export const MACHINES: readonly Machine[] = [
  {
    classId: 'computer-laptop',
    sockets: { sound: 'usb-3', pictures: ['usb-2', 'usb-1'] },
    screens: ['screen-1'],
  },
  {
    classId: 'computer-desktop',
    sockets: { sound: 'usb-5', pictures: ['usb-2', 'usb-4', 'usb-3', 'usb-1'] },
    screens: ['screen-1', 'screen-2'],
  },
];

/** Thrown where a machine has too few sockets or screens: the next larger one is tried. */
export class TooSmall extends Error {
  override readonly name = 'TooSmall';
}

/** A rig in the making: the draft, and what decides what is put into it. */
export interface Plan {
  readonly draft: RigDraft;
  readonly answers: Answers;
  readonly rules: HouseRules;
  readonly formats: Formats;
  /** What the studio stands on */
  readonly mains: Mains | null;
  readonly people: readonly (AnsweredPerson & { readonly id: string })[];
  readonly pictures: readonly PictureSubject[];
  readonly machine: Machine;
  /** Screen outputs of the computer that are still free; taken from the front */
  readonly freeScreens: string[];
  readonly unmet: Unmet[];
}

/** The next free screen output of the computer. @throws TooSmall where there is none */
export const takeScreen = ({ freeScreens }: Plan): string => {
  const screen = freeScreens.shift();
  if (screen === undefined) throw new TooSmall('no screen output is free');
  return screen;
};

/** What a picture comes from. */
export const sourceId = ({ id, source }: PictureSubject): string =>
  `${id}-${source === 'camera' ? 'camera' : 'source'}`;

export const guestsOf = ({ people }: Pick<Plan, 'people'>): Plan['people'] =>
  people.filter(({ where }) => where === 'remote');
export const onSiteOf = ({ people }: Pick<Plan, 'people'>): Plan['people'] =>
  people.filter(({ where }) => where === 'on site');
export const isSeenGuest = ({ where, shot }: AnsweredPerson): boolean =>
  where === 'remote' && shot !== null;

/** Whether no larger computer is left to try. */
export const isLargest = ({ machine }: Plan): boolean => machine === MACHINES.at(-1);

/** What a class usually costs, in the studio's currency. */
export const priceOf = (classId: string): number => classById(classId).typicalPrice ?? 0;
