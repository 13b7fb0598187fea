import {
  type AllFree,
  allFree,
  analyse,
  type Analysis,
  type Answers,
  apply,
  arrangeDesk,
  type Arrangement,
  build,
  type Built,
  changeOver,
  type Task,
  type Chosen,
  difference,
  failureCards,
  findingKey,
  fixesOf,
  fixesOfCause,
  curesOf,
  type GainAnswer,
  ifDies,
  type IfDies,
  type LightAdvice,
  type LightAnswer,
  type LightCure,
  type LightWish,
  setLight,
  setLightInSets,
  compareIn,
  type Compared,
  type Model,
  type SetsAnswer,
  whatToBuy,
  type Mains,
  type Stock,
  type NextStep,
  seekingNextStep,
  type Placing,
  placeAll,
  plugAll,
  type Plugging,
  type Progress,
  reanalyse,
  Refusal,
  type Remedy,
  remediesFor,
  setForAll,
  setForVoice,
  type OtherWay,
  otherWays,
  setsOf,
  type SimpleCommand,
  type Size,
  type Schedule,
  scheduleFor,
  type SizeStudy,
  solveTiming,
  timingByPlace,
  studySize,
  together,
  type Together,
} from '@echo-loom/core';
import {
  type Offer,
  type TimingAnswer,
  type Tried,
  type ChangeOverAnswer,
  offersOf,
  savedBy,
} from './answers';
import { type RigChanges, withChanges } from './rig-changes';

/** Lets a word from the page come in. */
const breathe = (): Promise<void> =>
  new Promise((done) => {
    setTimeout(done, 0);
  });

/** The engine beside the page: it follows the page's rig and works out what takes long. */
export class EngineTasks {
  private analysis: Analysis | null = null;
  private isStopped = false;

  /** A rig from answers. @param mains what the studio stands on @param stock what the studio has */
  build(answers: Answers, mains: Mains | null, stock: Stock, onProgress?: Progress): Built {
    return build(answers, mains, onProgress, stock);
  }

  /** Takes the rig of the page over. @param changes since the last one this worker was given */
  follow(changes: RigChanges): void {
    const rig = withChanges(this.analysis?.rig ?? null, changes);
    this.analysis = this.analysis ? reanalyse(this.analysis, rig) : analyse(rig);
  }

  /** The fixes of a finding, each tried. @param key as `findingKey` gives it @returns none where it is gone */
  offers(key: string, onProgress?: Progress): Offer[] {
    const analysis = this.present();
    const finding = analysis.findings.find((other) => findingKey(other) === key);
    return finding ? offersOf(analysis, finding, fixesOf(analysis, finding), onProgress) : [];
  }

  /** The same for every place of a cause at once. @param key of its first finding */
  offersOfCause(key: string, onProgress?: Progress): Offer[] {
    const analysis = this.present();
    const cause = analysis.causes.find(({ finding }) => findingKey(finding) === key);
    return cause
      ? offersOf(analysis, cause.finding, fixesOfCause(analysis, cause), onProgress)
      : [];
  }

  /** The best settings of one voice. @param stageIndex the conversion */
  settingsFor(stageIndex: number, onProgress?: Progress): GainAnswer {
    return setForVoice(this.present(), this.stage(stageIndex), { onProgress });
  }

  /** The best settings of every voice. */
  settingsForAll(onProgress?: Progress): readonly SimpleCommand[] {
    return setForAll(this.present(), onProgress).commands;
  }

  /** What could be done or bought for a voice. @param stageIndex the conversion */
  remedies(stageIndex: number, onProgress?: Progress): Remedy[] {
    return remediesFor(this.present(), this.stage(stageIndex), onProgress);
  }

  /** The best places for everything on a desk; null where there is nothing to arrange. */
  arrange(deskId: string, onProgress?: Progress): Arrangement | null {
    return arrangeDesk(this.present(), deskId, onProgress);
  }

  /** What each likely failure costs, and what is left. */
  failureCards(onProgress?: Progress): readonly IfDies[] {
    return failureCards(this.present(), onProgress);
  }

  /** What happens when a device dies beside others that are dead already. */
  ifDies(deviceId: string, dead: readonly string[]): IfDies {
    return ifDies(this.present(), deviceId, dead);
  }

  /** Who does what when from one state of the room to a set, and how long it would take one more. */
  changeOver(fromSetId: string | null, toSetId: string, people: number): ChangeOverAnswer {
    const tasks = changeOver(this.present().rig, fromSetId, toSetId);
    return {
      tasks,
      schedule: scheduleFor(tasks, people),
      withOneMore: scheduleFor(tasks, people + 1),
      plugged: savedBy(tasks, people, ({ id, minutes }) =>
        id.startsWith('cables ') ? minutes : 0,
      ),
      marked: savedBy(tasks, people, ({ markSavesMin }) => markSavesMin),
    };
  }

