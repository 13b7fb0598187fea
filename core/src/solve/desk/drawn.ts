import { nameOfThing } from '../../passes/names';
import type { Analysis } from '../../analyse';
import { groundOf, microphonesOn, onDesks, peopleAt } from '../../passes/place';
import { entry, type Point } from '../../rig';
import { axesOf } from './axes';

/** What is drawn of a desk, along its own axes: to the right of who sits at it, and away from them. @unit m */
export interface DeskThings {
  readonly things: readonly {
    readonly id: string;
    readonly name: string;
    readonly corners: readonly Point[];
    readonly middle: Point;
  }[];
  readonly seats: readonly { readonly name: string; readonly at: Point }[];
  readonly microphones: readonly Point[];
}

const NOTHING: DeskThings = { things: [], seats: [], microphones: [] };

/** Everything on a desk from above. @returns nothing for a desk that stands nowhere */
export const deskThings = (analysis: Analysis, deskId: string): DeskThings => {
  const desk = onDesks(analysis).find(({ id }) => id === deskId);
  if (!desk) return NOTHING;
  const axes = axesOf(desk);
  return {
    things: desk.things.map((solid) => ({
      id: solid.id,
      name: nameOfThing(analysis, solid),
      corners: groundOf(solid).map(axes.to),
      middle: axes.to(solid.spot),
    })),
    seats: peopleAt(analysis, desk).flatMap((id) => {
      const person = entry(analysis.rig.people, id);
      return person?.at ? [{ name: person.name, at: axes.to(person.at) }] : [];
    }),
    microphones: microphonesOn(analysis, desk).map(axes.to),
  };
};
