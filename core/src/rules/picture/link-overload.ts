import { explainPayload } from '../../explain/picture';
import type { Measured } from '../../measure';
import { nameOf, sourceOf, stageOf } from '../places';
import type { Finding, Rule } from '../rule';
import { aboutStage, stoppedAt, workingFormat } from './formats';

const CODE = 'picture.link-overload';

const find = (measured: Measured): Finding[] =>
  stoppedAt(measured, ['port', 'cable']).map((stage) => ({
    code: CODE,
    area: 'picture',
    level: 'stop',
    about: aboutStage(stage),
    title: 'The link cannot carry this format',
    says:
      `No picture from ${sourceOf(stage).at.device.device.name} to ${nameOf(stage.at)}: ` +
      `${measured.picture[stage.index]?.stop?.says ?? 'the link is too slow'}. Send a ` +
      'lighter format or use a faster link.',
  }));

export const linkOverload: Rule = {
  code: CODE,
  area: 'picture',
  looksFor: 'A format that loads a link with more than its ports or its cable carry.',
  why: 'The screen stays black or sparkles; it does not fall back by itself.',
  remedy: 'Set the source to a lighter format, or use ports and a cable of a faster class.',
  source: 'handbook 3-picture: 8.16, 14.4 and 42.67 Gb/s by link class',
  find,
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage ? explainPayload(measured, stage) : [];
  },
  fixes: (measured, finding) => {
    const stage = stageOf(measured, finding.about.stage);
    return stage ? workingFormat(measured, finding, sourceOf(stage), find) : [];
  },
};
