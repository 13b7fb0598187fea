import { nameOfThing } from '../../passes/names';
import {
  allowedW,
  type CircuitLoading,
  circuitLoadings,
  explainLoading,
  type FeedLoading,
  feedLoadings,
} from '../../passes/power';
import { figure } from '../../passes/sum';
import { inOrder } from '../../rig';
import type { About } from '../about';
import { batchFix, eachPowerRule } from '../rule-of';
import { offCircuit } from './off-circuit';
import { offFeed, without } from './off-feed';

/** What is plugged where, against what it bears. */

export const MAINS_CAUTION =
  'Mains wiring is for licensed electricians, and local code decides; never lift the protective earth.';

export const aboutCircuit = ({ circuitId }: { readonly circuitId: string }): About => ({
  kind: 'circuit',
  circuitId,
});
export const aboutFeed = ({ feedId }: { readonly feedId: string }): About => ({
  kind: 'feed',
  feedId,
});

export const amperes = (a: number): string => `${figure(a, 1)} A`;

export const circuitOver = eachPowerRule<CircuitLoading>(
  'power.circuit-over',
  {
    looksFor: 'A circuit from which more is drawn than its breaker gives for hours: 80 % of it.',
    why: 'The breaker trips in the middle of the show, and everything on it goes dark at once.',
    remedy: 'Move something to another circuit.',
    source:
      'handbook 5, Power: 230 V and 16 A give 2,944 W, 120 V and 20 A 1,920 W; local code decides',
  },
  {
    all: circuitLoadings,
    about: aboutCircuit,
    judge: ({ circuit, a, w, allowedA }, measured) => {
      const { mains, powerRules } = measured.rig;
      return a !== null && mains && a > allowedA
        ? {
            level: 'stop',
            title: `${circuit.name}: ${amperes(a)} of ${amperes(allowedA)}`,
            says:
              `${figure(w, 0)} W hang on ${circuit.name}, that is ${amperes(a)}. Its breaker of ` +
              `${figure(circuit.breakerA, 0)} A gives ${amperes(allowedA)} for hours ` +
              `(${figure(allowedW(circuit, powerRules.breakerShare, mains.volts), 0)} W at a power factor of 1). ` +
              `${a > circuit.breakerA ? 'It trips.' : 'It trips after a while.'} Move something to another ` +
              `circuit. ${MAINS_CAUTION}`,
          }
        : null;
    },
    sums: (loading, measured) =>
      explainLoading(
        measured,
        `Drawn from ${loading.circuit.name}`,
        loading,
        measured.rig.mains?.volts ?? null,
      ),
    fixes: (loading, measured) => offCircuit(measured, loading),
  },
);

export const feedOver = eachPowerRule<FeedLoading>(
  'power.strip-over',
  {
    looksFor: 'A strip or an outlet from which more is drawn than it bears.',
    why: 'It gets hot where nobody looks, under a carpet or behind a rack.',
    remedy: 'Move something to another strip.',
    source: 'handbook 5, Power: strips and plug fuses have limits of their own',
  },
  {
    all: feedLoadings,
    about: aboutFeed,
    judge: ({ feed, a }) =>
      feed.figures.is !== 'ups' &&
      a !== null &&
      feed.figures.mostA !== null &&
      a > feed.figures.mostA
        ? {
            level: 'stop',
            title: `${feed.name}: ${amperes(a)}, it bears ${amperes(feed.figures.mostA)}`,
            says:
              `${amperes(a)} are drawn through ${feed.name}, which bears ${amperes(feed.figures.mostA)}. It gets ` +
              `hot where nobody looks. Move something to another strip. ${MAINS_CAUTION}`,
          }
        : null,
    sums: (loading, measured) =>
      explainLoading(
        measured,
        `Drawn from ${loading.feed.name}`,
        loading,
        measured.rig.mains?.volts ?? null,
      ),
    fixes: (loading, measured) => {
      const volts = measured.rig.mains?.volts ?? null;
      const { figures } = loading.feed;
      return volts === null || figures.is === 'ups'
        ? []
        : offFeed(
            measured,
            loading,
            (gone) => without(loading, gone).va / volts <= (figures.mostA ?? Infinity),
          );
    },
  },
);

