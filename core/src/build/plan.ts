import type { RigDraft } from '../catalogue/draft';
import type { HouseRules } from '../rig';
import type { AnsweredPerson, Answers } from './answers';

/** Why a rig cannot be built from answers that are each right by themselves. */
export class CannotBuild extends Error {
  override readonly name = 'CannotBuild';
}

/** Something a picture is wanted of. */
export interface PictureSubject {
  readonly id: string;
  readonly name: string;
  readonly personId: string | null;
  readonly sightId: string | null;
  readonly source: 'camera' | 'slides' | 'console';
}

/** A rig in the making: the draft, and what decides what is put into it. */
export interface Plan {
  readonly draft: RigDraft;
  readonly answers: Answers;
  readonly rules: HouseRules;
  readonly people: readonly (AnsweredPerson & { readonly id: string })[];
  readonly pictures: readonly PictureSubject[];
  /** Sockets of the computer by what they are used for */
  readonly sockets: { readonly sound: string; readonly pictures: readonly string[] };
}
