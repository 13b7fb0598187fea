import { classById } from '../../catalogue';
import type { Fix } from '../../edits/fix';
import { splice } from '../../edits/splice';
import { sourceOf, type Stage } from '../../graph';
import { nameOf } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import type { PictureStop } from '../../passes/picture';
import { explainPayload } from '../../passes/picture/sums';
import { stageOf } from '../../passes/stages';
import type { Finding, Rule } from '../rule';
import { batchFix, pictureRule, type Texts } from '../rule-of';
import { aboutStage, stoppedAt, workingFormat } from './formats';

/** A scan converter before the input that does not take the picture, set to the format of the house. */
const scalerBefore = (measured: Measured, stage: Stage): Fix[] => {
  const link = stage.via.by === 'link' ? stage.via : stage.parent?.via;
  if (link?.by !== 'link') return [];
  const { from, to } = link.link;
  const scaler = classById('converter-scan');
  const choice = scaler.controls['format'];
  const { chosenFormat } = measured.rig.houseRules;
  if (
    from.port.connector !== scaler.ports['in']?.connector ||
    to.port.connector !== scaler.ports['out']?.connector ||
    choice?.type !== 'choice'
  )
    return [];
  const { commands, deviceId } = splice(measured.rig, link.link, 'converter-scan', {
    in: 'in',
    out: 'out',
  });
  const isOffered = choice.options.some(({ value }) => value === chosenFormat);
  return [
    batchFix(`Put a scan converter before ${nameOf(measured, to)}`, [
      ...commands,
      ...(isOffered
        ? [{ type: 'setControl' as const, deviceId, control: 'format', value: chosenFormat }]
        : []),
    ]),
  ];
};

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
      return stage
        ? [
            ...workingFormat(measured, finding, sourceOf(stage), rule.find),
            ...(kinds.includes('input') ? scalerBefore(measured, stage) : []),
          ]
        : [];
    },
  });
  return rule;
};