  /** Tasks that are none of the rig’s, done as soon as can be. */
  schedule(tasks: readonly Task[], people: number): Schedule {
    return scheduleFor(tasks, people);
  }

  /** Everybody and everything in the room; null where there is no room, or nobody to place. */
  place(onProgress?: Progress): Placing | null {
    return placeAll(this.present(), onProgress);
  }

  /** What would break at another size; null where everything stands at it. */
  sizeStudy(size: Size): SizeStudy | null {
    return studySize(this.present(), size);
  }

  /** Everything that helps and costs nothing. @param leaveOut keys of findings that stay */
  allFree(leaveOut: readonly string[], onProgress?: Progress): AllFree {
    return allFree(this.present(), leaveOut, onProgress);
  }

  /** Chosen remedies one after the other, and what comes of them. */
  together(chosen: readonly Chosen[]): Together {
    return together(this.present(), chosen);
  }

  /** Every device plugged in as well as can be; null where there is nothing to plug, or nowhere. */
  plug(): (Plugging & { readonly tried: Tried | null }) | null {
    const found = plugAll(this.present());
    return (
      found && { ...found, tried: found.commands.length > 0 ? this.tried(found.commands) : null }
    );
  }

  /** Every delay set for all places at once; null where nothing that can be reckoned meets. */
  timing(): TimingAnswer | null {
    const present = this.present();
    const solution = solveTiming(present);
    if (!solution) return null;
    const { worstBeforeMs, worstMs, boundMs, unknown } = solution;
    const commands = setsOf(solution);
    return {
      worstBeforeMs,
      worstMs,
      boundMs,
      unknown,
      commands,
      places: timingByPlace(present, solution),
      tried: commands.length > 0 ? this.tried(commands) : null,
    };
  }

  /** What else than delays would bring sound and picture together. */
  otherWays(): readonly OtherWay[] {
    return otherWays(this.present());
  }

  /** Dimmers for a wish; null where there is no lamp, or nobody to light. */
  setLight(wish: LightWish): LightAnswer | null {
    return setLight(this.present(), wish);
  }

  /** The same lamps for every set of the rig: one setting for all, or a look for each. */
  setLightInSets(wish: LightWish): SetsAnswer {
    return setLightInSets(this.present(), wish);
  }

  /** Models side by side in a device's place. */
  compareIn(deviceId: string, models: readonly Model[]): readonly Compared[] {
    return compareIn(this.present(), deviceId, models);
  }

  /** What would make a wish possible that the lamps cannot meet as they stand. */
  lightCures(wish: LightWish): readonly LightCure[] {
    return curesOf(this.present(), wish);
  }

  /** Whether a wish needs another lamp, and which; null where there is nobody to light. */
  lightToBuy(wish: LightWish, onProgress?: Progress): LightAdvice | null {
    return whatToBuy(this.present(), wish, onProgress);
  }

  /** What an edit would come to, without making it; null where it is refused. */
  tried(commands: readonly SimpleCommand[]): Tried | null {
    const before = this.present();
    try {
      const command = { type: 'batch' as const, label: 'Tried', commands: [...commands] };
      const after = reanalyse(before, apply(before.rig, command));
      const { fresh, gone, money } = difference(before, after);
      return { verdict: after.verdict, fresh, gone, cost: money };
    } catch (error) {
      if (error instanceof Refusal) return null;
      throw error;
    }
  }

  /** What to do next; null where nothing presses, nothing on offer helps, or it was stopped on the way. */
  async nextStep(onProgress?: Progress): Promise<NextStep | null> {
    this.isStopped = false;
    const seeking = seekingNextStep(this.present());
    for (;;) {
      const step = seeking.next();
      if (step.done) return step.value;
      onProgress?.(step.value.tried, step.value.of);
      await breathe();
      if (this.isStopped) return null;
    }
  }

  /** What is being worked out is wanted no more. What runs in one go ends by itself. */
  stop(): void {
    this.isStopped = true;
  }

  private present(): Analysis {
    if (!this.analysis) throw new Error('The engine was asked before it was given a rig');
    return this.analysis;
  }

  private stage(index: number) {
    const stage = this.present().traced.stages[index];
    if (!stage) throw new RangeError(`The rig has no stage ${index}`);
    return stage;
  }
}
