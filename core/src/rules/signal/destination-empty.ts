import type { Signal } from '../../graph';
import type { Measured } from '../../passes/measure';
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

export const destinationEmpty: Rule = {
  code: CODE,
  area: 'signal',
  looksFor:
    'A stream, recording, screen or pair of headphones that is connected and gets no picture or no sound.',
  why: 'It will be black or silent.',
  remedy: 'Connect a source through what feeds it.',
  source: 'design: threads',
  find,
};
