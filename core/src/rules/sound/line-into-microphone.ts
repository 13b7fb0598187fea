import type { Fix } from '../../edits/fix';
import { inlinePad } from '../../edits/pad';
import { firstCable, replug } from '../../edits/splice';
import type { Measured } from '../../passes/measured';
import { nameOf } from '../../passes/names';
import { explainHeadroom, explainLevel } from '../../passes/sound/sums';
import { switchSetting } from '../../rig';
import type { Rule } from '../rule';
import { aboutJoint, type AnalogueJoint, analogueJoints, arrivesWell, freeInput } from './joints';
import { switchOn } from './phantom';

const isLine = ({ out }: AnalogueJoint): boolean =>
  out.nominal === 'line' || out.nominal === 'consumer line';

/** The input's pad, if it has one. */
const padOn = (
  measured: Measured,
  { edge }: AnalogueJoint,
): { control: string; on: boolean } | null => {
  const pad = edge.to.routes.find((candidate) => candidate.route.sound?.pad)?.route.sound?.pad;
  return pad
    ? { control: pad.control, on: switchSetting(measured.device(edge.to.device), pad.control) }
    : null;
};

export const lineIntoMicrophone: Rule = {
  code: 'sound.line-into-microphone',
  area: 'sound',
  looksFor:
    'A line output plugged into a microphone input with no pad, unless what arrives is known to leave headroom.',
  why: 'Line level is some 40 to 60 dB above a microphone: the input clips with its gain at the very bottom.',
  remedy: 'Use a line input, switch the pad in, or put an inline pad on the cable.',
  source: 'handbook 2-sound, line joints',
  find: (measured) =>
    analogueJoints(measured)
      .filter(
        (joint) =>
          isLine(joint) &&
          joint.input.nominal === 'microphone' &&
          !padOn(measured, joint)?.on &&
          arrivesWell(measured, joint.edge) !== true,
      )
      .map(({ edge }) => ({
        code: 'sound.line-into-microphone',
        area: 'sound',
        level: 'warn',
        about: aboutJoint(edge),
        title: 'Line level into a microphone input',
        says:
          `${nameOf(measured, edge.from)} sends line level into ${nameOf(measured, edge.to)}, which is made for ` +
          'microphones and has no pad in. It will clip or sit at the bottom of its gain. Use a ' +
          'line input, switch the pad in, or add an inline pad.',
      })),
  sums: (measured, { about }) => {
    const stage = measured.traced.stages.find(
      ({ via }) => via.by === 'link' && via.link.id === about.linkId,
    );
    return stage ? [...explainLevel(measured, stage), ...explainHeadroom(measured, stage)] : [];
  },
  fixes: (measured, { about }) => {
    const joint = analogueJoints(measured).find(({ edge }) => edge.id === about.linkId);
    if (!joint) return [];
    const fixes: Fix[] = [];
    const line = freeInput(
      joint.edge,
      (nominal) => nominal === 'line' || nominal === 'consumer line',
    );
    const cableId = line && firstCable(joint.edge.from, line);
    if (line && cableId)
      fixes.push({
        label: `Use ${nameOf(measured, line)}`,
        command: {
          type: 'batch',
          label: `Moved ${measured.device(joint.edge.from.device).name} to ${nameOf(measured, line)}`,
          commands: replug(joint.edge, line, cableId),
        },
      });
    const pad = padOn(measured, joint);
    if (pad)
      fixes.push({
        label: `Switch the pad in at ${nameOf(measured, joint.edge.to)}`,
        command: switchOn(joint.edge.to.device.id, pad.control),
      });
    else fixes.push(...inlinePad(measured, joint.edge));
    return fixes;
  },
};
