import type { DeviceNode, Thread } from '../../graph';
import { stagesOf } from '../../graph';
import { voiceSources } from '../../passes/coverage/threads';
import type { Measured } from '../../passes/measured';
import type { HouseRules, Kind } from '../../rig';
import { type About, at } from '../about';
import type { Finding, Level, Rule } from '../rule';

/**
 * Rules that exist because of a school: each judges only where there is a brief, and names the
 * house rule it judges by.
 */

/** What such a rule finds; its code, area and house rule are the rule's own. */
export type Found = Omit<Finding, 'code' | 'area' | 'houseRule'>;

/** A rule that a school of the house brings with it. */
export const houseRule = (
  houseRule: keyof HouseRules,
  code: string,
  texts: Pick<Rule, 'looksFor' | 'why' | 'remedy' | 'matters' | 'together'>,
  find: (measured: Measured) => Found[],
  more: Pick<Rule, 'fixes' | 'sums'> = {},
): Rule => ({
  code,
  area: 'brief',
  ...texts,
  source: 'handbook 1-the-work: house rules',
  find: (measured) =>
    measured.rig.brief === null
      ? []
      : find(measured).map((found) => ({ code, area: 'brief', houseRule, ...found })),
  ...more,
});

/** Devices of some kinds, in the order of the rig. */
export const devices = (measured: Measured, ...kinds: Kind[]): DeviceNode[] =>
  [...measured.graph.devices.values()].filter(({ model }) => kinds.includes(model.kind));
const about = ({ id }: DeviceNode): About => at({ deviceId: id });
/** A finding about one device. */
export const one = (level: Level, node: DeviceNode, title: string, says: string): Found => ({
  level,
  about: about(node),
  title,
  says,
});

/** Whether a thread goes through a device of some kind. */
export const passes = (thread: Thread, test: (node: DeviceNode) => boolean): boolean =>
  stagesOf(thread.last).some((stage) => test(stage.at.device));

/** Threads of a person's voice that end in a recording or stream. */
export const voiceThreads = (measured: Measured, personId: string): Thread[] => {
  const sources = new Set(voiceSources(measured, personId));
  return measured.traced.threads.filter(
    (thread) =>
      thread.signal === 'sound' &&
      sources.has(thread.source.device) &&
      thread.end.device.model.step !== 'hear and see',
  );
};
