import type { Desk } from './desks';
import { CannotBuild, guestsOf, onSiteOf, type Plan } from './plan';

type Listener = Plan['people'][number];

/** Who is given something to listen with. */
const listenersOf = (plan: Plan): readonly Listener[] =>
  plan.rules.monitoring === 'loudspeakers muted' && !guestsOf(plan).some(({ isHeard }) => isHeard)
    ? []
    : onSiteOf(plan);

/** Headphone amplifiers, by the sockets they have, each with a level of its own. */
const AMPLIFIERS = [
  { classId: 'headphone-amplifier-4', sockets: 4 },
  { classId: 'headphone-amplifier-8', sockets: 8 },
] as const;

/** Sockets of an amplifier on the desk's first output, taken one after the other. */
const amplifierFor = ({ draft }: Plan, desk: Desk, sockets: number): (() => string) => {
  const found = AMPLIFIERS.find((one) => sockets <= one.sockets);
  if (!found)
    throw new CannotBuild(
      `${sockets + desk.phones} pairs of headphones are more than one desk and one amplifier feed.`,
    );
  if (sockets > 0)
    draft
      .device('headphone-amplifier', found.classId, { name: 'Headphone amplifier' })
      .link(`desk.${desk.outs[0]}`, 'headphone-amplifier.in', 2);
  let taken = 0;
  return () => `headphone-amplifier.phones-${++taken}`;
};

/**
 * What everyone on site listens with: the desk's own sockets first, then an amplifier on its first
 * output; by the school of in-ear a transmitter, and a pack for each.
 * @param feeds inputs that want the mix besides, at a level of their own
 */
export const addListening = (plan: Plan, desk: Desk, feeds: readonly string[]): void => {
  const { draft } = plan;
  const listeners = listenersOf(plan);
  if (plan.rules.monitoring === 'in-ear' && listeners.length > 0) {
    const next = amplifierFor(plan, desk, feeds.length > 0 ? feeds.length + 1 : 0);
    draft
      .device('ears', 'in-ear-transmitter', { name: 'In-ear transmitter' })
      .link(feeds.length > 0 ? next() : `desk.${desk.outs[0]}`, 'ears.in', 2);
    for (const { id, name } of listeners)
      draft
        .device(`${id}-ears`, 'in-ear-pack', { name: `${name} ears`, person: id })
        .link('ears.radio', `${id}-ears.radio`, 0);
    for (const feed of feeds) draft.link(next(), feed, 2);
    return;
  }
  const beyond = Math.max(0, listeners.length - desk.phones);
  const next = amplifierFor(plan, desk, beyond + feeds.length);
  listeners.forEach(({ id, name }, index) =>
    draft
      .device(`${id}-phones`, 'headphones-closed', { name: `${name} headphones`, person: id })
      .link(index < desk.phones ? `desk.phones-${index + 1}` : next(), `${id}-phones.in`, 3),
  );
  for (const feed of feeds) draft.link(next(), feed, 2);
};
