import { explainHeadroom, explainLevel } from '../../explain/sound';
import type { Stage } from '../../graph';
import type { Measured } from '../../measure';
import { headroomDb } from '../../sound';
import { adjustableGains, sourceOf, stageOf, stagesWhere, steppedGain } from '../places';
import type { Finding, Fix } from '../rule';

export interface Tight {
  readonly stage: Stage;
  readonly headroom: number;
}

/** The tightest stage of each source where peaks come nearer to the ceiling than a limit, so that one cause is one finding. */
export const tightest = (measured: Measured, isTight: (headroom: number) => boolean): Tight[] => {
  const bySource = new Map<Stage, Tight>();
  for (const stage of stagesWhere(measured, 'sound', () => true)) {
    const figures = measured.sound[stage.index];
    const headroom = figures ? headroomDb(figures) : null;
    if (headroom === null || !isTight(headroom)) continue;
    // What a listener's own volume does is not the signal's fault.
    if (stage.at.port.family === 'analogue' && (stage.at.port.nominal === 'headphone' || stage.at.port.nominal === 'loudspeaker')) continue;
    const source = sourceOf(stage);
    const known = bySource.get(source);
    if (!known || headroom < known.headroom) bySource.set(source, { stage, headroom });
  }
  return [...bySource.values()];
};

export const lowerGain = (measured: Measured, { about }: Finding): Fix[] => {
  const stage = stageOf(measured, about.stage);
  const figures = stage && measured.sound[stage.index];
  const headroom = figures ? headroomDb(figures) : null;
  if (!stage || headroom === null) return [];
  const excess = measured.rig.houseRules.headroomDb - headroom;
  // An input overloaded at its present gain is eased by that same gain, which lies one step further on.
  const onward = stage.via.by === 'link' ? measured.traced.stages.find((next) => next.parent === stage && next.via.by === 'route') : undefined;
  const [nearest] = adjustableGains(onward ?? stage);
  if (!nearest) return [];
  const stepped = steppedGain(nearest.gain.gainDb - excess, nearest.gain);
  const value = Math.max(nearest.gain.minDb, stepped > nearest.gain.gainDb - excess + 1e-9 ? stepped - nearest.gain.stepDb : stepped);
  if (value === nearest.gain.gainDb) return [];
  return [{ label: `Turn ${nearest.stage.at.device.device.name} down to ${value} dB`, command: { type: 'setControl', deviceId: nearest.stage.at.device.id, control: nearest.control, value } }];
};

export const aboutTight = ({ stage }: Tight) => ({ deviceId: stage.at.device.id, portId: stage.at.id, linkId: stage.via.by === 'link' ? stage.via.link.id : undefined, stage: stage.index });

export const headroomSums = (measured: Measured, { about }: Finding) => {
  const stage = stageOf(measured, about.stage);
  return stage ? [...explainHeadroom(measured, stage), ...explainLevel(measured, stage)] : [];
};
