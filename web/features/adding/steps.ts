import { type Model, STEPS } from '@echo-loom/core';
import { STEP_TITLES } from '@/layout/step-titles';
import type { PickGroup, PickItem } from '@/ui/PickList';

/**
 * Classes under the step of the chain they are of.
 * @param before what each heading begins with
 */
export const stepGroups = <T extends { readonly model: Model }>(
  offered: readonly T[],
  item: (of: T) => PickItem,
  before = '',
): readonly PickGroup[] =>
  STEPS.map((step) => ({
    heading: `${before}${STEP_TITLES[step]}`,
    items: offered.filter(({ model }) => model.step === step).map(item),
  })).filter(({ items }) => items.length > 0);
