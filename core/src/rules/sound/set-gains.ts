import type { Fix } from '../../edits/fix';
import { sourceOf, type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { voices } from '../../passes/sound/ladder';
import { stageOf } from '../../passes/stages';
import { setWithSharers } from '../../edits/gain/set';
import type { Finding } from '../rule';
import { batchFix } from '../rule-of';

/** Most combinations tried for a remedy: whoever opens a finding is not kept waiting. */
const MOST_SETTINGS = 60_000;

/** The voice a stage belongs to: the one whose way to its converter it lies on, or whose signal it is. */
const voiceAt = (measured: Measured, stage: Stage): Stage | undefined => {
  const own = voices(measured).filter((voice) => sourceOf(voice) === sourceOf(stage));
  return own.find((voice) => stagesOf(voice).includes(stage)) ?? own[0];
};

/** Every gain of the voice a finding speaks of, set by the same search as "set it for me". */
export const setGains = (measured: Measured, { about }: Pick<Finding, 'about'>): Fix[] => {
  const stage = stageOf(measured, about.stage);
  const voice = stage && voiceAt(measured, stage);
  if (!voice) return [];
  const commands = setWithSharers(measured, voice, { most: MOST_SETTINGS });
  const { name } = measured.device(sourceOf(voice).at.device);
  const [only] = commands;
  if (!only) return [];
  return [
    batchFix(
      commands.length === 1 && only.type === 'setControl' && typeof only.value === 'number'
        ? `Set ${controlName(measured, only.deviceId, only.control)} to ${only.value} dB for ${name}`
        : `Set the gains of ${name}`,
      commands,
    ),
  ];
};

const controlName = (measured: Measured, deviceId: string, control: string): string => {
  const { name, model } = measured.device({ id: deviceId });
  return `${name}, ${model.controls[control]?.label ?? control}`;
};
