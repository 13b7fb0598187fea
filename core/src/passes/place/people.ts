import type { Person } from '../../rig';
import type { InRoom } from './geometry';

/** How high the parts of people are that the plan computes with. @source handbook 5, after Drillis and Contini */

/** Typical eyes above the floor. @unit m */
const EYES_M = { sits: 1.2, stands: 1.6, moves: 1.6 } as const;
/** Eyes above the floor as a share of stature. */
const EYES_SHARE = { sits: 0.73, stands: 0.94, moves: 0.94 } as const;
/** The desk's top at the elbow, as a share of stature. */
export const ELBOW_SHARE = { sits: 0.39, stands: 0.63 } as const;
/** Mouth under the eyes, and crown above them. @unit m */
export const MOUTH_UNDER_M = 0.08;
const CROWN_OVER_M = 0.11;
/** Width of the shoulders and depth of a body, with arms at rest. @unit m */
export const SHOULDERS_M = 0.45;
export const CHEST_M = 0.3;

/** Height of a person's eyes: what was said, or by their stature, or typical. @unit m */
export const eyesAtM = ({ eyeM, statureM, posture }: Person): number =>
  eyeM ?? (statureM === null ? EYES_M[posture] : statureM * EYES_SHARE[posture]);

export const crownAtM = (person: Person): number => eyesAtM(person) + CROWN_OVER_M;

/** @returns null where nobody has said where they are */
export const eyesOf = (person: Person): InRoom | null =>
  person.at && { xM: person.at.xM, yM: person.at.yM, zM: eyesAtM(person) };

/** @returns null where nobody has said where they are */
export const mouthOf = (person: Person): InRoom | null =>
  person.at && { xM: person.at.xM, yM: person.at.yM, zM: eyesAtM(person) - MOUTH_UNDER_M };
