import { sourceOf } from '../../graph';
import { type Format, formatName, isFormatText, parseFormat, sameRate } from '../../units';
import type { Rule } from '../rule';
import { aboutConversion, conversions } from './conversions';
import { formatChoice } from './formats';

const CODE = 'picture.interlaced';

/** Whether a format is progressive and of the size of another. */
const isSamePictureInFull = (format: Format, { width, height }: Format): boolean =>
  format.scan === 'p' && format.width === width && format.height === height;

export const interlaced: Rule = {
  code: CODE,
  area: 'picture',
  looksFor: 'An interlaced picture in a progressive chain.',
  why: 'Taking the two fields apart costs sharpness or leaves combs on everything that moves.',
  remedy: 'Set the source to a progressive format.',
  source: 'handbook 3-picture',
  find: (measured) =>
    conversions(measured)
      .filter(({ from, to }) => from.scan === 'i' && to.scan === 'p')
      .map(({ stage, from, to }) => ({
        code: CODE,
        area: 'picture',
        level: 'warn',
        about: aboutConversion({ stage, from, to }),
        title: 'Interlaced into progressive',
        says:
          `${measured.device(sourceOf(stage).at.device).name} sends ${formatName(from)} and ` +
          `${measured.device(stage.at.device).name} makes ${formatName(to)} of it. Moving hands will comb ` +
          'or blur. Set the source to a progressive format.',
      })),
  fixes: (measured, { about }) => {
    const conversion = conversions(measured).find(({ stage }) => stage.index === about.stage);
    const source = conversion && sourceOf(conversion.stage);
    const choice = source && formatChoice(measured, source);
    const inFull = (choice?.options ?? []).filter(
      ({ value }) =>
        conversion &&
        isFormatText(value) &&
        isSamePictureInFull(parseFormat(value), conversion.from),
    );
    // The rate of the chain first: another one would only judder instead of combing.
    const option =
      inFull.find(
        ({ value }) => conversion && sameRate(parseFormat(value).rate, conversion.to.rate),
      ) ?? inFull[0];
    return source && choice && option
      ? [
          {
            label: `Set ${measured.device(source.at.device).name} to ${option.label}`,
            command: {
              type: 'setControl',
              deviceId: source.at.device.id,
              control: choice.control,
              value: option.value,
            },
          },
        ]
      : [];
  },
};
