import type { Fix } from '../../edits/fix';
import type { PortNode, Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { passBySource } from '../../passes/pass';
import { headroomDb, soundOfWalk } from '../../passes/sound';
import { adjustableGains, steppedGain, wasDigital } from '../../passes/sound/gains';
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
  /** What is asked for there: the house's up to the first converter, a mix's after it. @unit dB */
  readonly asked: number;
}

/** Nothing this near a limit is called broken: no data sheet is that exact. @unit dB */
export const ABOUT_DB = 0.1;

/**
 * What a signal needs that has once been digital: it is a mix on its way out, judged by its true peak
 * and its loudness, and the house's headroom was for whoever laughs into the microphone.
 * @unit dB @source handbook 2-sound, headroom; EBU R 128: −1 dBTP
 */
const MIX_HEADROOM_DB = 1;

/** What a listener's own volume does is not the signal's fault. */
const isListening = ({ port }: PortNode): boolean =>
  port.family === 'analogue' && (port.nominal === 'headphone' || port.nominal === 'loudspeaker');

const askedOf = (houseDb: number, wasDigitalBefore: boolean): number =>
  wasDigitalBefore ? Math.min(houseDb, MIX_HEADROOM_DB) : houseDb;

/** Headroom that is asked for at a stage. @unit dB */
export const askedAt = ({ rig }: Measured, stage: Stage): number => {
  const before = stage.parent;
  return askedOf(
    rig.houseRules.headroomDb,
    before !== null && (before.at.port.family !== 'analogue' || wasDigital(before)),
  );
};

const isTighter = (one: Tight, other: Tight | undefined): boolean => {
  if (!other) return true;
  const [clips, otherClips] = [one, other].map(({ headroom }) => headroom < -ABOUT_DB);
  if (clips !== otherClips) return clips === true;
  return clips
    ? one.headroom < other.headroom
    : one.headroom - one.asked < other.headroom - other.asked;
};

/** The stage of each source where peaks come nearest to what is asked, so that one cause is one finding. */
export const tightest = passBySource('tightest', 'sound', (measured, walk): readonly Tight[] => {
  const { stages } = measured.traced;
  const figures = soundOfWalk.of(measured, walk);
  const { headroomDb: house } = measured.rig.houseRules;
  // Whether the signal has been digital at a stage, by the stage's position in the walk.
  const digital: boolean[] = [];
  let tight: Tight | undefined;
  for (let index = walk.from; index < walk.to; index++) {
    const stage = stages[index];
    const here = figures[index - walk.from];
    const before = stage?.parent ? (digital[stage.parent.index - walk.from] ?? false) : false;
    digital.push(before || here?.unit === 'dBFS');
    const headroom = here ? headroomDb(here) : null;
    if (!stage || headroom === null || isListening(stage.at)) continue;
    const asked = askedOf(house, before);
    const one = { stage, headroom, asked };
    if (isTighter(one, tight)) tight = one;
  }
  return tight ? [tight] : [];
});

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
