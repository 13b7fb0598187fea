import type { Progress } from '../edits/gain/set';
import type { Mains, Rig } from '../rig';
import { NO_STOCK, type Stock, takingFirst } from './taking-first';
import type { Answers } from './answers';
import { cheapen } from './cheaper';
import { finish, withDelays, withLenses } from './finish';
import { withGreenScreen } from './green-screen';
import { CannotBuild, type Unmet } from './plan';
import { leftOver } from './unmet';
import { wired } from './wire';

export {
  type AnsweredPerson,
  type Answers,
  answersSchema,
  onSite,
  remote,
  ROOM_ANSWERS,
  STARTING_POINTS,
  type StartingPoint,
} from './answers';
export type { Unmet } from './plan';

/** A rig made from answers, with the answers it does not meet; or the reason there is none. */
export type Built =
  | { readonly ok: true; readonly rig: Rig; readonly unmet: readonly Unmet[] }
  | { readonly ok: false; readonly why: string };

/** How much of the whole each part is, in hundredths, as it usually is. */
const PARTS = { wired: 5, placed: 60, settled: 70 } as const;

/**
 * Builds a complete rig from answers: classes, counts, ports, formats, scenes, places, gains and cables
 * chosen by rule, nothing by template, then by the product's own judgement: what presses is mended, and
 * no class is dearer than it must be. Where the answers contradict each other it says which.
 * @param mains what the studio stands on
 * @param stock what the studio has: taken first, at no cost
 */
export const build = (
  answers: Answers,
  mains: Mains | null = null,
  onProgress?: Progress,
  stock: Stock = NO_STOCK,
): Built => {
  const within = (from: number, to: number) => (done: number, of: number) =>
    onProgress?.(Math.round(from + ((to - from) * done) / of), 100);
  try {
    const { rig, unmet } = wired(answers, mains);
    const finished = finish(rig, answers, within(PARTS.wired, PARTS.placed));
    const cheaper = cheapen(finished, withLenses, within(PARTS.settled, 100));
    // A cheaper class may be slower, and more may be taken in than before.
    const bought = withDelays(cheaper);
    const made = stock.things.length === 0 ? bought : withDelays(takingFirst(bought, stock));
    const lit = answers.background === 'green screen' ? withGreenScreen(made.rig) : made.rig;
    return { ok: true, rig: lit, unmet: [...unmet, ...leftOver(made, unmet)] };
  } catch (error) {
    if (error instanceof CannotBuild) return { ok: false, why: error.message };
    throw error;
  }
};
