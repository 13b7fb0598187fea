import { type Analysis, sumsOf } from './analyse';
import { endName, type Stage } from './graph';
import { coverage } from './passes/coverage';
import { findingKey } from './rules';

/** Keys of objects in the order of the alphabet, so that only what is said counts and not how it was put together. */
export const canonical = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, part]) => [key, canonical(part)]),
  );
};

const wayOf = ({ via }: Stage): string =>
  via.by === 'link' ? via.link.id : via.by === 'route' ? via.route.id : 'source';

/**
 * Everything an analysis says, as one canonical text: the figures of every stage, the threads, the
 * findings with their keys, the coverage.
 */
export const saidBy = (analysis: Analysis): string => {
  const { traced, picture, sound, delay, usb, negotiations, findings, verdict } = analysis;
  return JSON.stringify(
    canonical({
      stages: traced.stages.map((stage) => [
        endName(stage.at),
        wayOf(stage),
        stage.parent?.index,
        picture[stage.index],
        sound[stage.index],
        delay[stage.index],
      ]),
      threads: traced.threads.map(({ id }) => id),
      lost: traced.lost.map(({ signal, source }) => [signal, endName(source)]),
      cut: [...traced.cut].map(endName),
      negotiations: [...negotiations],
      usb: [
        [...usb.links].map(([id, { loadMBps, limitMBps, slowest }]) => [
          id,
          loadMBps,
          limitMBps,
          slowest,
        ]),
        usb.controllers.map(({ deviceId, controller, loadMBps }) => [
          deviceId,
          controller,
          loadMBps,
        ]),
      ],
      coverage: coverage(analysis).map(({ id, verdict: met, says, by }) => [id, met, says, by]),
      findings: findings.map((finding) => [findingKey(finding), finding]),
      verdict,
    }),
  );
};

/** The sums of some findings, evenly out of all of them. */
export const sumsSaidBy = (analysis: Analysis, most: number): string => {
  const { findings } = analysis;
  const step = Math.max(1, Math.floor(findings.length / most));
  return JSON.stringify(
    canonical(
      findings
        .filter((_, index) => index % step === 0)
        .slice(0, most)
        .map((finding) => sumsOf(analysis, finding)),
    ),
  );
};
