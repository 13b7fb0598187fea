import type { SimpleCommand } from '../../rig';
import type { Unmet } from './answer';

/** What could be done for the light, weighed and put into words. */

/** A face before and after. */
export interface FaceFigures {
  readonly name: string;
  /** @unit lux */
  readonly lux: number;
  readonly ratio: number | null;
  readonly hairStops: number | null;
}

/** One thing that could be done. */
export interface LightOption {
  readonly is: 'set' | 'move' | 'buy';
  readonly label: string;
  /** In the studio's currency; 0 for what costs nothing */
  readonly price: number;
  readonly faces: readonly FaceFigures[];
  readonly unmet: readonly Unmet[];
  readonly commands: readonly SimpleCommand[];
}

export const weigh = (unmet: readonly Unmet[]): number =>
  unmet.reduce((sum, { about, by }) => sum + (about === 'exposure' ? 4 : 1) * (0.2 + by), 0);

const matters = (unmet: readonly Unmet[]): Set<string> =>
  new Set(unmet.map(({ about, subjectId }) => `${about} ${subjectId}`));

const ABOUT: Readonly<Record<Unmet['about'], string>> = {
  exposure: 'the light on the faces',
  ratio: 'the ratio',
  hair: 'the light on the hair',
  background: 'the distance to the background',
  screen: 'the screen',
  board: 'the board',
};

/** What an option mends that is missing now. */
const mends = (now: readonly Unmet[], { unmet }: LightOption): string[] => {
  const left = matters(unmet);
  return [
    ...new Set(
      now
        .filter(({ about, subjectId }) => !left.has(`${about} ${subjectId}`))
        .map(({ about }) => ABOUT[about]),
    ),
  ];
};

const listed = (words: readonly string[]): string =>
  words.length < 2
    ? (words[0] ?? 'nothing')
    : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;

/** In words: whether the lamps there are will do. */
export const advise = (
  now: readonly Unmet[],
  lamps: number,
  set: LightOption | undefined,
  moved: LightOption | undefined,
  bought: LightOption | undefined,
): string => {
  const another = lamps === 1 ? 'A second lamp' : 'Another lamp';
  const enough = lamps === 1 ? 'One lamp is enough' : 'The lamps you have are enough';
  const free = [set, moved].filter((one) => one !== undefined);
  const ideal = free.find(({ unmet }) => unmet.length === 0);
  if (now.length === 0) return `${enough}: everything the house asks for is met as it is.`;
  const bestFree = [...free].sort((a, b) => weigh(a.unmet) - weigh(b.unmet))[0];
  if (!bought)
    return bestFree ? `${bestFree.label}: it mends ${listed(mends(now, bestFree))}.` : '';
  const more = mends(now, bought).filter(
    (one) => !(bestFree && mends(now, bestFree).includes(one)),
  );
  if (ideal) return `${enough}. ${ideal.label}: everything the house asks for is then met.`;
  if (bestFree && weigh(bestFree.unmet) <= weigh(bought.unmet) + 1e-6)
    return (
      `${another} would change ${listed(mends(now, bought))} and nothing else. ${bestFree.label} instead: it ` +
      `mends ${listed(mends(now, bestFree))}.`
    );
  return (
    `${bestFree ? `${bestFree.label} mends ${listed(mends(now, bestFree))}. ` : ''}` +
    `${another}, ${bought.label}, would mend ` +
    (more.length > 0 ? `${listed(more)} as well.` : `${listed(mends(now, bought))} better.`)
  );
};
