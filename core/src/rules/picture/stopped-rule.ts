import { sourceOf, type Stage } from '../../graph';
import type { Measured } from '../../passes/measure';
import type { PictureStop } from '../../passes/picture';
import { explainPayload } from '../../passes/picture/sums';
import { stageOf } from '../../passes/stages';
import type { Finding, Rule } from '../rule';
import { pictureRule, type Texts } from '../rule-of';
import { aboutStage, stoppedAt, workingFormat } from './formats';

/**
 * A rule that speaks where a picture is stopped: its sums are those of the payload there, its fix a
 * format that goes through.
 * @param kinds of what stops it
 * @param words from the stage, the name of its source, and why it is stopped
 */
export const stoppedRule = (
  code: string,
  texts: Texts,
  kinds: readonly PictureStop['by'][],
  words: (
    stage: Stage,
    source: string,
    why: string | undefined,
    measured: Measured,
  ) => Pick<Finding, 'title' | 'says'>,
): Rule => {
  const find = (measured: Measured) =>
    stoppedAt(measured, kinds).map((stage) => ({
      level: 'stop' as const,
      about: aboutStage(stage),
      ...words(
        stage,
        measured.device(sourceOf(stage).at.device).name,
        measured.picture[stage.index]?.stop?.says,
        measured,
      ),
    }));
  const rule: Rule = pictureRule(code, texts, find, {
    sums: (measured, { about }) => {
      const stage = stageOf(measured, about.stage);
      return stage ? explainPayload(measured, stage) : [];
    },
    fixes: (measured, finding) => {
      const stage = stageOf(measured, finding.about.stage);
      return stage ? workingFormat(measured, finding, sourceOf(stage), rule.find) : [];
    },
  });
  return rule;
};
