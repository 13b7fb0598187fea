import { nameOfThing } from '../../passes/names';
import {
  type Drawn,
  drawers,
  type FeedLoading,
  feedLoadings,
  upsMinutes,
} from '../../passes/power';
import type { Measured } from '../../passes/measured';
import { pass } from '../../passes/pass';
import { isNeeded } from '../../passes/power/needed';
import { figure } from '../../passes/sum';
import type { FeedFigures } from '../../rig';
import { batchFix, eachPowerRule } from '../rule-of';
import { aboutFeed } from './loading';
import { offFeed, without } from './off-feed';
import { watts } from './watts';

/** What goes on when the mains goes, and for how long. */

type Ups = Extract<FeedFigures, { is: 'ups' }>;
interface UpsLoading extends FeedLoading {
  readonly ups: Ups;
}

const supplies = pass('supplies that last', (measured): readonly UpsLoading[] =>
  feedLoadings(measured).flatMap((loading) =>
    loading.feed.figures.is === 'ups' ? [{ ...loading, ups: loading.feed.figures }] : [],
  ),
);

export const upsOver = eachPowerRule<UpsLoading>(
  'power.ups-over',
  {
    looksFor: 'A supply that lasts with more W or VA on it than it gives.',
    why: 'When the mains goes it switches itself off, and everything on it with it.',
    remedy: 'Leave on it only what the show needs, or use a larger one.',
    source: 'handbook 5, Power: W and VA',
  },
  {
    all: supplies,
    about: aboutFeed,
    judge: ({ feed, ups, w, va }) =>
      w > ups.mostW || va > ups.mostVa
        ? {
            level: 'stop',
            title:
              `${feed.name}: ${watts(w)}, ${figure(va, 0)} VA; ` +
              `it gives ${watts(ups.mostW)}, ${figure(ups.mostVa, 0)} VA`,
            says:
              `${watts(w)} and ${figure(va, 0)} VA hang on ${feed.name}; it gives ${watts(ups.mostW)} and ` +
              `${figure(ups.mostVa, 0)} VA. When the mains goes it switches itself off. Take what the show ` +
              'does not need off it.',
          }
        : null,
    sums: ({ drawn, va }, measured) => [
      {
        label: 'VA on it',
        formula: 'sum of W ÷ power factor',
        inputs: drawn.map((one) => ({
          name: `${nameOfThing(measured, one)}, at ${one.powerFactor}`,
          value: one.w,
          unit: 'W',
        })),
        result: va,
        unit: 'VA',
        source: 'handbook 5, Power',
      },
    ],
    fixes: (loading, measured) =>
      offFeed(measured, loading, (gone) => {
        const { w, va } = without(loading, gone);
        return w <= loading.ups.mostW && va <= loading.ups.mostVa;
      }),
  },
);

export const upsShort = eachPowerRule<UpsLoading>(
  'power.ups-short',
  {
    looksFor: 'A supply that lasts for fewer minutes than was asked for.',
    why: 'It ends before the show is closed in order.',
    remedy: 'Take off what the show does not need, or use one with a larger battery.',
    source: 'handbook 5, Power: minutes = Wh × efficiency ÷ W',
  },
  {
    all: supplies,
    about: aboutFeed,
    judge: ({ feed, ups, typicalW }, measured) => {
      const minutes = upsMinutes(ups.wh, ups.efficiency, typicalW);
      const asked = measured.rig.powerRules.lastsMin;
      return minutes < asked
        ? {
            level: 'warn',
            title: `${feed.name} lasts ${figure(minutes, 0)} min, ${figure(asked, 0)} are asked for`,
            says:
              `With ${watts(typicalW)} on it ${feed.name} lasts ${figure(minutes, 0)} min; ${figure(asked, 0)} ` +
              'are asked for. Take off what the show does not need, or use a larger one.',
          }
        : null;
    },
    sums: ({ ups, typicalW }) => [
      {
        label: 'How long it lasts',
        formula: '60 × Wh × efficiency ÷ W',
        inputs: [
          { name: 'battery', value: ups.wh, unit: 'Wh' },
          { name: 'efficiency', value: ups.efficiency, unit: '' },
          { name: 'in use', value: typicalW, unit: 'W' },
        ],
        result: typicalW > 0 ? upsMinutes(ups.wh, ups.efficiency, typicalW) : null,
        unit: 'min',
        source: 'handbook 5, Power',
      },
    ],
    fixes: (loading, measured) => {
      const { ups } = loading;
      const lasts = (typicalW: number): boolean =>
        upsMinutes(ups.wh, ups.efficiency, typicalW) >= measured.rig.powerRules.lastsMin;
      const wh = Math.ceil(
        (measured.rig.powerRules.lastsMin * loading.typicalW) / (60 * ups.efficiency),
      );
      return [
        ...offFeed(measured, loading, (gone) => lasts(without(loading, gone).typicalW)),
        batchFix(`Use one that holds ${wh} Wh`, [
          { type: 'changeFeed', feedId: loading.feedId, feed: { figures: { ...ups, wh } } },
        ]),
      ];
    },
  },
);

/** What goes off with the mains, and where it should be plugged in. */
type OffUps = Drawn & { readonly on: UpsLoading };

/** What the show needs and is not on the supply that lasts, where there is one. */
const notLasting = (measured: Measured): readonly OffUps[] => {
  const [on] = supplies(measured);
  if (!on) return [];
  const lasting = new Set(supplies(measured).flatMap(({ drawn }) => drawn.map(({ id }) => id)));
  return drawers(measured)
    .filter(({ id }) => !lasting.has(id) && isNeeded(measured, id))
    .map((one) => ({ ...one, on }));
};

export const notOnUps = eachPowerRule<OffUps>(
  'power.not-lasting',
  {
    looksFor:
      'What the show goes through, plugged in elsewhere though there is a supply that lasts.',
    why: 'When the mains goes the rest goes on and shows nothing.',
    remedy: 'Plug it into the supply that lasts.',
    source: 'handbook 5, Power: everything needed for the show on the supply that lasts',
    together: (count) => `${count} things the show goes through are not on the supply that lasts`,
  },
  {
    all: notLasting,
    about: ({ id }) => ({ kind: 'device', deviceId: id }),
    judge: (one, measured) => {
      const name = nameOfThing(measured, one);
      const into = one.on.feed.name;
      return {
        level: 'note',
        title: `${name} is not on ${into}`,
        says: `The show goes through ${name}, and it goes off with the mains. Plug it into ${into}.`,
      };
    },
    fixes: ({ of, id, on }, measured) =>
      on.taken < on.ups.sockets
        ? [
            batchFix(`Plug ${nameOfThing(measured, { of, id })} into ${on.feed.name}`, [
              { type: 'plugIn', deviceId: id, feedId: on.feedId },
            ]),
          ]
        : [],
  },
);
