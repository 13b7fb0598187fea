import { anyOf, type Chance, tenths } from '../chance';
import { collection } from '../collection';
import { refusals } from '../refusal';
import type { Problem } from '../slice';
import { OPENINGS, openingSchema, walkwaySchema } from './schema';

export { blank, shape } from './shape';

/** Doors, windows and sockets in the walls, and the ways that must stay free. */

const anyPoint = (chance: Chance) => ({ xM: tenths(chance, 0, 8), yM: tenths(chance, 0, 6) });

export const commands = {
  ...collection({
    key: 'opening',
    many: 'openings',
    fields: openingSchema.omit({ order: true }),
    at: (rig) => rig.openings,
    read: (rig) => rig.openings,
    none: refusals.noOpening,
    leaving: (id, forget) => forget({ kind: 'opening', id }),
    says: {
      add: ({ name }) => `Put ${name} into the walls.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Took ${name} out of the walls.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      name: chance.oneOf(['Door', 'Window']),
      what: anyOf(chance, OPENINGS) ?? 'door',
      wall: chance.integer(0, 4),
      alongM: tenths(chance, 0, 6),
      widthM: tenths(chance, 1, 2),
      bottomM: 0,
      heightM: 2,
      opens: chance.oneOf(['in', 'out', 'slides', 'no']),
    }),
  }),
  ...collection({
    key: 'walkway',
    many: 'walkways',
    fields: walkwaySchema.omit({ order: true }),
    at: (rig) => rig.walkways,
    read: (rig) => rig.walkways,
    none: refusals.noWalkway,
    says: {
      add: ({ name }) => `Added ${name} to the ways that stay free.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Removed ${name} from the ways that stay free.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      name: chance.oneOf(['Way out', 'Way to the kiln']),
      from: anyPoint(chance),
      to: anyPoint(chance),
      widthM: tenths(chance, 0.6, 2),
    }),
  }),
};

export const problems = (): Problem[] => [];
export const forget = (): void => undefined;
export const limits = {};
