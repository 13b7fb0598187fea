import { build, STARTING_POINTS } from './build';
import { CATALOGUE } from './catalogue';
import { anyCommand, apply, type Chance, Refusal, type Rig, seeded } from './rig';
import { demoRig } from './rules/demo-for-cases';

/** A rig after one more edit at random; the same rig where the edit was refused. */
export const editedAtRandom = (rig: Rig, chance: Chance): Rig => {
  const command = anyCommand(chance, rig);
  if (!command) return rig;
  try {
    return apply(rig, command);
  } catch (error) {
    if (error instanceof Refusal) return rig;
    throw error;
  }
};

/** The demo's rigs and one of each starting point. */
export const rigsToBeginFrom = (): Rig[] => [
  ...['night-tide', 'second-firing', 'harbour-hall'].map(demoRig),
  ...STARTING_POINTS.map(({ name, answers }) => build(answers(name))).flatMap((made) =>
    made.ok ? [made.rig] : [],
  ),
];

const MOST_EDITS = 40;

/** One of the rigs given, edited at random. The same for the same seed. */
export const randomRig = (seed: number, starts: readonly Rig[]): Rig => {
  const chance = seeded(seed, CATALOGUE);
  const start = starts[seed % starts.length];
  if (!start) throw new RangeError('there is no rig to begin from');
  let rig = start;
  for (let edits = chance.integer(1, MOST_EDITS); edits > 0; edits--)
    rig = editedAtRandom(rig, chance);
  return rig;
};
