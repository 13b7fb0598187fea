import { cablePlans, LEG_MOST_M, type Planned, type Unplanned } from '../../passes/cables';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { laid } from '../../edits/lay';
import { entry } from '../../rig';
import { pass } from '../../passes/pass';
import { CABLE_BODIES } from '../../rig/links/cable-bodies';
import { CABLES } from '../../rig/links/cables';
import { THE_RIG } from '../about';
import { batchFix, cableRule, eachCableRule } from '../rule-of';
import { cableText, dressingOf, eachPlanned, metres, startText } from './planned';

const isTold = ({ rig }: Measured, { linkId }: { readonly linkId: string }): boolean =>
  entry(rig.links, linkId)?.lay?.by !== undefined;

/** What is told to lie in ways that it cannot get into. */
const misled = pass('cables led where they cannot go', (measured): readonly Unplanned[] =>
  cablePlans(measured).filter(
    (plan): plan is Unplanned => plan.is === 'no way' && isTold(measured, plan),
  ),
);

export const misledCable = eachCableRule<Unplanned>(
  'cables.misled',
  {
    looksFor: 'A cable that is told by hand to lie in ways that it cannot get into.',
    why: 'Its length cannot be told, and it is led somewhere else on the day.',
    remedy: 'Lead it by other ways, join the ways to each other, or let it find its own.',
    source: 'handbook 5, Cables',
  },
  {
    all: misled,
    about: ({ linkId }) => ({ kind: 'link', linkId }),
    judge: ({ linkId, cable }, { rig }) => {
      const names = (entry(rig.links, linkId)?.lay?.by ?? []).map(
        (id) => entry(rig.cableWays, id)?.name ?? id,
      );
      return {
        level: 'warn',
        title: `No way leads through ${names.join(', then ')}`,
        says:
          `A ${CABLES[cable.kind].name} is told to lie in ${names.join(', then ')}, and does not get there from ` +
          `within ${LEG_MOST_M} m of both its ends. Lead it by other ways, or let it find its own.`,
      };
    },
    fixes: ({ linkId }, { rig }) => [
      batchFix('Let it find its own way', [laid(rig, linkId, { by: [] })]),
    ],
  },
);

