import { sourceOf, type Stage, stagesOf } from '../../graph';
import { measure, type Measured } from '../../passes/measure';
import { type Knob, knobsOf, voices } from '../../passes/sound/ladder';
import { apply, type SimpleCommand } from '../../rig';
import { Bench } from './bench';
import { compareWorth, type Worth } from './worth';

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

/**
 * The settings of one voice that meet the house level, keep the headroom at every stage and give
 * the best signal-to-noise ratio, found by trying every
 * setting of every knob on its way.
 * @param stage the conversion, as `voices` gives it @param held knobs that may not be turned, by `device.control`
 * @returns why it cannot be told, where a figure is missing or there is nothing to turn
 */
export const setForVoice = (
  measured: Measured,
  stage: Stage,
  held: ReadonlySet<string> = new Set(),
  onProgress?: Progress,
): GainAnswer => {
  const source = sourceOf(stage);
  const first = measured.sound[source.index];
  const name = measured.device(source.at.device).name;
  const unknown = measured.sound[stage.index]?.unknown;
  if (!first || first.levelDb === null || measured.sound[stage.index]?.levelDb === null)
    return { can: false, why: `Cannot tell for ${name}: needs ${unknown?.says ?? 'its level'}.` };
  const all = knobsOf(measured, stage).filter(
    ({ deviceId, control }) => !held.has(`${deviceId}.${control}`),
  );
  if (all.length === 0) return { can: false, why: `Nothing on the way of ${name} can be turned.` };
  // Where there are too many combinations, the knobs nearest the microphone decide, since gain is best early.
  let knobs = all;
  while (settingsCount(knobs) > MOST_SETTINGS) knobs = knobs.slice(0, -1);
  const bench = new Bench(measured, stage, first);
  const before = bench.worth(
    knobs,
    knobs.map(({ valueDb }) => valueDb),
  );
  const best: Found[] = [];
  let tried = 0;
  let keepHeadroom = 0;
  let meetLevel = 0;
  eachSetting(knobs, (settings, turned) => {
    for (let index = turned; index < knobs.length; index++) {
      const knob = knobs[index];
      if (knob) bench.set(knob, settings[index] ?? knob.valueDb);
    }
    const worth = bench.worth(knobs, settings);
    tried++;
    if (tried % SAYS_EVERY === 0) onProgress?.(tried, settingsCount(knobs));
    if (worth.shortDb === 0) {
      keepHeadroom++;
      if (worth.missDb === 0) meetLevel++;
    }
    if (!best[0] || compareWorth(worth, best[0].worth) < 0)
      best[0] = { worth, settings: [...settings] };
  });
  const [found] = best;
  if (!found) return { can: false, why: `Nothing on the way of ${name} can be turned.` };
  const commands = knobs.flatMap((knob, index) =>
    found.settings[index] === knob.valueDb
      ? []
      : [commandOf(knob, found.settings[index] ?? knob.valueDb)],
  );
  return {
    can: true,
    proposal: {
      knobs: knobs.map(apart),
      left: all.slice(knobs.length).map(apart),
      settingsDb: found.settings,
      commands,
      before,
      after: found.worth,
      limitingStage: (stagesOf(stage)[found.worth.tightest] ?? stage).index,
      tried,
      keepHeadroom,
      meetLevel,
    },
  };
};

/**
 * Settings for every voice of the rig, one after the other; a knob that several voices share is set
 * for the first of them and held for the rest.
 */
export const setForAll = (
  measured: Measured,
  onProgress?: Progress,
): { readonly commands: readonly SimpleCommand[]; readonly answers: readonly GainAnswer[] } => {
  const held = new Set<string>();
  const commands: SimpleCommand[] = [];
  const answers: GainAnswer[] = [];
  let now = measured;
  // Stages keep their places from setting to setting: a gain changes levels, never ways.
  const all = voices(measured);
  all.forEach((_, place) => {
    onProgress?.(place, all.length);
    const stage = voices(now)[place];
    if (!stage) return;
    const answer = setForVoice(now, stage, held);
    answers.push(answer);
    if (!answer.can) return;
    for (const { deviceId, control } of answer.proposal.knobs) held.add(`${deviceId}.${control}`);
    if (answer.proposal.commands.length === 0) return;
    commands.push(...answer.proposal.commands);
    now = measure(
      apply(now.rig, {
        type: 'batch',
        label: 'Set the gains',
        commands: [...answer.proposal.commands],
      }),
      now,
    );
  });
  return { commands, answers };
};
