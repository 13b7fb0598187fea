import type { Fix } from '../../edits/fix';
import { feedersOf, joinings, reachedBy } from '../../edits/onward';
import type { Signal } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { nameOf } from '../../passes/names';
import { apply } from '../../rig';
import { at } from '../about';
import type { Finding, Rule } from '../rule';

const CODE = 'signal.destination-empty';

const SIGNALS = ['picture', 'sound'] as const;

/** Whether some thread of a signal reaches a device with a picture or sound still in it, by its position. */
const reached = ({ graph, traced, picture }: Measured): Readonly<Record<Signal, Uint8Array>> => {
  const arrives = {
    picture: new Uint8Array(graph.devices.size),
    sound: new Uint8Array(graph.devices.size),
  };
  for (const { last } of traced.threads)
    if (last.signal === 'sound') arrives.sound[last.at.device.index] = 1;
    else if (picture[last.index]?.format !== null) arrives.picture[last.at.device.index] = 1;
  return arrives;
};

const find = (measured: Measured): Finding[] => {
  const arrives = reached(measured);
  const findings: Finding[] = [];
  for (const node of measured.graph.devices.values())
    for (const signal of SIGNALS) {
      if (arrives[signal][node.index] === 1) continue;
      let portId: string | undefined;
      let isNeeded = false;
      let isPlugged = false;
      for (const { id, port, links } of node.ports.values()) {
        if (port.ends?.[signal]) portId ??= id;
        isNeeded ||= port.ends?.[signal] === 'needed';
        isPlugged ||= links.length > 0;
      }
      if (!isNeeded || !isPlugged) continue;
      findings.push({
        code: CODE,
        area: 'signal',
        level: 'stop',
        about: { ...at({ deviceId: node.id, portId }), signal },
        title: `No ${signal}`,
        says:
          `${measured.device(node).name} gets no ${signal}: no ` +
          `${signal === 'picture' ? 'camera or player' : 'microphone or other sound source'} ` +
          `reaches it. Connect one through what feeds ${measured.device(node).name}.`,
      });
    }
  return findings;
};

/** Cables tried for one destination at the most. */
const MOST_TRIES = 60;
const MOST_FIXES = 2;

/** A cable from what the signal reaches to what feeds the destination, found by trying. */
const fixes = (measured: Measured, { about }: Finding): Fix[] => {
  const node =
    about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
  const signal = SIGNALS.find((one) => one === about.signal);
  if (!node || !signal) return [];
  const found: Fix[] = [];
  const carrying = reachedBy(measured, signal, () => true);
  for (const { from, into, command } of joinings(
    measured,
    carrying,
    feedersOf(measured, node),
  ).slice(0, MOST_TRIES)) {
    const after = measure(apply(measured.rig, command), measured);
    const at = after.graph.devices.get(node.id);
    if (!at || reached(after)[signal][at.index] !== 1) continue;
    found.push({
      label: `Connect ${nameOf(measured, from)} to ${nameOf(measured, into)}`,
      command,
    });
    if (found.length === MOST_FIXES) break;
  }
  return found;
};

export const destinationEmpty: Rule = {
  code: CODE,
  area: 'signal',
  looksFor:
    'A stream, recording, screen or pair of headphones that is connected and gets no picture or no sound.',
  why: 'It will be black or silent.',
  remedy: 'Connect a source through what feeds it.',
  source: 'design: threads',
  find,
  fixes,
};