/** Names as a sentence lists them, no more than a few. */
const some = (names: readonly string[]): string =>
  names.length > 3
    ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`
    : names.join(', ');

export const unplacedEnds = cableRule(
  'cables.unplaced',
  {
    looksFor: 'Cables whose ends stand nowhere on the plan, in a room where cables have ways.',
    why: 'Their length cannot be told, and they are missing from what is bought and cut.',
    remedy: 'Put both ends on the plan.',
    source: 'handbook 5, Cables',
  },
  (measured) => {
    const plans = cablePlans(measured);
    const nowhere = plans.flatMap((plan) => (plan.is === 'nowhere' ? [plan] : []));
    // A plan that has only begun asks for nothing.
    if (nowhere.length === 0 || plans.every(({ is }) => is !== 'planned')) return [];
    const names = [...new Set(nowhere.flatMap(({ deviceIds }) => deviceIds))].flatMap(
      (id) => entry(measured.rig.devices, id)?.name ?? [],
    );
    return [
      {
        level: 'note',
        about: THE_RIG,
        title: `${nowhere.length} ${nowhere.length === 1 ? 'cable' : 'cables'} of unknown length`,
        says:
          `${some(names)} ${names.length === 1 ? 'stands' : 'stand'} nowhere on the plan, so ` +
          `${nowhere.length === 1 ? 'one cable' : `${nowhere.length} cables`} cannot be measured. ` +
          'Put them on the plan.',
      },
    ];
  },
);

export const noWay = cableRule(
  'cables.no-way',
  {
    looksFor: 'A cable whose ends are too far from every way, where open floor is not allowed.',
    why: 'Somebody leads it over open floor on the day, because there is nothing else.',
    remedy: 'Draw a way to where it starts and ends, or allow open floor.',
    source: 'handbook 5, Cables',
  },
  (measured) => {
    const lost = cablePlans(measured).filter(
      (plan): plan is Unplanned => plan.is === 'no way' && !isTold(measured, plan),
    );
    const names = [...new Set(lost.flatMap(({ deviceIds }) => deviceIds))].flatMap(
      (id) => entry(measured.rig.devices, id)?.name ?? [],
    );
    return lost.length === 0
      ? []
      : [
          {
            level: 'note',
            about: THE_RIG,
            title: `No way leads to ${lost.length} ${lost.length === 1 ? 'cable' : 'cables'}`,
            says:
              `No way for cables comes within ${LEG_MOST_M} m of both ends of ` +
              `${lost.length === 1 ? 'a cable' : `${lost.length} cables`}: ${some(names)}. Draw ways to ` +
              'them, or allow cables over open floor.',
          },
        ];
  },
  {
    fixes: () => [
      batchFix('Let cables lie over open floor', [
        { type: 'setLaying', laying: { openFloor: true } },
      ]),
    ],
  },
);

const heldAgain = ({ rig }: Measured, { linkId }: Planned, label: string) =>
  batchFix(label, [laid(rig, linkId, { dressing: 'reopenable' })]);

export const fixedOnMoving = eachCableRule<Planned>(
  'cables.fixed-on-moving',
  {
    looksFor: 'A cable that is fixed for good, to a desk that goes up and down.',
    why: 'The desk pulls it out of its socket, or the socket out of the device.',
    remedy: 'Hold it with what opens again, with a loop as long as the desk travels.',
    source: 'handbook 5, Cables: dressing',
  },
  {
    ...eachPlanned,
    judge: (plan, measured) =>
      plan.travelM > 0 && dressingOf(measured, plan) === 'fixed'
        ? {
            level: 'warn',
            title: `Fixed to a desk that travels ${metres(plan.travelM)}`,
            says:
              `${startText(measured, plan)} is fixed for good, and its desk travels ${metres(plan.travelM)}. ` +
              'It is pulled out when the desk goes up. Hold it with what opens again, and leave a loop.',
          }
        : null,
    fixes: (plan, measured) => [heldAgain(measured, plan, 'Hold it with what opens again')],
  },
);

export const fixedBorrowed = eachCableRule<Planned>(
  'cables.fixed-borrowed',
  {
    looksFor: 'A cable that is fixed for good, to a device that is borrowed.',
    why: 'It goes back, and the cable is cut out in a hurry.',
    remedy: 'Hold it with what opens again.',
    source: 'handbook 5, Cables: dressing',
  },
  {
    ...eachPlanned,
    judge: (plan, measured) => {
      const link = measured.rig.links[plan.linkId];
      const borrowed =
        link &&
        [link.from, link.to]
          .map(({ deviceId }) => measured.rig.devices[deviceId])
          .find((device) => device?.ownership === 'borrowed');
      return borrowed && dressingOf(measured, plan) === 'fixed'
        ? {
            level: 'note',
            title: `Fixed to ${borrowed.name}, which is borrowed`,
            says:
              `${startText(measured, plan)} is fixed for good, and ${borrowed.name} goes back. Hold it ` +
              'with what opens again.',
          }
        : null;
    },
    fixes: (plan, measured) => [heldAgain(measured, plan, 'Hold it with what opens again')],
  },
);

export const looseOverhead = eachCableRule<Planned>(
  'cables.loose-overhead',
  {
    looksFor: 'A loose cable in a way over heads.',
    why: 'It comes down on somebody.',
    remedy: 'Fix it, every metre or so; anything overhead by a competent person.',
    source: 'handbook 5, Stands: anything overhead',
  },
  {
    ...eachPlanned,
    judge: (plan, measured) => {
      const over = plan.route.legs.find(({ segment }) => segment?.is === 'overhead')?.segment;
      return over && dressingOf(measured, plan) === 'loose'
        ? {
            level: 'warn',
            title: `Loose over heads, in ${over.name}`,
            says:
              `${startText(measured, plan)} lies loose in ${over.name}. It comes down on somebody. Tie it ` +
              'every metre or so; let somebody competent do what hangs over people.',
          }
        : null;
    },
    fixes: (plan, measured) => [heldAgain(measured, plan, 'Tie it with what opens again')],
  },
);

export const bentTight = eachCableRule<Planned>(
  'cables.bent',
  {
    looksFor:
      'A cable in a way whose bends are tighter than the cable bears: 10 diameters for fibre and coax.',
    why: 'Fibre breaks and coax reflects where it is bent too tightly; it is found out later, and nowhere near.',
    remedy: 'Use a way with wider bends, or another cable.',
    source: 'handbook 5, Cables: bend radius; the cable’s own data',
  },
  {
    ...eachPlanned,
    judge: (plan, measured) => {
      const { diameterMm, bendTimes } = CABLE_BODIES[plan.cable.kind];
      const leastMm = diameterMm * bendTimes;
      const tight = plan.route.legs.flatMap(({ segment }) => {
        const way = segment?.wayId ? entry(measured.rig.cableWays, segment.wayId) : undefined;
        return way?.bendMm && way.bendMm < leastMm ? [way] : [];
      })[0];
      return tight
        ? {
            level: 'warn',
            title: `Bent to ${figure(tight.bendMm ?? 0, 0)} mm, it bears ${figure(leastMm, 0)} mm`,
            says:
              `${tight.name} bends to a radius of ${figure(tight.bendMm ?? 0, 0)} mm, and ` +
              `${cableText(measured, plan)} bears ${figure(leastMm, 0)} mm (${bendTimes} times ` +
              `${figure(diameterMm, 1)} mm). Use a way with wider bends.`,
          }
        : null;
    },
    sums: (plan) => [
      {
        label: 'Tightest bend it bears',
        formula: 'times × diameter',
        inputs: [
          { name: 'times', value: CABLE_BODIES[plan.cable.kind].bendTimes, unit: '' },
          { name: 'diameter', value: CABLE_BODIES[plan.cable.kind].diameterMm, unit: 'mm' },
        ],
        result: CABLE_BODIES[plan.cable.kind].bendTimes * CABLE_BODIES[plan.cable.kind].diameterMm,
        unit: 'mm',
        source: 'typical of the class; the cable’s own data counts',
      },
    ],
  },
);
