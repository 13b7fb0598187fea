import { sourceOf, type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measure';
import type { SoundFigures } from '../../passes/sound';
import { type Knob, knobsOf, voices } from '../../passes/sound/ladder';
import type { SimpleCommand } from '../../rig';
import { Bench, turning } from './bench';
import { addWorth, compareWorth, type Worth } from './worth';

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

/** Told now and then how far a search is. @param tried of so many */
export type Progress = (tried: number, of: number) => void;
/** How often a search says how far it is: once in so many settings. */
const SAYS_EVERY = 20_000;

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

const settingsCount = (knobs: readonly Knob[]): number =>
  knobs.reduce((count, { settingsDb }) => count * settingsDb.length, 1);

/** The best settings so far, and what they are worth. */
interface Found {
  readonly worth: Worth & { readonly tightest: number };
  readonly settings: readonly number[];
}

/** Walks every combination of settings of the knobs, the last knob fastest. */
const eachSetting = (
  knobs: readonly Knob[],
  visit: (settings: readonly number[], turned: number) => void,
): void => {
  const at = knobs.map(() => 0);
  const settings = knobs.map(({ settingsDb }) => settingsDb[0] ?? 0);
  let turned = 0;
  for (;;) {
    visit(settings, turned);
    let knob = knobs.length - 1;
    for (; knob >= 0; knob--) {
      const list = knobs[knob]?.settingsDb ?? [];
      const next = (at[knob] ?? 0) + 1;
      at[knob] = next < list.length ? next : 0;
      settings[knob] = list[at[knob] ?? 0] ?? 0;
      if (next < list.length) break;
    }
    if (knob < 0) return;
    turned = knob;
  }
};

const commandOf = ({ deviceId, control, kind }: KnobOnWay, valueDb: number): SimpleCommand => ({
  type: 'setControl',
  deviceId,
  control,
  value: kind === 'pad' ? valueDb < 0 : valueDb,
});

const keyOf = ({ deviceId, control }: KnobOnWay): string => `${deviceId}.${control}`;

/** A voice that can be set, on a bench of its own. */
interface OnBench {
  readonly stage: Stage;
  readonly bench: Bench;
  readonly all: readonly Knob[];
  /** Knobs that no other voice of the group passes */
  own: readonly Knob[];
  tried: number;
  keepHeadroom: number;
  meetLevel: number;
}

const tryOwn = (voice: OnBench, say: () => void): Found | undefined => {
  const best: Found[] = [];
  const { bench, own } = voice;
  eachSetting(own, (settings, turned) => {
    for (let index = turned; index < own.length; index++) {
      const knob = own[index];
      if (knob) bench.set(knob, settings[index] ?? knob.valueDb);
    }
    const worth = bench.worth(own, settings);
    voice.tried++;
    say();
    if (worth.shortDb === 0) {
      voice.keepHeadroom++;
      if (worth.missDb === 0) voice.meetLevel++;
    }
    if (!best[0] || compareWorth(worth, best[0].worth) < 0)
      best[0] = { worth, settings: [...settings] };
  });
  return best[0];
};

/** The knobs that more than one of the voices pass, each once. */
const sharedOf = (voices: readonly OnBench[]): Knob[] => {
  const counts = new Map<string, { knob: Knob; of: number }>();
  for (const { all } of voices)
    for (const knob of all) {
      const known = counts.get(keyOf(knob));
      if (known) known.of++;
      else counts.set(keyOf(knob), { knob, of: 1 });
    }
  return [...counts.values()].flatMap(({ knob, of }) => (of > 1 ? [knob] : []));
};

/**
 * Leaves knobs as they are until no voice has more combinations than can be tried: those nearest the
 * converter first, since gain is best early, and of these the shared ones.
 */
const cutDown = (voices: readonly OnBench[], shared: Knob[], most: number): void => {
  const count = ({ own }: OnBench): number => settingsCount(shared) * settingsCount(own);
  for (;;) {
    const [over] = voices.filter((voice) => count(voice) > most);
    if (!over) return;
    if (shared.length > 0) shared.pop();
    else over.own = over.own.slice(0, -1);
  }
};

/** The settings of the shared knobs and each voice's own, by the best sum of what they are worth. */
const search = (voices: readonly OnBench[], shared: readonly Knob[], onProgress?: Progress) => {
  const total = voices.reduce(
    (sum, { own }) => sum + settingsCount(own) * settingsCount(shared),
    0,
  );
  let said = 0;
  const say = () => {
    said++;
    if (said % SAYS_EVERY === 0) onProgress?.(said, total);
  };
  let best: { worth: Worth; settings: readonly number[]; each: Found[] } | undefined;
  eachSetting(shared, (settings) => {
    const each: Found[] = [];
    let worth: Worth = {
      ...{ shortDb: 0, missDb: 0, snrDb: 0 },
      ...turning(shared, settings),
    };
    for (const voice of voices) {
      shared.forEach((knob, index) => {
        voice.bench.set(knob, settings[index] ?? knob.valueDb);
      });
      const found = tryOwn(voice, say);
      if (!found) return;
      each.push(found);
      worth = addWorth(worth, found.worth);
    }
    if (!best || compareWorth(worth, best.worth) < 0)
      best = { worth, settings: [...settings], each };
  });
  return best;
};

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
  return { stage, bench, all, own: all, tried: 0, keepHeadroom: 0, meetLevel: 0 };
};

