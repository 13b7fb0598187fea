import { sourceOf, type Stage, stagesOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { ratioTogether } from '../../passes/processing';
import { voices } from '../../passes/sound/ladder';
import { numberSetting, switchSetting } from '../../rig';
import { atStage } from '../about';
import { setFix, soundRule } from '../rule-of';

interface Pressed {
  readonly stage: Stage;
  readonly by: readonly {
    readonly deviceId: string;
    readonly name: string;
    readonly inSwitch: string;
    readonly ratio: number;
  }[];
}

/** Voices that pass two compressors or more that are switched in. */
const pressed = (measured: Measured): Pressed[] =>
  voices(measured).flatMap((stage) => {
    const by = stagesOf(stage).flatMap(({ via, at }) => {
      const compressor = via.by === 'route' ? via.route.route.sound?.compressor : undefined;
      const { id } = at.device;
      const device = measured.device(at.device);
      return compressor && switchSetting(device, compressor.inSwitch)
        ? [
            {
              deviceId: id,
              name: device.name,
              inSwitch: compressor.inSwitch,
              ratio: numberSetting(device, compressor.ratioControl) ?? 1,
            },
          ]
        : [];
    });
    return by.length > 1 ? [{ stage, by }] : [];
  });

export const pressedTwice = soundRule(
  'sound.pressed-twice',
  {
    looksFor: 'A voice that passes two compressors or more, all switched in.',
    why: 'Their ratios multiply where both act: two of 3 to 1 press as 9 to 1, and breath and room come up with it.',
    remedy: 'Switch all but one out, or give each a gentle ratio and a job of its own.',
    source: 'handbook 2-sound, the chain: static curve',
  },
  (measured) =>
    pressed(measured).map(({ stage, by }) => ({
      level: 'note',
      about: atStage(stage, { deviceId: by.at(-1)?.deviceId ?? stage.at.device.id }),
      title: `${by.length} compressors in a row`,
      says:
        `${measured.device(sourceOf(stage).at.device).name} is pressed by ` +
        `${by.map(({ name }) => name).join(' and ')}: above both thresholds as ` +
        `${ratioTogether(by.map(({ ratio }) => ratio))} to 1. Switch all but one out, or give ` +
        'each a gentle ratio.',
    })),
  {
    sums: (measured, { about }) =>
      pressed(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .map(({ by }) => ({
          label: 'Together',
          formula: 'product of the ratios',
          inputs: by.map(({ name, ratio }) => ({ name, value: ratio, unit: ': 1' })),
          result: ratioTogether(by.map(({ ratio }) => ratio)),
          unit: ': 1',
          source: 'static curves in a row',
        })),
    fixes: (measured, { about }) =>
      pressed(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .flatMap(({ by }) => {
          const last = by.at(-1);
          return last
            ? [
                setFix(
                  `Switch the compressor of ${last.name} out`,
                  last.deviceId,
                  last.inSwitch,
                  false,
                ),
              ]
            : [];
        }),
  },
);
