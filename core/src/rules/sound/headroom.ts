import type { Fix } from '../../edits/fix';
import type { PortNode, Stage } from '../../graph';
import type { Measured } from '../../passes/measure';
import { passBySource } from '../../passes/pass';
import { headroomDb, soundOfWalk } from '../../passes/sound';
import { adjustableGains, steppedGain } from '../../passes/sound/gains';
import { explainHeadroom, explainLevel } from '../../passes/sound/sums';
import { nameOf } from '../../passes/names';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { type About, atStage } from '../about';
import type { Finding } from '../rule';
import { setGains } from './set-gains';

export interface Tight {
  readonly stage: Stage;
  readonly headroom: number;
}

/** What a listener's own volume does is not the signal's fault. */
const isListening = ({ port }: PortNode): boolean =>
  port.family === 'analogue' && (port.nominal === 'headphone' || port.nominal === 'loudspeaker');

/** The stage of each source where peaks come nearest to the ceiling, so that one cause is one finding. */
export const tightest = passBySource('tightest', 'sound', (measured, walk): readonly Tight[] => {
  const { stages } = measured.traced;
  const figures = soundOfWalk.of(measured, walk);
  let least = Infinity;
  let tight: Stage | undefined;
  for (let index = walk.from; index < walk.to; index++) {
    const stage = stages[index];
    const here = figures[index - walk.from];
    const headroom = here ? headroomDb(here) : null;
    if (!stage || headroom === null || headroom >= least || isListening(stage.at)) continue;
    least = headroom;
    tight = stage;
  }
  return tight ? [{ stage: tight, headroom: least }] : [];
});

/** Nothing this near a limit is called broken: no data sheet is that exact. @unit dB */
export const ABOUT_DB = 0.1;

/** The gains of the voice set by the search, or else the one knob that eases the stage. */
export const easeStage = (measured: Measured, finding: Finding): Fix[] => {
  const set = setGains(measured, finding);
  const only = set.flatMap(({ command }) => (command.type === 'batch' ? command.commands : []));
  return [
    ...set,
    ...lowerGain(measured, finding).filter(
      ({ command }) => only.length !== 1 || JSON.stringify(only[0]) !== JSON.stringify(command),
    ),
  ];
};

const lowerGain = (measured: Measured, { about }: Finding): Fix[] => {
  const stage = stageOf(measured, about.stage);
  const figures = stage && measured.sound[stage.index];
  const headroom = figures ? headroomDb(figures) : null;
  if (!stage || headroom === null) return [];
  const excess = measured.rig.houseRules.headroomDb - headroom;
  // An input overloaded at its present gain is eased by that same gain, which lies one step further on.
  const onward =
    stage.via.by === 'link'
      ? measured.traced.stages.find((next) => next.parent === stage && next.via.by === 'route')
      : undefined;
  const [nearest] = adjustableGains(measured, onward ?? stage);
  if (!nearest) return [];
  const stepped = steppedGain(nearest.gain.gainDb - excess, nearest.gain);
  const value = Math.max(
    nearest.gain.minDb,
    stepped > nearest.gain.gainDb - excess + 1e-9 ? stepped - nearest.gain.stepDb : stepped,
  );
  if (value === nearest.gain.gainDb) return [];
  return [
    {
      label: `Turn ${measured.device(nearest.stage.at.device).name} down to ${value} dB`,
      command: {
        type: 'setControl',
        deviceId: nearest.stage.at.device.id,
        control: nearest.control,
        value,
      },
    },
  ];
};

export const aboutTight = ({ stage }: Tight): About =>
  atStage(stage, {
    deviceId: stage.at.device.id,
    portId: stage.at.id,
    linkId: stage.via.by === 'link' ? stage.via.link.id : undefined,
  });

/** Which of a stage's limits its peaks come up against, in words. */
export const limitWords = (measured: Measured, { stage }: Tight): string => {
  const ceiling = measured.sound[stage.index];
  const name = nameOf(measured, stage.at);
  if (!ceiling || ceiling.ceilingDb === null) return name;
  const at = `${figure(ceiling.ceilingDb)} ${ceiling.unit}`;
  if (ceiling.unit === 'dBFS') return `full scale at ${name}`;
  return stage.via.by === 'link'
    ? `what the input ${name} takes (${at})`
    : stage.via.by === 'source'
      ? `what ${name} can give (${at})`
      : `what the output ${name} can give (${at})`;
};

export const headroomSums = (measured: Measured, { about }: Finding) => {
  const stage = stageOf(measured, about.stage);
  return stage ? [...explainHeadroom(measured, stage), ...explainLevel(measured, stage)] : [];
};
