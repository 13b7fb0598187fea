import { type Mix, mixes, type OpenInMix } from '../../passes/processing/mixes';
import { combRippleDb, THREE_TO_ONE_DB } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry, inOrder } from '../../rig';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** Two microphones of one person in one mix. */
interface Twice {
  readonly mix: Mix;
  readonly personId: string;
  readonly louder: OpenInMix;
  readonly softer: OpenInMix;
}

const underDb = ({ louder, softer }: Twice): number => softer.levelDb - louder.levelDb;

/** How much later one of the two arrives. @unit ms; null where a delay is not known */
const apartMs = ({ louder, softer }: Twice): number | null =>
  louder.delayMs === null || softer.delayMs === null
    ? null
    : Math.abs(softer.delayMs - louder.delayMs);

const depthWords = (under: number): string => {
  const ripple = combRippleDb(under);
  return Number.isFinite(ripple) ? `${figure(ripple)} dB deep` : 'as deep as it can be';
};

/** Together closer than this, two arrivals only add. @unit ms */
const TOGETHER_MS = 0.02;

export const twiceInMix = eachSoundRule<Twice>(
  'sound.twice-in-mix',
  {
    looksFor:
      'Two microphones of one person in one mix, the second less than 9.5 dB under the first.',
    why: 'The voice arrives twice, a moment apart: every so many hertz it cancels itself and sounds hollow.',
    remedy: 'Keep one of them out of the mix, or on a track of its own as a reserve.',
    source: 'handbook 2-sound, bleed: comb ripple, the 3:1 rule',
  },
  {
    all: (measured) =>
      mixes(measured).flatMap((mix) =>
        inOrder(measured.rig.people).flatMap(([personId]): Twice[] => {
          const own = mix.open
            .filter((one) => one.personId === personId)
            .sort((a, b) => b.levelDb - a.levelDb);
          const [louder, softer] = own;
          return louder && softer ? [{ mix, personId, louder, softer }] : [];
        }),
      ),
    about: ({ mix, personId }) => ({ ...at({ deviceId: mix.end.id }), personId }),
    judge: (twice, measured) => {
      const under = underDb(twice);
      const late = apartMs(twice);
      if (under <= -THREE_TO_ONE_DB || (late !== null && late < TOGETHER_MS)) return null;
      const { name } = entry(measured.rig.people, twice.personId) ?? { name: 'somebody' };
      const [a, b] = [twice.louder, twice.softer].map(
        ({ source }) => measured.device(source.device).name,
      );
      return {
        level: 'warn',
        title: `${name} is in the mix twice`,
        says:
          `${measured.device(twice.mix.end).name} gets ${name} by ${a ?? ''} and, ${figure(-under)} dB under it, by ` +
          `${b ?? ''}` +
          (late === null
            ? ', at another moment'
            : `, ${figure(late, 2)} ms apart: the first dip lies at ${figure(500 / late, 0)} Hz`) +
          `, ${depthWords(under)}. ` +
          'Leave one of them out of the mix.',
      };
    },
    sums: (twice) => {
      const late = apartMs(twice);
      return [
        {
          label: 'Comb ripple',
          formula: '20·log10((1 + r) ÷ (1 − r))',
          inputs: [{ name: 'r', value: 10 ** (underDb(twice) / 20), unit: '' }],
          result: combRippleDb(underDb(twice)),
          unit: 'dB',
          source: 'handbook 2-sound, bleed',
        },
        ...(late === null || late < TOGETHER_MS
          ? []
          : [
              {
                label: 'First dip',
                formula: '1 ÷ (2·Δt)',
                inputs: [{ name: 'Δt', value: late, unit: 'ms' }],
                result: 500 / late,
                unit: 'Hz',
                source: 'two arrivals half a wave apart',
              },
            ]),
      ];
    },
    fixes: ({ softer }, measured) => {
      const edge = softer.source.links[0];
      return edge
        ? [
            {
              label: `Unplug ${measured.device(softer.source.device).name}`,
              command: { type: 'disconnect', linkId: edge.id },
            },
          ]
        : [];
    },
  },
);
