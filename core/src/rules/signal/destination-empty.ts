import type { DeviceNode, Signal } from '../../graph';
import type { Measured } from '../../measure';
import type { Finding, Rule } from '../rule';

const CODE = 'signal.destination-empty';

/** What a device must get, from any of its ports. */
const needs = (node: DeviceNode, signal: Signal): boolean => [...node.ports.values()].some(({ port }) => port.ends?.[signal] === 'needed');
const isPlugged = (node: DeviceNode): boolean => [...node.ports.values()].some(({ links }) => links.length > 0);

const find = (measured: Measured): Finding[] => {
  const reached = new Set<string>();
  for (const thread of measured.traced.threads) {
    const lost = thread.signal === 'picture' && measured.picture[thread.last.index]?.format === null;
    if (!lost) reached.add(`${thread.signal} ${thread.end.device.id}`);
  }
  const findings: Finding[] = [];
  for (const node of measured.graph.devices.values())
    for (const signal of ['picture', 'sound'] as const) {
      if (!needs(node, signal) || !isPlugged(node) || reached.has(`${signal} ${node.id}`)) continue;
      const portId = [...node.ports.values()].find(({ port }) => port.ends?.[signal])?.id;
      findings.push({
        code: CODE, area: 'signal', level: 'stop', about: { deviceId: node.id, portId }, title: `No ${signal}`,
        says: `${node.device.name} gets no ${signal}: no ${signal === 'picture' ? 'camera or player' : 'microphone or other sound source'} reaches it. Connect one through what feeds ${node.device.name}.`,
      });
    }
  return findings;
};

export const destinationEmpty: Rule = {
  code: CODE,
  area: 'signal',
  looksFor: 'A stream, recording, screen or pair of headphones that is connected and gets no picture or no sound.',
  why: 'It will be black or silent.',
  remedy: 'Connect a source through what feeds it.',
  source: 'design: threads',
  find,
};