/**
 * The settings of voices that share knobs, together: every setting of what they share, and for each of
 * these every setting of what each has alone.
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
  const voices = benches.flatMap((bench) => ('can' in bench ? [] : [bench]));
  const shared = sharedOf(voices);
  const isShared = new Set(shared.map(keyOf));
  for (const voice of voices) voice.own = voice.all.filter((knob) => !isShared.has(keyOf(knob)));
  cutDown(voices, shared, most);
  const best = search(voices, shared, onProgress);
  const done = new Set<string>();
  let next = 0;
  return benches.map((voice): GainAnswer => {
    if ('can' in voice) return voice;
    const found = best?.each[next++];
    const settingOf = (knob: Knob): number | undefined => {
      const own = voice.own.indexOf(knob);
      if (own >= 0) return found?.settings[own];
      const at = shared.findIndex((item) => keyOf(item) === keyOf(knob));
      return at >= 0 ? best?.settings[at] : undefined;
    };
    const knobs = voice.all.filter((knob) => settingOf(knob) !== undefined);
    const settingsDb = knobs.map((knob) => settingOf(knob) ?? knob.valueDb);
    for (const knob of voice.all) voice.bench.set(knob, knob.valueDb);
    const before = voice.bench.worth(
      knobs,
      knobs.map(({ valueDb }) => valueDb),
    );
    for (const knob of voice.all) voice.bench.set(knob, settingOf(knob) ?? knob.valueDb);
    const after = voice.bench.worth(knobs, settingsDb);
    const commands = knobs.flatMap((knob, index) => {
      const value = settingsDb[index] ?? knob.valueDb;
      if (value === knob.valueDb || done.has(keyOf(knob))) return [];
      done.add(keyOf(knob));
      return [commandOf(knob, value)];
    });
    return {
      can: true,
      proposal: {
        knobs: knobs.map(apart),
        left: voice.all.filter((knob) => settingOf(knob) === undefined).map(apart),
        settingsDb,
        commands,
        before,
        after,
        limitingStage: (stagesOf(voice.stage)[after.tightest] ?? voice.stage).index,
        tried: voice.tried,
        keepHeadroom: voice.keepHeadroom,
        meetLevel: voice.meetLevel,
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

/** Voices in groups that share knobs, in the order of the rig. */
const groups = (measured: Measured): Stage[][] => {
  const made: { stages: Stage[]; keys: Set<string> }[] = [];
  for (const stage of voices(measured)) {
    const keys = new Set(knobsOf(measured, stage).map(keyOf));
    const met = made.filter((group) => [...keys].some((key) => group.keys.has(key)));
    const [into] = met;
    if (!into) made.push({ stages: [stage], keys });
    else {
      for (const other of met.slice(1)) {
        into.stages.push(...other.stages);
        for (const key of other.keys) into.keys.add(key);
        made.splice(made.indexOf(other), 1);
      }
      into.stages.push(stage);
      for (const key of keys) into.keys.add(key);
    }
  }
  return made.map(({ stages }) => stages);
};

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
