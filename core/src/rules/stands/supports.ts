import type { Loaded } from '../../passes/place';
import { figure } from '../../passes/sum';
import type { SimpleCommand, SupportFigures, SupportOf } from '../../rig';
import type { About } from '../about';

/** Words and edits that the rules of supports share. */

export const aboutSupport = ({ id }: Pick<Loaded, 'id'>): About => ({
  kind: 'support',
  supportId: id,
});

/** @param kg kilograms */
export const kilograms = (kg: number): string => `${figure(kg, 2)} kg`;

/** The figures of a support of one kind. */
export const figuresAs = <Is extends SupportFigures['is']>(
  { support: { figures } }: Pick<Loaded, 'support'>,
  is: Is,
): SupportOf<Is> | null => (figures.is === is ? (figures as SupportOf<Is>) : null);

/** Other figures for a support. */
export const changeFigures = (supportId: string, figures: SupportFigures): SimpleCommand => ({
  type: 'changeSupport',
  supportId,
  support: { figures },
});

/** Rounded up, so that it holds. @param step in the same unit */
export const upTo = (value: number, step: number): number =>
  Number((Math.ceil(value / step - 1e-9) * step).toFixed(4));

/** What everybody ought to be told where something can come down on them. */
export const OVERHEAD_CAUTION =
  'A competent person rigs and inspects what hangs over people, from a ladder that somebody holds; ' +
  'local rules decide.';
