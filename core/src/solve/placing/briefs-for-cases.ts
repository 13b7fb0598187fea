import { type Answers, onSite, remote, STARTING_POINTS } from '../../build';
import type { Beginning } from '../../build/rooms';
import { wired } from '../../build/wire';
import { CATALOGUE } from '../../catalogue';
import { apply, type Rig, seeded } from '../../rig';

/** A brief at random: one to four people who sit or stand, some unseen, at times one far away. */
const briefOf = (seed: number): Answers => {
  const chance = seeded(seed, CATALOGUE);
  const point = STARTING_POINTS[seed % STARTING_POINTS.length];
  if (!point) throw new Error('there is no starting point');
  const names = ['Ada', 'Bo', 'Cem', 'Dee'].slice(0, chance.integer(1, 5));
  return {
    ...point.answers('Placed'),
    people: [
      ...names.map((name) =>
        onSite(name, {
          posture: chance.oneOf(['sits', 'stands'] as const),
          shot: chance.once(5) ? null : 'head and shoulders',
        }),
      ),
      ...(chance.once(3) ? [remote('Eve')] : []),
    ],
  };
};

/** The rig of a brief, in a room to begin with, nothing placed yet. */
export const roomed = (seed: number, room: Beginning): Rig => {
  const { rig } = wired(briefOf(seed));
  return apply(rig, { type: 'batch', label: 'Room', commands: [...room.commands] });
};
