import {
  entry,
  explain,
  figure,
  knobsOf,
  ladderOf,
  microphonesInRoom,
  stagesOf,
  switchSetting,
  voices,
  voiceTargetDbfs,
  type Analysis,
  type Rung,
  type Stage,
} from '@echo-loom/core';

/** A voice where it becomes digital, against the house rules. */
export interface VoiceRow {
  readonly id: string;
  readonly stage: Stage;
  readonly name: string;
  readonly person: string;
  /** "Interface, Input 1" */
  readonly converter: string;
  readonly levelDbfs: number | null;
  /** Gain that must be added for the house level; below 0 to be taken away. @unit dB */
  readonly neededDb: number | null;
  /** What the gains on the way stand at, added up. @unit dB */
  readonly setDb: number;
  /** What they could still add. @unit dB */
  readonly spareDb: number;
  readonly headroomDb: number | null;
  readonly snrDb: number | null;
  /** Own noise of some stage is not known, so that the ratio is at best this */
  readonly isAtBest: boolean;
  /** Voice over the room and its noises, which no gain changes. @unit dB; null where the room is not known */
  readonly overRoomDb: number | null;
  /** The place with the least headroom */
  readonly limiting: string;
}

/** The rung where the peaks come nearest to the ceiling. */
export const tightestRung = (rungs: readonly Rung[]): Rung | undefined =>
  rungs.reduce<Rung | undefined>(
    (least, rung) =>
      rung.headroomDb !== null && rung.headroomDb < (least?.headroomDb ?? Infinity) ? rung : least,
    undefined,
  );

/** Every voice of the rig at its converter, in the order of the rig. */
export const voiceRows = (analysis: Analysis): VoiceRow[] => {
  const overRoom = new Map(
    microphonesInRoom(analysis).map(({ node, overRoomDb }) => [node, overRoomDb]),
  );
  return voices(analysis).map((stage): VoiceRow => {
    const [source] = stagesOf(stage);
    const device = source && analysis.device(source.at.device);
    const rungs = ladderOf(analysis, stage);
    const last = rungs.at(-1);
    const figures = analysis.sound[stage.index];
    const gains = knobsOf(analysis, stage).filter(({ kind }) => kind === 'gain');
    const tight = tightestRung(rungs);
    return {
      id: `${source?.at.device.id ?? ''}>${stage.at.device.id}.${stage.parent?.at.id ?? ''}`,
      stage,
      name: device?.name ?? '',
      person:
        (device?.personId ? entry(analysis.rig.people, device.personId)?.name : undefined) ??
        'nobody',
      converter: `${analysis.device(stage.at.device).name}, ${stage.parent?.at.port.name ?? ''}`,
      levelDbfs: last?.levelDb ?? null,
      neededDb:
        figures === undefined || figures.levelDb === null
          ? null
          : voiceTargetDbfs(analysis.rig.houseRules, figures) - figures.levelDb,
      setDb: gains.reduce((sum, { valueDb }) => sum + valueDb, 0),
      spareDb: gains.reduce(
        (sum, { valueDb, settingsDb }) => sum + (settingsDb.at(-1) ?? valueDb) - valueDb,
        0,
      ),
      headroomDb: tight?.headroomDb ?? null,
      snrDb: last?.snrDb ?? null,
      isAtBest: figures?.noise?.isAtBest ?? false,
      overRoomDb: (source && overRoom.get(source.at)) ?? null,
      limiting: tight?.label ?? 'none',
    };
  });
};

/** A figure with its unit; what is not known is said. */
export const decibels = (value: number | null, unit = 'dB', digits = 1): string =>
  value === null ? 'not known' : `${figure(value, digits)} ${unit}`;

/** The sums behind a voice: gain needed, level, headroom of its tightest place, signal to noise. */
export const sumsOfVoice = (analysis: Analysis, { stage }: VoiceRow) => {
  const tight = tightestRung(ladderOf(analysis, stage));
  return [
    ...explain(analysis, { figure: 'gain needed', stage: stage.index }),
    ...explain(analysis, { figure: 'level', stage: stage.index }),
    ...explain(analysis, { figure: 'signal to noise', stage: stage.index }),
    ...(tight ? explain(analysis, { figure: 'headroom', stage: tight.stage.index }) : []),
  ];
};

/** One input for whoever stands at the knobs. */
export interface SheetLine {
  readonly place: string;
  readonly voice: string;
  /** "34 dB, pad out, phantom power on" */
  readonly setting: string;
}

/** Every gain on the way of every voice, as it is to be set by hand, one line an input. */
export const sheetLines = (analysis: Analysis, rows: readonly VoiceRow[]): SheetLine[] => {
  const lines = new Map<string, SheetLine>();
  for (const { stage, name } of rows)
    for (const knob of knobsOf(analysis, stage)) {
      if (knob.kind !== 'gain') continue;
      const into = knob.stage.parent?.at;
      if (!into) continue;
      const device = analysis.device(into.device);
      const pad = knobsOf(analysis, stage).find(
        (other) => other.kind === 'pad' && other.stage === knob.stage,
      );
      const phantom = into.port.family === 'analogue' ? into.port.phantomSupply : undefined;
      const setting = [
        `${figure(knob.valueDb, knob.valueDb % 1 === 0 ? 0 : 1)} dB`,
        ...(pad ? [pad.valueDb < 0 ? 'pad in' : 'pad out'] : []),
        ...(phantom
          ? [`phantom power ${switchSetting(device, phantom.control) ? 'on' : 'off'}`]
          : []),
      ].join(', ');
      lines.set(`${into.device.id}.${into.id}`, {
        place: `${device.name}, ${into.port.name}`,
        voice: name,
        setting,
      });
    }
  return [...lines.values()];
};
