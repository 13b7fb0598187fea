import { ruleByCode } from '.';
import type { Measured } from '../passes/measured';
import { type Aside, freeId, type SimpleCommand } from '../rig';
import { cut } from '../rig/text';
import { type Finding, findingKey } from './rule';

/** A finding that somebody has put aside, and which still is as it was then. */
export interface PutAside {
  /** Of the record in the rig */
  readonly id: string;
  readonly reason: string;
  readonly finding: Finding;
}

const MOST_FIGURES = 400;
const MOST_TITLE = 200;

/** The numbers of a finding's sums, to two digits: what it is judged by. */
export const figuresOf = (measured: Measured, finding: Finding): number[] =>
  (ruleByCode.get(finding.code)?.sums?.(measured, finding) ?? [])
    .flatMap(({ result, inputs }) => [result, ...inputs.map(({ value }) => value)])
    .filter((value): value is number => typeof value === 'number' && Number.isFinite(value))
    .slice(0, MOST_FIGURES)
    .map((value) => Number(value.toFixed(2)));

const isAsItWas = (measured: Measured, finding: Finding, { level, figures }: Aside): boolean => {
  if (finding.level !== level) return false;
  const now = figuresOf(measured, finding);
  return now.length === figures.length && now.every((value, index) => value === figures[index]);
};

/**
 * Parts what presses from what is put aside. A finding is back as soon as its level or a figure of
 * its sums is another.
 */
export const withoutAside = (
  measured: Measured,
  findings: readonly Finding[],
): { readonly pressing: readonly Finding[]; readonly aside: readonly PutAside[] } => {
  const records = Object.entries(measured.rig.aside);
  if (records.length === 0) return { pressing: findings, aside: [] };
  const byKey = new Map(records.map(([id, record]) => [record.key, { id, record }]));
  const pressing: Finding[] = [];
  const aside: PutAside[] = [];
  for (const finding of findings) {
    const known = byKey.get(findingKey(finding));
    if (known && isAsItWas(measured, finding, known.record))
      aside.push({ id: known.id, reason: known.record.reason, finding });
    else pressing.push(finding);
  }
  return { pressing, aside };
};

/**
 * The commands that put findings aside as they are now. A record of one that has come back is replaced.
 * @param reason why they may stay, 1 to 300 letters
 */
export const asideCommands = (
  measured: Measured,
  findings: readonly Finding[],
  reason: string,
): SimpleCommand[] => {
  const taken: Record<string, unknown> = { ...measured.rig.aside };
  const records = Object.entries(measured.rig.aside);
  return findings.flatMap((finding): SimpleCommand[] => {
    const key = findingKey(finding);
    const old = records.filter(([, record]) => record.key === key);
    const asideId = freeId('aside', taken);
    taken[asideId] = true;
    return [
      ...old.map(([id]): SimpleCommand => ({ type: 'removeAside', asideId: id })),
      {
        type: 'addAside',
        asideId,
        aside: {
          key,
          title: cut(finding.title, MOST_TITLE),
          level: finding.level,
          figures: figuresOf(measured, finding),
          reason,
        },
      },
    ];
  });
};
