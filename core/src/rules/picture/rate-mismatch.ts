import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import { nearMissRate, parseFormat, rateName, rateToHz, sameRate } from '../../units';
import { pictureRule, setFix } from '../rule-of';
import { aboutConversion, type Conversion, conversions } from './conversions';
import { formatChoice } from './formats';

/** Whether one rate is a whole part or multiple of the other: then frames repeat or drop evenly. */
const isEven = ({ from, to }: Conversion): boolean => {
  const ratio = rateToHz(from.rate) / rateToHz(to.rate);
  const whole = Math.max(ratio, 1 / ratio);
  return Math.abs(whole - Math.round(whole)) < 1e-6;
};
const isOff = (conversion: Conversion): boolean => {
  const { from, to } = conversion;
  const isNear = [1, 2, 0.5].some(
    (times) =>
      nearMissRate({ num: from.rate.num * times, den: from.rate.den }, to.rate) ||
      sameRate({ num: from.rate.num * times, den: from.rate.den }, to.rate),
  );
  return !isEven(conversion) && !isNear;
};

export const rateMismatch = pictureRule(
  'picture.rate-mismatch',
  {
    looksFor:
      'A picture at 25 or 50 in a chain at 30 or 60, or any other pair of rates of which ' +
      'neither is a whole part of the other.',
    why: 'Frames are repeated unevenly: everything that moves judders, several times a second.',
    remedy: 'Set every source to the rate of the chain, or to half of it.',
    source: 'handbook 3-picture: rates are exact fractions',
  },
  (measured) =>
    conversions(measured)
      .filter(isOff)
      .map(({ stage, from, to }) => ({
        level: 'warn',
        about: aboutConversion({ stage, from, to }),
        title: `${rateName(from.rate)} into ${rateName(to.rate)}`,
        says:
          `${measured.device(sourceOf(stage).at.device).name} arrives at ` +
          `${nameOf(measured, stage.parent?.at ?? stage.at)} at ${rateName(from.rate)} a second and ` +
          `leaves at ${rateName(to.rate)}. Movement judders. Set the source to the rate of the ` +
          'chain.',
      })),
  {
    sums: (measured, { about }) =>
      conversions(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .map(({ from, to }) => ({
          label: 'Uneven repeats',
          formula: '|rate out − the nearest whole multiple of rate in|',
          inputs: [
            { name: 'rate in', value: rateToHz(from.rate), unit: 'Hz' },
            { name: 'rate out', value: rateToHz(to.rate), unit: 'Hz' },
          ],
          result: Math.abs(
            rateToHz(to.rate) -
              Math.max(1, Math.round(rateToHz(to.rate) / rateToHz(from.rate))) *
                rateToHz(from.rate),
          ),
          unit: 'a second',
          source: 'handbook 3-picture',
        })),
    fixes: (measured, { about }) => {
      const conversion = conversions(measured).find(({ stage }) => stage.index === about.stage);
      const source = conversion && sourceOf(conversion.stage);
      const choice = source && formatChoice(measured, source);
      if (!conversion || !source || !choice) return [];
      const { from, to } = conversion;
      const fits = choice.options
        .filter(({ value }) => {
          const format = parseFormat(value);
          return (
            format.width === from.width &&
            format.height === from.height &&
            format.scan === 'p' &&
            isEven({ ...conversion, from: format }) &&
            rateToHz(format.rate) <= rateToHz(to.rate)
          );
        })
        .sort((a, b) => rateToHz(parseFormat(b.value).rate) - rateToHz(parseFormat(a.value).rate));
      return fits
        .slice(0, 1)
        .map((option) =>
          setFix(
            `Set ${measured.device(source.at.device).name} to ${option.label}`,
            source.at.device.id,
            choice.control,
            option.value,
          ),
        );
    },
  },
);
