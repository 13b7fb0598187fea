import { nameOfThing } from '../../passes/names';
import { changeWindow, colourTo, dimTo } from '../../edits/light';
import {
  colourMix,
  type ColourMix,
  type FaceLight,
  mired,
  miredBetween,
  SEEN_MIRED,
  UGLY_MIRED,
} from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure, type Sum } from '../../passes/sum';
import type { SimpleCommand } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachLightRule, lightRule } from '../rule-of';
import { litFaces } from './lit';
import { input, ofPerson, SOURCE, sum } from './words';

const kelvins = (value: number): string => `${Math.round(value).toLocaleString('en-GB')} K`;

const mixSums = (measured: Measured, mix: ColourMix | null): Sum[] =>
  mix
    ? [
        sum(
          'Between the two',
          '|10⁶ ÷ K − 10⁶ ÷ K|',
          [
            input(nameOfThing(measured, mix.cooler.source), mix.cooler.source.kelvin, 'K'),
            input(nameOfThing(measured, mix.warmer.source), mix.warmer.source.kelvin, 'K'),
          ],
          mix.apart,
          'mired',
        ),
      ]
    : [];

/** Brings one source to the colour of another, by whichever can change. */
const alike = (measured: Measured, { cooler, warmer }: ColourMix): SimpleCommand[][] => [
  colourTo(measured, warmer.source.id, cooler.source.kelvin),
  colourTo(measured, cooler.source.id, warmer.source.kelvin),
];

export const mixed = eachLightRule<FaceLight>(
  'light.colour-mix',
  {
    looksFor: 'Lights of different colours on one face.',
    why: 'One cheek is blue or the other orange, and no white balance mends both.',
    remedy: 'Set them to one colour, shut the window out, or turn one of them off.',
    source: `${SOURCE}: over 20 mired it is seen, over 50 it is ugly`,
  },
  {
    all: litFaces,
    about: ofPerson,
    judge: (face, measured) => {
      const mix = colourMix(face);
      if (!mix || mix.apart <= SEEN_MIRED) return null;
      const { cooler, warmer } = mix;
      return {
        level: mix.apart > UGLY_MIRED ? 'warn' : 'note',
        title: `${figure(mix.apart, 0)} mired between two lights on ${face.name}`,
        says:
          `${nameOfThing(measured, cooler.source)} is ${kelvins(cooler.source.kelvin)} and ` +
          `${nameOfThing(measured, warmer.source)} ` +
          `${kelvins(warmer.source.kelvin)}: ${figure(mix.apart, 0)} mired apart on the face of ${face.name}. ` +
          `Over ${SEEN_MIRED} it is seen, over ${UGLY_MIRED} it is ugly. Set them alike.`,
      };
    },
    sums: (face, measured) => mixSums(measured, colourMix(face)),
    fixes: (face, measured) => {
      const mix = colourMix(face);
      if (!mix) return [];
      const { cooler, warmer } = mix;
      const [toCool = [], toWarm = []] = alike(measured, mix);
      const window = [cooler, warmer].find(({ source }) => source.of === 'window');
      const weaker = cooler.lux < warmer.lux ? cooler : warmer;
      return [
        ...(toCool.length > 0
          ? [
              batchFix(
                `Set ${nameOfThing(measured, warmer.source)} to ${kelvins(cooler.source.kelvin)}`,
                toCool,
              ),
            ]
          : []),
        ...(toWarm.length > 0
          ? [
              batchFix(
                `Set ${nameOfThing(measured, cooler.source)} to ${kelvins(warmer.source.kelvin)}`,
                toWarm,
              ),
            ]
          : []),
        ...(window
          ? [
              batchFix(`Draw the blind of ${nameOfThing(measured, window.source)}`, [
                changeWindow(measured, window.source.id, { openShare: 0 }),
              ]),
            ]
          : []),
        ...(weaker.source.lamp
          ? [
              batchFix(
                `Turn ${nameOfThing(measured, weaker.source)} off`,
                dimTo(measured, weaker.source.id, 0),
              ),
            ]
          : []),
      ];
    },
  },
);