export const socketsShort = eachPowerRule<FeedLoading>(
  'power.sockets-short',
  {
    looksFor: 'More plugs than sockets, those that wide adapters cover counted.',
    why: 'Somebody brings another strip on the day and plugs it into this one.',
    remedy: 'Use a strip with more sockets, or another outlet.',
    source: 'handbook 5, Power: sockets counted, wide adapters too',
  },
  {
    all: feedLoadings,
    about: aboutFeed,
    judge: ({ feed, taken, drawn, feedIds }) =>
      taken > feed.figures.sockets
        ? {
            level: 'stop',
            title: `${taken} sockets wanted of ${feed.name}, it has ${feed.figures.sockets}`,
            says:
              `${drawn.length + feedIds.length} plugs take ${taken} sockets of ${feed.name}, wide adapters ` +
              `counted; it has ${feed.figures.sockets}. Use a strip with more, or another outlet.`,
          }
        : null,
    sums: ({ feed, taken, drawn }, measured) => [
      {
        label: `Sockets of ${feed.name}`,
        formula: 'sum of the sockets that plugs and adapters cover',
        inputs: drawn.map((one) => ({
          name: nameOfThing(measured, one),
          value: one.covers,
          unit: '',
        })),
        result: taken,
        unit: 'sockets',
        source: 'typical of the classes',
      },
    ],
    fixes: ({ feedId, feed, taken }) =>
      feed.figures.is === 'strip'
        ? [
            batchFix(`Use a strip with ${taken} sockets`, [
              {
                type: 'changeFeed',
                feedId,
                feed: { figures: { ...feed.figures, sockets: taken } },
              },
            ]),
          ]
        : [],
  },
);

export const stripInStrip = eachPowerRule<FeedLoading>(
  'power.strip-in-strip',
  {
    looksFor: 'A strip that is plugged into a strip.',
    why: 'All of it hangs on the plug of the first, which was made for one; plugs come apart unseen.',
    remedy: 'Plug it into an outlet, or use one strip with more sockets.',
    source: 'handbook 5, Power: no strip into a strip',
  },
  {
    all: feedLoadings,
    about: aboutFeed,
    judge: ({ feed }, measured) => {
      const into = feed.from?.by === 'feed' ? measured.rig.feeds[feed.from.feedId] : undefined;
      return feed.figures.is === 'strip' && into?.figures.is === 'strip'
        ? {
            level: 'warn',
            title: `${feed.name} is plugged into ${into.name}`,
            says:
              `${feed.name} is a strip in a strip, ${into.name}. All of it hangs on one plug that was made ` +
              `for less, and it comes apart unseen. Plug it into an outlet. ${MAINS_CAUTION}`,
          }
        : null;
    },
    fixes: ({ feedId, feed, circuitId }, measured) => {
      const free = feedLoadings(measured)
        .filter(
          (other) =>
            other.feed.figures.is === 'outlet' &&
            other.circuitId !== null &&
            other.taken < other.feed.figures.sockets,
        )
        .sort((a, b) => Number(b.circuitId === circuitId) - Number(a.circuitId === circuitId));
      return free.slice(0, 2).map((outlet) =>
        batchFix(`Plug ${feed.name} into ${outlet.feed.name}`, [
          {
            type: 'changeFeed',
            feedId,
            feed: { from: { by: 'feed', feedId: outlet.feedId } },
          },
        ]),
      );
    },
  },
);

export const unfed = eachPowerRule<FeedLoading>(
  'power.unfed',
  {
    looksFor: 'A strip or a supply with things on it that is plugged in nowhere.',
    why: 'Nobody has thought of where its power comes from.',
    remedy: 'Plug it into an outlet, or say which circuit the outlet is on.',
    source: 'handbook 5, Power',
  },
  {
    all: feedLoadings,
    about: aboutFeed,
    judge: ({ feed, drawn, circuitId }, measured) =>
      drawn.length > 0 && circuitId === null && Object.keys(measured.rig.circuits).length > 0
        ? {
            level: 'warn',
            title: `${feed.name} hangs on no circuit`,
            says:
              `${drawn.length === 1 ? 'One thing is' : `${drawn.length} things are`} plugged into ${feed.name}, ` +
              'and nothing says where its power comes from. Plug it in, or say which circuit it is on.',
          }
        : null,
    fixes: ({ feedId, feed }, measured) =>
      inOrder(measured.rig.circuits)
        .filter(() => feed.figures.is === 'outlet')
        .slice(0, 2)
        .map(([circuitId, circuit]) =>
          batchFix(`It is on ${circuit.name}`, [
            { type: 'changeFeed', feedId, feed: { from: { by: 'circuit', circuitId } } },
          ]),
        ),
  },
);
