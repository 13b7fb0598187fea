import { explainPayload } from '../../explain/picture';
import type { Measured } from '../../measure';
import { nameOf, sourceOf, stageOf } from '../places';
import type { Finding, Rule } from '../rule';
import { aboutStage, stoppedAt, workingFormat } from './formats';

const CODE = 'picture.format-refused';

const find = (measured: Measured): Finding[] =>
  stoppedAt(measured, ['input', 'no scaler']).map((stage) => ({
    code: CODE,
    area: 'picture',
    level: 'stop',
    about: aboutStage(stage),
    title: 'Format not taken',
    says:
      `No picture from ${sourceOf(stage).at.device.device.name}: ` +
      `${measured.picture[stage.index]?.stop?.says ?? `${nameOf(stage.at)} does not take it`}. ` +
      'Set the source to a format it takes, or put a scaler between.',
  }));

export const formatRefused: Rule = {
  code: CODE,
  area: 'picture',
  looksFor:
    'An input that does not take the format it is sent, or a switcher without a scaler that runs at another one.',
  why: 'The input shows nothing at all.',
  remedy: 'Set the source to a format the input takes, or put a scan converter between.',
  source: 'handbook 3-picture, formats and how they travel',
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
