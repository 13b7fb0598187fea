import { type Analysis, isConversion, sourceOf, type Stage } from '@echo-loom/core';

/**
 * The stages that tell most of a device: where signals become digital, else where they leave it,
 * else where they arrive. One each source.
 */
export const carriedBy = (analysis: Analysis, deviceId: string): Stage[] => {
  const own = analysis.traced.stages.filter((stage) => stage.at.device.id === deviceId);
  const bySource = new Map<string, Stage>();
  const score = (stage: Stage): number =>
    isConversion(stage) ? 3 : stage.via.by === 'link' ? 1 : stage.at.links.length > 0 ? 2 : 0;
  for (const stage of own) {
    const key = `${sourceOf(stage).at.index} ${stage.signal}`;
    const known = bySource.get(key);
    if (!known || score(stage) > score(known)) bySource.set(key, stage);
  }
  return [...bySource.values()].filter((stage) => score(stage) > 0);
};

/** The stages that arrive over a cable. */
export const carriedOver = (analysis: Analysis, linkId: string): Stage[] =>
  analysis.traced.stages.filter(({ via }) => via.by === 'link' && via.link.id === linkId);
