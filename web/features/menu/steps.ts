import { type Model, STEPS, type Step } from '@echo-loom/core';
import type { PickGroup, PickItem } from '@/ui/PickList';

/** The steps of the chain as headings. */
const HEADINGS: Readonly<Record<Step, string>> = {
  source: 'Sources',
  lift: 'Lift',
  shape: 'Shape',
  combine: 'Combine',
  'take in': 'Take in',
  make: 'Make',
  deliver: 'Deliver',
  'hear and see': 'Hear and see',
};

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
    heading: `${before}${HEADINGS[step]}`,
    items: offered.filter(({ model }) => model.step === step).map(item),
  })).filter(({ items }) => items.length > 0);
