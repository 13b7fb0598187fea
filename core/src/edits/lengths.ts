import { planOf, type Planned, plannedCables } from '../passes/cables';
import { measure } from '../passes/measure';
import type { Measured } from '../passes/measured';
import { apply, entry, Refusal, type SimpleCommand } from '../rig';

/** Cables made as long as the plan asks, as edits. Lengths in metres. */

/** A length that was typed is enough where it is this near. @unit m */
const ROUNDING_M = 1e-9;

/** Whether a cable does not reach. */
export const isTooShort = ({ cable, needM }: Planned): boolean =>
  cable.lengthM < needM - ROUNDING_M;

/** Length of a cable that is made up of what is sold. */
export const soldM = ({ stockM }: Planned): number =>
  stockM.reduce((sum, lengthM) => sum + lengthM, 0);

const setLength = (plan: Planned): SimpleCommand => ({
  type: 'setCable',
  linkId: plan.linkId,
  cable: { kind: plan.cable.kind, lengthM: soldM(plan) },
});

/** One cable as long as it must be. */
export const lengthened = (plan: Planned): readonly SimpleCommand[] => [setLength(plan)];

/** Every cable whose way is known as long as the plan asks, no longer than it is sold; one edit. */
export const allLengths = (measured: Measured): readonly SimpleCommand[] =>
  plannedCables(measured)
    .filter((plan) => plan.cable.lengthM !== soldM(plan))
    .map(setLength);

/**
 * Edits that change where cables lie, and with them lengths that are then too short.
 * @returns null where the edits are refused
 */
export const withLengths = (
  measured: Measured,
  commands: readonly SimpleCommand[],
  linkIds: readonly string[],
): { readonly commands: readonly SimpleCommand[]; readonly plans: readonly Planned[] } | null => {
  const { rig } = measured;
  /** What is too short as it is stays so: that is another finding, with remedies of its own. */
  const wasShort = new Set(
    plannedCables(measured)
      .filter(isTooShort)
      .map(({ linkId }) => linkId),
  );
  const becomesShort = (plan: Planned): boolean => isTooShort(plan) && !wasShort.has(plan.linkId);
  try {
    const after = measure(
      apply(rig, { type: 'batch', label: 'Lay the cables', commands: [...commands] }),
    );
    const plans = linkIds.flatMap((id) => {
      const plan = entry(after.rig.links, id) ? planOf(after, id) : null;
      return plan?.is === 'planned' ? [plan] : [];
    });
    if (plans.length < linkIds.length) return null;
    return { commands: [...commands, ...plans.filter(becomesShort).map(setLength)], plans };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};
