import { CannotBuild, type Plan } from './plan';

/** A switcher of the catalogue, by what decides whether it is large enough. */
export interface SwitcherSize {
  readonly classId: string;
  readonly inputs: number;
  readonly hasMultiview: boolean;
  /** SDI in and out, and no scalers */
  readonly isSerial: boolean;
}

/** Cheapest first. */
const SWITCHERS: readonly SwitcherSize[] = [
  { classId: 'switcher-4', inputs: 4, hasMultiview: false, isSerial: false },
  { classId: 'switcher-6', inputs: 6, hasMultiview: true, isSerial: false },
  { classId: 'switcher-8', inputs: 8, hasMultiview: true, isSerial: false },
  { classId: 'switcher-20', inputs: 20, hasMultiview: true, isSerial: true },
];
const [LARGEST] = SWITCHERS.slice(-1);

const usable = ({ inputs }: SwitcherSize, { rules }: Plan): number =>
  inputs - (rules.spareInputs === 'exact' ? 0 : Math.floor(inputs / 4));

/**
 * The cheapest switcher that takes every picture, keeps free what the house rule asks for, and shows an
 * operator all of them. @throws CannotBuild where there is none
 */
export const switcherFor = (plan: Plan): SwitcherSize => {
  const { pictures, answers } = plan;
  const found = SWITCHERS.find(
    (size) =>
      pictures.length <= usable(size, plan) &&
      (size.hasMultiview || answers.brief.switchedBy !== 'operator'),
  );
  if (!found)
    throw new CannotBuild(
      `${pictures.length} pictures are more than the largest switcher takes with the inputs ` +
        `that must stay free (${LARGEST ? usable(LARGEST, plan) : 0}). ` +
        'Let a camera see several people.',
    );
  return found;
};
