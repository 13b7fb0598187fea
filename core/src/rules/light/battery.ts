import { nameOfThing } from '../../passes/names';
import type { LightSource } from '../../passes/light';
import { figure } from '../../passes/sum';
import { batteryOf } from '../../passes/power';
import { entry } from '../../rig';
import { eachLightRule, setFix } from '../rule-of';
import type { Measured } from '../../passes/measured';
import { burning, ofLamp } from './lit';
import { input, SOURCE, sum } from './words';

/** What a lamp’s electronics draw, turned down as far as may be, of what it draws at full. Typical. */
const LEAST_SHARE = 0.25;

/** How long a lamp burns on its battery as it is dimmed. @unit min; null where it runs on none */
const lastsMin = (source: LightSource, { rig }: Measured): number | null => {
  const device = entry(rig.devices, source.id);
  const battery = device && batteryOf(device);
  return battery ? battery.lastsMin / Math.max(LEAST_SHARE, source.share) : null;
};

export const lampBattery = eachLightRule<LightSource>(
  'light.battery',
  {
    looksFor: 'A lamp on a battery that does not last set-up and show.',
    why: 'It goes out in the middle of a take, and changing the battery moves the lamp.',
    remedy:
      'Put it on its mains adapter, turn it down, or change batteries in a break that is planned.',
    source: `${SOURCE}: a battery lasts as its dimmer lets it`,
  },
  {
    all: burning,
    about: ofLamp,
    judge: (source, measured) => {
      const { brief } = measured.rig;
      const lasts = lastsMin(source, measured);
      if (!brief || lasts === null || lasts >= brief.setUpMin + brief.lengthMin) return null;
      const lastsShow = lasts >= brief.lengthMin;
      return {
        level: lastsShow ? 'warn' : 'stop',
        title: `${nameOfThing(measured, source)}: battery ends after ${figure(lasts, 0)} min`,
        says:
          `Turned up to ${figure(100 * source.share, 0)} %, ${nameOfThing(measured, source)} burns ` +
          `${figure(lasts, 0)} min on its ` +
          `battery; set-up and show take ${brief.setUpMin} + ${brief.lengthMin} min. ` +
          (lastsShow
            ? 'Put in a fresh one when the show begins, or put it on its mains adapter.'
            : 'Put it on its mains adapter.'),
      };
    },
    sums: (source, measured) => [
      sum(
        'Burns on its battery',
        'at full ÷ dimmer, no less than a quarter',
        [
          input('at full', lastsMin({ ...source, share: 1 }, measured) ?? 'unknown', 'min'),
          input('dimmer', 100 * source.share, '%'),
        ],
        lastsMin(source, measured),
        'min',
      ),
    ],
    fixes: (source, { rig }) => {
      const control = entry(rig.devices, source.id)?.model.light?.battery?.mainsControl;
      return control === undefined
        ? []
        : [
            setFix(
              `Put ${nameOfThing({ rig }, source)} on its mains adapter`,
              source.id,
              control,
              true,
            ),
          ];
    },
  },
);
