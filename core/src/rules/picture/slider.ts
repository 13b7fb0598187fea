import { figure } from '../../passes/sum';
import { shotRule } from '../rule-of';

export const slider = shotRule(
  'picture.slider',
  {
    looksFor:
      'A camera on a slider whose travel carries its subject out of the frame unless it pans.',
    why: 'Without the pan the subject leaves after half the field’s width; with it, the pan must keep pace.',
    remedy: 'Pan by the angle given as it travels, or travel less.',
    source: 'handbook 3-picture: θ = atan((x − x₀) ÷ d)',
  },
  ({ device, shot, panRangeDeg, travelToLoseM }) => {
    if (
      shot.travelM === null ||
      panRangeDeg === null ||
      travelToLoseM === null ||
      shot.travelM / 2 < travelToLoseM / 2
    )
      return null;
    return {
      level: 'note',
      title: `Pans ${figure(panRangeDeg)}° over its travel`,
      says:
        `${device.name} travels ${figure(shot.travelM, 2)} m, half to either side. It must ` +
        `pan ${figure(panRangeDeg)}° in all to hold the subject; without the pan the subject ` +
        `is out of the frame ${figure(travelToLoseM, 2)} m from the middle.`,
    };
  },
  {
    sums: ({ shot, panRangeDeg }) => [
      {
        label: 'Pan over the travel',
        formula: '2 × atan(travel ÷ 2 ÷ distance)',
        inputs: [
          { name: 'travel', value: shot.travelM ?? 'unknown', unit: 'm' },
          { name: 'distance', value: shot.distanceM ?? 'unknown', unit: 'm' },
        ],
        result: panRangeDeg,
        unit: '°',
        source: 'handbook 3-picture',
      },
    ],
  },
);
