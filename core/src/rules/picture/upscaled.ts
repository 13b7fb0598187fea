import { sourceOf } from '../../graph';
import { formatName, parseFormat, sameRate } from '../../units';
import { pictureRule, setFix } from '../rule-of';
import { aboutConversion, conversions } from './conversions';
import { formatChoice } from './formats';

export const upscaled = pictureRule(
  'picture.upscaled',
  {
    matters: ['size'],
    looksFor: 'A picture that is made larger on its way.',
    why: 'Pixels are made up; the picture is softer than its neighbours, and the cut shows it.',
    remedy: 'Set the source to the size of the chain where it has it.',
    source: 'handbook 3-picture, framing: above what is captured is upscaling',
  },
  (measured) =>
    conversions(measured)
      .filter(({ from, to }) => to.height > from.height && to.width > from.width)
      .map(({ stage, from, to }) => ({
        level: 'note',
        about: aboutConversion({ stage, from, to }),
        title: `${from.height} lines made ${to.height}`,
        says:
          `${measured.device(sourceOf(stage).at.device).name} sends ${formatName(from)} and ` +
          `${measured.device(stage.at.device).name} makes ${formatName(to)} of it. It will look softer ` +
          'beside the others. Send the larger picture where the source has it.',
      })),
  {
    sums: (measured, { about }) =>
      conversions(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .map(({ from, to }) => ({
          label: 'Enlarged',
          formula: 'height out ÷ height in',
          inputs: [
            { name: 'height out', value: to.height, unit: 'px' },
            { name: 'height in', value: from.height, unit: 'px' },
          ],
          result: to.height / from.height,
          unit: '×',
          source: 'handbook 3-picture',
        })),
    fixes: (measured, { about }) => {
      const conversion = conversions(measured).find(({ stage }) => stage.index === about.stage);
      const source = conversion && sourceOf(conversion.stage);
      const choice = source && formatChoice(measured, source);
      const option = choice?.options.find(({ value }) => {
        const format = parseFormat(value);
        return (
          format.height === conversion?.to.height &&
          format.scan === 'p' &&
          sameRate(format.rate, conversion.from.rate)
        );
      });
      return source && choice && option
        ? [
            setFix(
              `Set ${measured.device(source.at.device).name} to ${option.label}`,
              source.at.device.id,
              choice.control,
              option.value,
            ),
          ]
        : [];
    },
  },
);
