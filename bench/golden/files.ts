import {
  anyCommand,
  apply,
  build,
  CATALOGUE,
  Refusal,
  type Rig,
  rigToJson,
  seeded,
  STARTING_POINTS,
} from '@echo-loom/core';
import { harbourHall } from '../../demo/harbour-hall';
import { nightTide } from '../../demo/night-tide';
import { secondFiring } from '../../demo/second-firing';

const EDITS_A_RIG = 40;

/** One of the rigs given, edited at random. The same for the same seed. */
export const randomRig = (seed: number, starts: readonly Rig[]): Rig => {
  const chance = seeded(seed, CATALOGUE);
  const start = starts[seed % starts.length];
  if (!start) throw new RangeError('there is no rig to begin from');
  let rig = start;
  for (let edits = chance.integer(1, EDITS_A_RIG); edits > 0; edits--) {
    const command = anyCommand(chance, rig);
    if (!command) continue;
    try {
      rig = apply(rig, command);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return rig;
};

/** The demo's rigs, one of each starting point, and so many random ones, as files. */
export const rigFiles = (random: number): [name: string, json: string][] => {
  const demos = [nightTide(), secondFiring(), harbourHall()];
  const built = STARTING_POINTS.map(({ name, answers }) => build(answers(name)));
  const starts = [...demos, ...built.flatMap((made) => (made.ok ? [made.rig] : []))];
  const named = starts.map((rig): [string, string] => [rig.name, rigToJson(rig)]);
  const scattered = Array.from({ length: random }, (_, seed): [string, string] => [
    `random ${seed}`,
    rigToJson(randomRig(seed, starts)),
  ]);
  return [...named, ...scattered];
};
