import type { Desk } from './desks';
import { CannotBuild, type Plan } from './plan';

type Listener = Plan['people'][number];

/**
 * What everyone on site listens with: the desk's own sockets first, then an amplifier on its first
 * output. By the school of in-ear a transmitter feeds a pack for each.
 */
export const addListening = (plan: Plan, desk: Desk, listeners: readonly Listener[]): void => {
  if (listeners.length === 0) return;
  if (plan.rules.monitoring === 'in-ear') addEars(plan, desk, listeners);
  else addHeadphones(plan, desk, listeners);
};

const addHeadphones = ({ draft }: Plan, desk: Desk, listeners: readonly Listener[]): void => {
  const beyond = listeners.length - desk.phones;
  const amplifier =
    beyond > 4
      ? { classId: 'headphone-amplifier-8', sockets: 8 }
      : { classId: 'headphone-amplifier-4', sockets: 4 };
  if (beyond > amplifier.sockets)
    throw new CannotBuild(
      `${listeners.length} pairs of headphones are more than one desk and one amplifier feed.`,
    );
  if (beyond > 0)
    draft
      .device('headphone-amplifier', amplifier.classId, { name: 'Headphone amplifier' })
      .link(`desk.${desk.outs[0]}`, 'headphone-amplifier.in', 2);
  listeners.forEach(({ id, name }, index) => {
    const socket =
      index < desk.phones
        ? `desk.phones-${index + 1}`
        : `headphone-amplifier.phones-${index + 1 - desk.phones}`;
    draft
      .device(`${id}-phones`, 'headphones-closed', { name: `${name} headphones`, person: id })
      .link(socket, `${id}-phones.in`, 3);
  });
};

/** One transmitter, and a pack that hears it for each. */
const addEars = ({ draft }: Plan, desk: Desk, listeners: readonly Listener[]): void => {
  draft
    .device('ears', 'in-ear-transmitter', { name: 'In-ear transmitter' })
    .link(`desk.${desk.outs[0]}`, 'ears.in', 2);
  for (const { id, name } of listeners)
    draft
      .device(`${id}-ears`, 'in-ear-pack', { name: `${name} ears`, person: id })
      .link('ears.radio', `${id}-ears.radio`, 0);
};
