import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import { figure } from '../../passes/sum';
import { formatName, nearMissRate, parseFormat, rateName, sameRate, slipS } from '../../units';
import type { Rule } from '../rule';
import { aboutConversion, conversions } from './conversions';
import { formatChoice } from './formats';

const CODE = 'picture.rate-near-miss';

export const rateNearMiss: Rule = {
  code: CODE,
  area: 'picture',
  looksFor:
    'A picture at 29.97 or 59.94 in a chain at 30 or 60, also with the half or the double of the ' +
    'other, or the other way round.',
  why: 'The two look alike on a menu, and every few seconds a frame is dropped or shown twice.',
  remedy: 'Set every source and the switcher to the same rate.',
  source: 'handbook 3-picture: rates are exact fractions',
  find: (measured) =>
    conversions(measured)
      .filter(({ from, to }) => nearMissRate(from.rate, to.rate))
      .map(({ stage, from, to }) => ({
        code: CODE,
        area: 'picture',
        level: 'warn',
        about: aboutConversion({ stage, from, to }),
        title: `${rateName(from.rate)} into ${rateName(to.rate)}`,
        says:
          `${measured.device(sourceOf(stage).at.device).name} arrives at ` +
          `${nameOf(measured, stage.parent?.at ?? stage.at)} as ${formatName(from)} and leaves as ` +
          `${formatName(to)}: a frame slips every ${figure(slipS(from.rate, to.rate))} s. Set both to ` +
          'the same rate.',
      })),
  sums: (measured, { about }) =>
    conversions(measured)
      .filter(({ stage }) => stage.index === about.stage)
      .map(({ from, to }) => ({
        label: 'Time between dropped frames',
        formula: '1 ÷ |faster − its whole multiple of the slower|',
        inputs: [
          { name: 'rate in', value: `${from.rate.num}/${from.rate.den}`, unit: 'Hz' },
          { name: 'rate out', value: `${to.rate.num}/${to.rate.den}`, unit: 'Hz' },
        ],
        result: slipS(from.rate, to.rate),
        unit: 's',
        source: 'handbook 3-picture',
      })),
  fixes: (measured, { about }) => {
    const conversion = conversions(measured).find(({ stage }) => stage.index === about.stage);
    if (!conversion) return [];
    const source = sourceOf(conversion.stage);
    const option = formatChoice(measured, source)?.options.find(({ value }) => {
      const format = parseFormat(value);
      return (
        format.width === conversion.from.width &&
        format.height === conversion.from.height &&
        format.scan === conversion.from.scan &&
        sameRate(format.rate, conversion.to.rate)
      );
    });
    const control = formatChoice(measured, source)?.control;
    return option && control
      ? [
          {
            label: `Set ${measured.device(source.at.device).name} to ${option.label}`,
            command: {
              type: 'setControl',
              deviceId: source.at.device.id,
              control,
              value: option.value,
            },
          },
        ]
      : [];
  },
};
