import { type Stage, stagesOf } from '../graph';
import { explainBranch } from '../passes/computer/sums';
import type { Measured } from '../passes/measured';
import { explainPayload, explainReach, explainStream } from '../passes/picture/sums';
import { builtRoom } from '../passes/room';
import { bandSums } from '../passes/room/sums';
import { explainGainNeeded, explainHeadroom, explainLevel } from '../passes/sound/sums';
import { explainSnr } from '../passes/sound/noise-sums';
import type { Sum } from '../passes/sum';

export { boosterVerdict, type NoiseShare, noiseShares } from '../passes/sound/noise-sums';
export * from '../passes/sum';

/** Which figure is to be explained: one at a stage of a thread, or one of a link. */
export type FigureRef =
  | {
      readonly figure:
        'level' | 'headroom' | 'signal to noise' | 'gain needed' | 'delay' | 'link load' | 'stream';
      readonly stage: number;
    }
  | { readonly figure: 'reach' | 'usb load'; readonly linkId: string }
  /** How long the room rings, band by band */
  | { readonly figure: 'reverberation' };

const explainDelay = (measured: Measured, stage: Stage): Sum[] => {
  const steps = stagesOf(stage).flatMap((at) => {
    if (at.via.by !== 'route' || !at.parent) return [];
    const before = measured.delay[at.parent.index];
    const after = measured.delay[at.index];
    if (!before || !after) return [];
    const known = after.unknown === before.unknown;
    return [
      {
        name: measured.device(at.at.device).name,
        value: known ? after.knownMs - before.knownMs : 'unknown',
        unit: 'ms',
      },
    ];
  });
  const total = measured.delay[stage.index];
  return [
    {
      label: 'Delay so far',
      formula: 'sum of the devices',
      inputs: steps,
      result: total?.knownMs ?? null,
      unit: 'ms',
      source: 'handbook 4-time-storage; typical figures',
      ...(total?.unknown
        ? { note: `${total.unknown} on the way not known; the real delay is longer.` }
        : {}),
    },
  ];
};

/**
 * The sums behind any figure the passes computed, built on demand.
 * @returns none where the figure does not exist at that place
 */
export const explain = (measured: Measured, ref: FigureRef): Sum[] => {
  if (ref.figure === 'reverberation') {
    const built = builtRoom(measured);
    return built ? bandSums(built) : [];
  }
  if ('linkId' in ref) {
    const edge = measured.graph.links.get(ref.linkId);
    if (!edge) return [];
    if (ref.figure === 'reach') {
      const gbps = Math.max(
        0,
        ...measured.traced.stages
          .filter(({ via }) => via.by === 'link' && via.link === edge)
          .map(({ index }) => measured.picture[index]?.payloadGbps ?? 0),
      );
      return explainReach(measured, edge, gbps);
    }
    const branch = measured.usb.links.get(ref.linkId);
    return branch
      ? explainBranch(
          `Through ${measured.device(edge.to.device).name}, ${edge.to.port.name}`,
          branch,
        )
      : [];
  }
  const stage = measured.traced.stages[ref.stage];
  if (!stage) return [];
  switch (ref.figure) {
    case 'level':
      return explainLevel(measured, stage);
    case 'headroom':
      return explainHeadroom(measured, stage);
    case 'signal to noise':
      return explainSnr(measured, stage);
    case 'gain needed':
      return explainGainNeeded(measured, stage);
    case 'delay':
      return explainDelay(measured, stage);
    case 'link load':
      return explainPayload(measured, stage);
    case 'stream':
      return explainStream(measured, stage);
  }
};
