import { sourceOf, type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import type { SoundFigures } from '../../passes/sound';
import { type Knob, knobsOf, voices } from '../../passes/sound/ladder';
import type { SimpleCommand } from '../../rig';
import { Bench } from './bench';
import { keyOf, type OnBench, together, voiceOf } from './parting';
import { type Progress, searchTogether } from './search';
import type { Worth } from './worth';

export type { Progress } from './search';

/** Most settings tried for one voice; more would keep a person waiting. */
export const MOST_SETTINGS = 400_000;

/** A knob, apart from the stage it stands at: plain data, which a worker can hand over. */
export type KnobOnWay = Omit<Knob, 'stage'>;
const apart = ({ deviceId, control, label, kind, valueDb, settingsDb }: Knob): KnobOnWay => ({
  deviceId,
  control,
  label,
  kind,
  valueDb,
  settingsDb,
});

/** A settings search for one voice: what to set, what it gives, and how that is known to be the best. */
export interface GainProposal {
  readonly knobs: readonly KnobOnWay[];
  /** Knobs left as they are, since with them there would be too many combinations to try */
  readonly left: readonly KnobOnWay[];
  /** By knob. @unit dB */
  readonly settingsDb: readonly number[];
  readonly commands: readonly SimpleCommand[];
  readonly before: Worth;
  readonly after: Worth;
  /** The stage with the least headroom once set, by its index */
  readonly limitingStage: number;
  readonly tried: number;
  /** Of those, how many keep the headroom everywhere, and how many of these also meet the level */
  readonly keepHeadroom: number;
  readonly meetLevel: number;
}
export type GainAnswer =
  | { readonly can: true; readonly proposal: GainProposal }
  | { readonly can: false; readonly why: string };

const commandOf = ({ deviceId, control, kind }: KnobOnWay, valueDb: number): SimpleCommand => ({
  type: 'setControl',
  deviceId,
  control,
  value: kind === 'pad' ? valueDb < 0 : valueDb,
});

/** Puts a voice on its bench. @returns why it cannot be set, where a figure is missing or there is nothing to turn */
const onBench = (
  measured: Measured,
  stage: Stage,
  held: ReadonlySet<string>,
  figuresOf: NonNullable<SearchOptions['figuresOf']>,
): OnBench | { readonly can: false; readonly why: string } => {
  const source = sourceOf(stage);
  const first = figuresOf(source);
  const last = figuresOf(stage);
  const name = measured.device(source.at.device).name;
  const unknown = last?.unknown;
  if (!first || first.levelDb === null || last?.levelDb === null)
    return { can: false, why: `Cannot tell for ${name}: needs ${unknown?.says ?? 'its level'}.` };
  const all = knobsOf(measured, stage).filter((knob) => !held.has(keyOf(knob)));
  if (all.length === 0) return { can: false, why: `Nothing on the way of ${name} can be turned.` };
  const bench = new Bench(measured, stage, first);
  return { stage, bench, knobs: all };
};

/**
 * The settings of voices that share knobs, together. A voice that goes to two converters is set for
 * both at once.
 * @param most combinations tried for one voice at the most
 * @returns an answer for each stage, in their order; what is shared is set by the first of them
 */
const setTogether = (
  measured: Measured,
  stages: readonly Stage[],
  {
    held = new Set<string>(),
    most = MOST_SETTINGS,
    onProgress,
    figuresOf = ({ index }) => measured.sound[index],
  }: SearchOptions = {},
): GainAnswer[] => {
  const benches = stages.map((stage) => onBench(measured, stage, held, figuresOf));
  const ways = benches.flatMap((bench) => ('can' in bench ? [] : [bench]));
  const waysOf = new Map<Stage, OnBench[]>();
  for (const way of ways) {
    const source = sourceOf(way.stage);
    waysOf.set(source, [...(waysOf.get(source) ?? []), way]);
  }
  const voiceOfSource = new Map([...waysOf].map(([source, own]) => [source, voiceOf(own)]));
  const settingsDb = searchTogether([...voiceOfSource.values()], most, onProgress);
  const done = new Set<string>();
  return benches.map((way): GainAnswer => {
    if ('can' in way) return way;
    const voice = voiceOfSource.get(sourceOf(way.stage));
    const knobs = way.knobs.filter((knob) => settingsDb.has(keyOf(knob)));
    const chosen = knobs.map((knob) => settingsDb.get(keyOf(knob)) ?? knob.valueDb);
    const worthAt = (values: readonly number[]) => {
      for (const knob of way.knobs) way.bench.set(knob, knob.valueDb);
      knobs.forEach((knob, index) => way.bench.set(knob, values[index] ?? knob.valueDb));
      return way.bench.worth(knobs, values);
    };
    const before = worthAt(knobs.map(({ valueDb }) => valueDb));
    const after = worthAt(chosen);
    const commands = knobs.flatMap((knob, index) => {
      const value = chosen[index] ?? knob.valueDb;
      if (value === knob.valueDb || done.has(keyOf(knob))) return [];
      done.add(keyOf(knob));
      return [commandOf(knob, value)];
    });
    return {
      can: true,
      proposal: {
        knobs: knobs.map(apart),
        left: way.knobs.filter((knob) => !settingsDb.has(keyOf(knob))).map(apart),
        settingsDb: chosen,
        commands,
        before,
        after,
        limitingStage: (stagesOf(way.stage)[after.tightest] ?? way.stage).index,
        tried: voice?.counts.tried ?? 0,
        keepHeadroom: voice?.counts.keepHeadroom ?? 0,
        meetLevel: voice?.counts.meetLevel ?? 0,
      },
    };
  });
};

/** How far a search goes, and what it may not turn. */
interface SearchOptions {
  /** Knobs that may not be turned, by `device.control` */
  readonly held?: ReadonlySet<string>;
  readonly most?: number;
  readonly onProgress?: Progress | undefined;
  /** Figures of the voice's own stages, for whoever asks while the rig is still being measured */
  readonly figuresOf?: (stage: Stage) => SoundFigures | undefined;
}

/**
 * The settings of one voice that meet the house level, keep the headroom at every stage and give
 * the best signal-to-noise ratio, found by trying every
 * setting of every knob on its way.
 * @param stage the conversion, as `voices` gives it
 * @returns why it cannot be told, where a figure is missing or there is nothing to turn
 */
export const setForVoice = (
  measured: Measured,
  stage: Stage,
  options: SearchOptions = {},
): GainAnswer =>
  setTogether(measured, [stage], options)[0] ?? { can: false, why: 'There is no such voice.' };

/** Ways of voices in groups that share knobs, in the order of the rig; those of one voice are together. */
const groups = (measured: Measured): readonly (readonly Stage[])[] =>
  together(voices(measured), (stage) => knobsOf(measured, stage).map(keyOf));

/**
 * The same for a voice and all that share a knob with it, so that helping one spoils none.
 * @returns what to turn; empty where nothing can be told or nothing is better
 */
export const setWithSharers = (
  measured: Measured,
  stage: Stage,
  options: SearchOptions = {},
): readonly SimpleCommand[] =>
  setTogether(
    measured,
    groups(measured).find((group) => group.includes(stage)) ?? [],
    options,
  ).flatMap((answer) => (answer.can ? answer.proposal.commands : []));

/**
 * Settings for every voice of the rig; voices that share a knob are searched together, in whatever
 * order they stand.
 */
export const setForAll = (
  measured: Measured,
  onProgress?: Progress,
): { readonly commands: readonly SimpleCommand[]; readonly answers: readonly GainAnswer[] } => {
  const all = voices(measured);
  const answers = new Map<Stage, GainAnswer>();
  for (const stages of groups(measured)) {
    onProgress?.(answers.size, all.length);
    setTogether(measured, stages).forEach((answer, index) => {
      const stage = stages[index];
      if (stage) answers.set(stage, answer);
    });
  }
  const inOrder = all.flatMap((stage) => answers.get(stage) ?? []);
  return {
    commands: inOrder.flatMap((answer) => (answer.can ? answer.proposal.commands : [])),
    answers: inOrder,
  };
};
