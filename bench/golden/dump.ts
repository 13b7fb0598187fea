import {
  analyse,
  type Analysis,
  coverage,
  endName,
  findingKey,
  fixesOf,
  importRig,
  report,
  sumsOf,
} from '@echo-loom/core';

/** What the engine says of rigs, as text to be compared. Bundled once with each version of core. */

/** Keys of objects in the order of the alphabet, so that only what is said counts and not how it was put together. */
const canonical = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, part]) => part !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, part]) => [key, canonical(part)]),
  );
};

/** Earlier versions told what is missing in words alone. */
const soundOf = (figures: Analysis['sound'][number]): unknown => {
  const missing: unknown = figures?.unknown;
  const isTold = typeof missing === 'object' && missing !== null && 'says' in missing;
  return figures && { ...figures, unknown: isTold ? missing.says : missing };
};

const figuresOf = ({ traced, picture, sound, delay, usb }: Analysis): unknown => ({
  stages: traced.stages.map((stage) => ({
    at: endName(stage.at),
    signal: stage.signal,
    by:
      stage.via.by === 'link'
        ? stage.via.link.id
        : stage.via.by === 'route'
          ? stage.via.route.id
          : 'source',
    picture: picture[stage.index],
    sound: soundOf(sound[stage.index]),
    delay: delay[stage.index],
  })),
  lost: traced.lost.map(({ signal, source }) => `${signal} ${endName(source)}`),
  cut: [...traced.cut].map(endName),
  controllers: usb.controllers.map(({ deviceId, controller, loadMBps, limitMBps, gbps }) => ({
    deviceId,
    controller,
    loadMBps,
    limitMBps,
    gbps,
  })),
});

/**
 * Everything that is said of a rig, line by line. What a finding is about and its key take a new
 * form and stand apart.
 */
export const dump = (json: string): { readonly says: string; readonly keys: string } => {
  const imported = importRig(new TextEncoder().encode(json));
  if (!imported.ok) return { says: JSON.stringify({ unreadable: imported.problems }), keys: '[]' };
  const analysis = analyse(imported.rig);
  const findings = analysis.findings.map((finding) => {
    return {
      ...finding,
      about: undefined,
      sums: sumsOf(analysis, finding),
      fixes: fixesOf(analysis, finding),
    };
  });
  const lines = coverage(analysis).map(({ id, need, subject, verdict, says, thread }) => ({
    id,
    need,
    subject: subject.name,
    verdict,
    says,
    thread: thread?.id ?? null,
  }));
  const said = canonical({
    figures: figuresOf(analysis),
    findings,
    coverage: lines,
    report: { ...report(analysis, { predictions: false }), findings: undefined },
  });
  return {
    says: JSON.stringify(said, null, 1),
    keys: JSON.stringify(analysis.findings.map(findingKey)),
  };
};
