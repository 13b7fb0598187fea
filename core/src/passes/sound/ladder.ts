import { gainOf, headroomDb, padOf, peakDb, snrDb, type SoundFigures } from '.';
import { sourceOf, type Stage, stagesOf } from '../../graph';
import type { Device } from '../../rig';
import type { Measured } from '../measured';
import { passBySource } from '../pass';
import { conversions, wasDigital } from './gains';

/** One rung of a ladder: a place on a thread, with the voice, the noise and the ceiling there. Levels RMS. */
export interface Rung {
  readonly stage: Stage;
  /** "Host mic", "Interface, Input 1" */
  readonly label: string;
  readonly unit: SoundFigures['unit'];
  readonly levelDb: number | null;
  readonly peakDb: number | null;
  readonly noiseDb: number | null;
  readonly ceilingDb: number | null;
  readonly headroomDb: number | null;
  readonly snrDb: number | null;
}

/** A control on the way that decides the level: a gain, or a pad's switch. */
export interface Knob {
  readonly stage: Stage;
  readonly deviceId: string;
  readonly control: string;
  readonly label: string;
  readonly kind: 'gain' | 'pad';
  /** Gain in dB, or the pad's attenuation when it is in */
  readonly valueDb: number;
  /** Every setting, the least gain first. Pads: 0 and their attenuation */
  readonly settingsDb: readonly number[];
}

const rung = (measured: Measured, stage: Stage): Rung | null => {
  const figures = measured.sound[stage.index];
  if (!figures) return null;
  const device = measured.device(stage.at.device);
  return {
    stage,
    label: stage.parent === null ? device.name : `${device.name}, ${stage.at.port.name}`,
    unit: figures.unit,
    levelDb: figures.levelDb,
    peakDb: peakDb(figures),
    noiseDb: figures.noise?.unweightedDb ?? null,
    ceilingDb: figures.ceilingDb,
    headroomDb: headroomDb(figures),
    snrDb: snrDb(figures),
  };
};

/** The rungs of a thread from its source to a stage, in the order the signal meets them. */
export const ladderOf = (measured: Measured, last: Stage): readonly Rung[] =>
  stagesOf(last).flatMap((stage) => rung(measured, stage) ?? []);

/** Settings of a gain control on its own steps. */
const gainSettings = (device: Device, controlId: string): readonly number[] => {
  const control = device.model.controls[controlId];
  if (control?.type !== 'gain') return [];
  const count = Math.floor((control.maxDb - control.minDb) / control.stepDb + 1e-9);
  const settings = Array.from({ length: count + 1 }, (_, step) =>
    Number((control.minDb + step * control.stepDb).toFixed(4)),
  );
  return settings.at(-1) === control.maxDb ? settings : [...settings, control.maxDb];
};

/** What can be turned on the way to a stage, in the order the signal meets it. */
export const knobsOf = (measured: Measured, last: Stage): readonly Knob[] =>
  stagesOf(last).flatMap((stage): Knob[] => {
    if (stage.via.by !== 'route' || !stage.via.route.route.sound) return [];
    const { sound } = stage.via.route.route;
    const deviceId = stage.at.device.id;
    const device = measured.device(stage.at.device);
    const name = (control: string) =>
      `${device.name}, ${device.model.controls[control]?.label ?? control}`;
    const gain = gainOf(device, sound);
    return [
      ...(sound.pad
        ? [
            {
              stage,
              deviceId,
              control: sound.pad.control,
              label: name(sound.pad.control),
              kind: 'pad' as const,
              valueDb: padOf(device, sound),
              settingsDb: [sound.pad.db, 0],
            },
          ]
        : []),
      ...(gain.control === null
        ? []
        : [
            {
              stage,
              deviceId,
              control: gain.control,
              label: name(gain.control),
              kind: 'gain' as const,
              valueDb: gain.gainDb,
              settingsDb: gainSettings(device, gain.control),
            },
          ]),
    ];
  });

/** Voices where they first become digital: the places a gain is judged at, one for each source and converter. */
export const voices = passBySource('voices', 'sound', (measured, walk): readonly Stage[] =>
  conversions
    .of(measured, walk)
    .filter(
      (stage) => sourceOf(stage).at.port.emits?.sound?.type === 'microphone' && !wasDigital(stage),
    ),
);