/** What all faces together are lit by, in mired of the mean, by their light. @returns null in the dark */
const meanK = (measured: Measured): number | null => {
  const mixes = litFaces(measured).flatMap((face) => {
    const mix = colourMix(face);
    return mix ? [{ lux: face.lux, meanK: mix.meanK }] : [];
  });
  const all = mixes.reduce((total, { lux }) => total + lux, 0);
  return all === 0
    ? null
    : 1e6 / (mixes.reduce((total, mix) => total + mix.lux * mired(mix.meanK), 0) / all);
};

export const whiteBalance = lightRule(
  'light.white-balance',
  {
    looksFor: 'Cameras balanced to another colour than the light has.',
    why: 'Skin goes blue or orange on every camera.',
    remedy: 'Balance the cameras to what falls on the faces.',
    source: `${SOURCE}: camera white balance per set`,
  },
  (measured) => {
    const mean = meanK(measured);
    const { whiteK } = measured.rig.lightRules;
    const apart = mean === null ? 0 : miredBetween(mean, whiteK);
    return mean === null || apart <= SEEN_MIRED
      ? []
      : [
          {
            about: THE_RIG,
            level: apart > UGLY_MIRED ? 'warn' : 'note',
            title: `Cameras ${figure(apart, 0)} mired off the light`,
            says:
              `The light on the faces comes to ${kelvins(mean)} and the cameras are balanced to ` +
              `${kelvins(whiteK)}: ${figure(apart, 0)} mired apart. Balance them to the light.`,
          },
        ];
  },
  {
    sums: (measured) => [
      sum(
        'Light against white balance',
        '|10⁶ ÷ K − 10⁶ ÷ K|',
        [
          input('light on the faces', meanK(measured) ?? 0, 'K'),
          input('cameras', measured.rig.lightRules.whiteK, 'K'),
        ],
        miredBetween(meanK(measured) ?? 1, measured.rig.lightRules.whiteK),
        'mired',
      ),
    ],
    fixes: (measured) => {
      const mean = meanK(measured);
      if (mean === null) return [];
      const whiteK = 50 * Math.round(mean / 50);
      return [
        {
          label: `Balance every camera to ${kelvins(whiteK)}`,
          command: { type: 'setLightRules', lightRules: { whiteK } },
        },
      ];
    },
  },
);

/** Colours that a house may want. @unit K */
const HOUSE_K = { daylight: 5600, warm: 3200, 'as it comes': null } as const;

export const houseColour = lightRule(
  'light.house-colour',
  {
    looksFor: 'Cameras balanced to another colour than the house works in.',
    why: 'What was shot last week does not cut against what is shot today.',
    remedy: 'Set lamps and cameras to the colour of the house.',
    source: `${SOURCE}: colour temperature is a house rule`,
  },
  ({ rig }) => {
    const wanted = HOUSE_K[rig.houseRules.lightColour];
    const apart = wanted === null ? 0 : miredBetween(wanted, rig.lightRules.whiteK);
    return wanted === null || apart <= SEEN_MIRED
      ? []
      : [
          {
            about: THE_RIG,
            level: 'note',
            houseRule: 'lightColour',
            title: `Cameras at ${kelvins(rig.lightRules.whiteK)}, the house works at ${kelvins(wanted)}`,
            says:
              `The cameras are balanced to ${kelvins(rig.lightRules.whiteK)}, ${figure(apart, 0)} mired from ` +
              `the ${kelvins(wanted)} the house works in. Set lamps and cameras to it.`,
          },
        ];
  },
  {
    sums: ({ rig }) => {
      const wanted = HOUSE_K[rig.houseRules.lightColour];
      return wanted === null
        ? []
        : [
            sum(
              'Cameras against the house',
              '|10⁶ ÷ K − 10⁶ ÷ K|',
              [input('cameras', rig.lightRules.whiteK, 'K'), input('house', wanted, 'K')],
              miredBetween(rig.lightRules.whiteK, wanted),
              'mired',
            ),
          ];
    },
    fixes: ({ rig }) => {
      const wanted = HOUSE_K[rig.houseRules.lightColour];
      return wanted === null
        ? []
        : [
            {
              label: `Balance every camera to ${kelvins(wanted)}`,
              command: { type: 'setLightRules', lightRules: { whiteK: wanted } },
            },
          ];
    },
  },
);
