import { type Analysis, edited } from '../analyse';
import { moneyOf } from '../passes/money';
import type { Command } from '../rig';
import { type Finding, findingKey } from '../rules';

/** How two states of a rig differ, for someone who has to choose between them. */
export interface Difference {
  readonly gone: readonly Finding[];
  readonly fresh: readonly Finding[];
  /** What more is to be paid; below 0: less */
  readonly money: number;
  /** Devices more; below 0: fewer */
  readonly devices: number;
}

/** The difference from one analysis to another. */
export const difference = (before: Analysis, after: Analysis): Difference => {
  const keys = (analysis: Analysis) =>
    new Set(analysis.findings.map((finding) => `${findingKey(finding)} ${finding.level}`));
  const [old, now] = [keys(before), keys(after)];
  return {
    gone: before.findings.filter((finding) => !now.has(`${findingKey(finding)} ${finding.level}`)),
    fresh: after.findings.filter((finding) => !old.has(`${findingKey(finding)} ${finding.level}`)),
    money: Math.round((moneyOf(after.rig).toPay - moneyOf(before.rig).toPay) * 100) / 100,
    devices: after.graph.devices.size - before.graph.devices.size,
  };
};

/** What an edit would change, without making it. @throws Refusal */
export const differenceOf = (before: Analysis, command: Command): Difference =>
  difference(before, edited(before, command));
