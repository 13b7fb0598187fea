import type { DeviceNode, Signal } from '../../graph';
import type { Measured } from '../../passes/measure';
import { at } from '../about';
import type { Finding, Rule } from '../rule';

const CODE = 'signal.destination-empty';

const SIGNALS = ['picture', 'sound'] as const;

/** Devices that some thread of a signal reaches with a picture or sound still in it. */
const reached = ({ traced, picture }: Measured, signal: Signal): ReadonlySet<DeviceNode> => {
  const devices = new Set<DeviceNode>();
  for (const thread of traced.threads)
    if (
      thread.signal === signal &&
      (signal === 'sound' || picture[thread.last.index]?.format !== null)
    )
      devices.add(thread.end.device);
  return devices;
};

const find = (measured: Measured): Finding[] => {
  const arrives = { picture: reached(measured, 'picture'), sound: reached(measured, 'sound') };
  const findings: Finding[] = [];
  for (const node of measured.graph.devices.values())
    for (const signal of SIGNALS) {
      if (arrives[signal].has(node)) continue;
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
