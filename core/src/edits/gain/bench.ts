import { type Stage, stagesOf } from '../../graph';
import type { Devices, Measured } from '../../passes/measured';
import {
  headroomDb,
  peakCeilingDbfs,
  peakDb,
  snrDb,
  type SoundFigures,
  soundStep,
  voiceTargetDbfs,
} from '../../passes/sound';
import type { Knob } from '../../passes/sound/ladder';
import type { HouseRules, SetDevice } from '../../rig';
import type { Worth } from './worth';

/** How near the average must come to the house level; half a usual step of a gain. @unit dB */
export const CLOSE_DB = 0.5;
/** Share at the top of a gain's range that is left alone where another stage can give the gain. */
const LAST_TENTH = 0.1;

/** A way whose knobs can be turned without touching the rig: the same stages, with settings of their own. */
export class Bench implements Devices {
  private readonly devices = new Map<
    string,
    SetDevice & { settings: Record<string, number | boolean | string> }
  >();
  private readonly path: readonly Stage[];
  private readonly rules: HouseRules;
  constructor(
    measured: Measured,
    last: Stage,
    private readonly first: SoundFigures,
  ) {
    this.rules = measured.rig.houseRules;
    this.path = stagesOf(last);
    for (const { at } of this.path) {
      const device = measured.device(at.device);
      this.devices.set(at.device.id, {
        name: device.name,
        model: device.model,
        settings: { ...device.settings },
      });
    }
  }
  /** @throws for a device the way does not pass */
  device({ id }: { readonly id: string }): SetDevice {
    const device = this.devices.get(id);
    if (!device) throw new Error(`The way does not pass “${id}”`);
    return device;
  }
  set(knob: Knob, valueDb: number): void {
    const device = this.devices.get(knob.deviceId);
    if (device) device.settings[knob.control] = knob.kind === 'pad' ? valueDb < 0 : valueDb;
  }
  /** What arrives, its ratio and the tightest stage at the present settings. */
  read(): {
    figures: SoundFigures | undefined;
    snrDb: number;
    headroomDb: number;
    tightest: number;
  } {
    let figures: SoundFigures | undefined = this.first;
    let least = headroomDb(this.first) ?? Infinity;
    let tightest = 0;
    for (let index = 1; index < this.path.length && figures; index++) {
      const stage: Stage | undefined = this.path[index];
      figures = stage && soundStep(this, figures, stage);
      const headroom = figures ? headroomDb(figures) : null;
      if (headroom !== null && headroom < least) {
        least = headroom;
        tightest = index;
      }
    }
    return {
      figures,
      snrDb: (figures && snrDb(figures)) ?? NaN,
      headroomDb: least,
      tightest,
    };
  }
  worth(
    knobs: readonly Knob[],
    settings: readonly number[],
  ): Worth & { readonly tightest: number } {
    const { figures, snrDb: ratio, headroomDb: headroom, tightest } = this.read();
    const peak = (figures && peakDb(figures)) ?? NaN;
    const missed =
      (figures?.levelDb ?? NaN) - (figures ? voiceTargetDbfs(this.rules, figures) : NaN);
    return {
      shortDb: tidy(
        Math.max(0, this.rules.headroomDb - headroom, peak - peakCeilingDbfs(this.rules)),
      ),
      missDb: tidy(Math.max(0, Math.abs(missed) - CLOSE_DB)),
      snrDb: ratio,
      ...turning(knobs, settings),
      tightest,
    };
  }
}

/** What settings ask of the knobs themselves, whatever they do to the sound. */
export const turning = (
  knobs: readonly Knob[],
  settings: readonly number[],
): Pick<Worth, 'lastTenths' | 'touched' | 'turnedDb'> => {
  let lastTenths = 0;
  let touched = 0;
  let turnedDb = 0;
  knobs.forEach(({ kind, valueDb, settingsDb }, index) => {
    const value = settings[index] ?? valueDb;
    const [least = 0] = settingsDb;
    const most = settingsDb.at(-1) ?? 0;
    if (kind === 'gain' && most > least && value > most - LAST_TENTH * (most - least) + 1e-9)
      lastTenths++;
    if (value !== valueDb) touched++;
    turnedDb += Math.abs(value - valueDb);
  });
  return { lastTenths, touched, turnedDb };
};

/** Differences in the tenth digit are arithmetic, not sound. */
const tidy = (db: number): number => Math.round(db * 1e9) / 1e9;
