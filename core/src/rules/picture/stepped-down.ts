import type { Fix } from '../../edits/fix';
import { otherCables } from '../../edits/splice';
import type { Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { measure } from '../../passes/measure';
import type { Candidate, Negotiation, Obstacle } from '../../passes/picture';
import { cable } from '../../passes/sound/gains';
import { apply } from '../../rig';
import { formatName } from '../../units';
import { atStage } from '../about';
import type { Finding } from '../rule';
import { pictureRule } from '../rule-of';

const candidateName = ({ format, coding }: Candidate): string =>
  `${formatName(format)}${coding ? ` ${coding.chroma === 'rgb' ? 'RGB' : coding.chroma}` : ''}`;

const steps = (
  measured: Measured,
): { source: Stage; negotiation: Negotiation; obstacle: Obstacle }[] =>
  [...measured.negotiations].flatMap(([index, negotiation]) => {
    const source = measured.traced.stages[index];
    return source && negotiation.fits
      ? negotiation.forcedBy.map((obstacle) => ({ source, negotiation, obstacle }))
      : [];
  });

const find = (measured: Measured): Omit<Finding, 'code' | 'area'>[] =>
  steps(measured).map(({ source, negotiation, obstacle }) => ({
    level: 'warn',
    about: atStage(source, {
      deviceId: source.at.device.id,
      portId: obstacle.portId,
      ...(obstacle.linkId === null ? {} : { linkId: obstacle.linkId }),
    }),
    title: `${candidateName(negotiation)} instead of ${candidateName(negotiation.wish)}`,
    says:
      `${measured.device(source.at.device).name} could send ${candidateName(negotiation.wish)} and ` +
      `sends ${candidateName(negotiation)}: ${obstacle.says}. Mend that place, or want a ` +
      'format that fits.',
    houseRule: 'chosenFormat',
  }));

/** Cables with which this place no longer forces anything, found by trying them. */
const betterCable = (measured: Measured, { about }: Finding): Fix[] => {
  const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
  if (!edge) return [];
  for (const kind of otherCables(edge)) {
    const command = {
      type: 'setCable',
      linkId: edge.id,
      cable: { kind, lengthM: edge.link.cable.lengthM },
    } as const;
    const remains = steps(measure(apply(measured.rig, command), measured)).some(
      ({ obstacle }) => obstacle.linkId === edge.id,
    );
    if (!remains) return [{ label: `Use ${cable(kind).name}`, command }];
  }
  return [];
};

export const steppedDown = pictureRule(
  'picture.stepped-down',
  {
    looksFor:
      'A source that sends the best that fits, and a link, an input or a switcher that forces it below what is wanted.',
    why: 'One short cable or one old input decides for the whole chain, without a word.',
    remedy: 'Mend the place that forces it, or want the format that fits.',
    source: 'handbook 3-picture, formats and how they travel',
  },
  find,
  {
    fixes: betterCable,
    sums: (measured, { about }) => {
      const found = steps(measured).find(
        ({ source, obstacle }) => source.index === about.stage && obstacle.portId === about.portId,
      );
      const pixels = ({ format }: Candidate) => format.width * format.height;
      return found
        ? [
            {
              label: 'What is left of the pixels',
              formula: 'sent ÷ wanted',
              inputs: [
                { name: 'sent', value: pixels(found.negotiation), unit: 'px' },
                { name: 'wanted', value: pixels(found.negotiation.wish), unit: 'px' },
              ],
              result: (100 * pixels(found.negotiation)) / pixels(found.negotiation.wish),
              unit: '%',
              source: 'handbook 3-picture',
            },
          ]
        : [];
    },
  },
);
