import { deviceNameById } from '../../passes/names';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { isFormatText, parseFormat, rateToHz } from '../../units';
import { setFix, shotRule } from '../rule-of';

export const punchIn = shotRule(
  'picture.punch-in',
  {
    matters: ['size'],
    looksFor: 'A shot that is to be cut tighter afterwards than its pixels allow.',
    why: 'Above captured height ÷ delivered height the picture is enlarged and looks soft beside the others.',
    remedy: 'Capture larger, cut less, or frame tighter.',
    source: 'handbook 3-picture: punch-in = captured height ÷ delivered height',
  },
  ({ device, shot, punchInMost, capturedPx, pixelsLostAtId, deliveredHeightPx }, measured) =>
    shot.punchIn <= 1 || punchInMost === null || shot.punchIn <= punchInMost + 1e-9
      ? null
      : {
          level: 'warn',
          title: `Cut ${figure(shot.punchIn, 2)}×, pixels for ${figure(punchInMost, 2)}×`,
          says:
            `Of ${device.name} ${capturedPx ?? 0} lines are kept` +
            (pixelsLostAtId === null
              ? ''
              : `, the rest is lost at ${deviceNameById(measured, pixelsLostAtId)}`) +
            `, and ${deliveredHeightPx ?? 0} ` +
            `are delivered, so it can be cut ${figure(punchInMost, 2)} times tighter; ` +
            `${figure(shot.punchIn, 2)} is planned. Capture larger or cut less.`,
        },
  {
    sums: ({ capturedPx, deliveredHeightPx, punchInMost }) => [
      {
        label: 'Punch-in without enlarging',
        formula: 'height where it is recorded ÷ delivered height',
        inputs: [
          { name: 'recorded', value: capturedPx ?? 'unknown', unit: 'px' },
          { name: 'delivered', value: deliveredHeightPx ?? 'unknown', unit: 'px' },
        ],
        result: punchInMost,
        unit: '×',
        source: 'handbook 3-picture',
      },
    ],
    fixes: ({ device, shot, shotId, format, deliveredHeightPx, punchInMost }) => {
      const control = Object.values(device.model.ports).find(({ emits }) => emits?.picture)?.emits
        ?.picture?.formatControl;
      const choice = control === undefined ? undefined : entry(device.model.controls, control);
      const options =
        choice?.type === 'choice' && format && deliveredHeightPx !== null
          ? choice.options.filter(
              ({ value }) =>
                isFormatText(value) &&
                parseFormat(value).scan === 'p' &&
                parseFormat(value).height >= shot.punchIn * deliveredHeightPx &&
                rateToHz(parseFormat(value).rate) <= rateToHz(format.rate),
            )
          : [];
      const larger = options.at(-1);
      return [
        ...(larger && control !== undefined
          ? [setFix(`Set ${device.name} to ${larger.label}`, shot.deviceId, control, larger.value)]
          : []),
        ...(punchInMost === null
          ? []
          : [
              {
                label: `Cut ${figure(Math.max(1, punchInMost), 2)}× at most`,
                command: {
                  type: 'changeShot' as const,
                  shotId,
                  shot: { punchIn: Number(Math.max(1, punchInMost).toFixed(4)) },
                },
              },
            ]),
      ];
    },
  },
);
