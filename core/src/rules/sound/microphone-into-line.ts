import { firstCable, replug } from '../../edits/splice';
import { nameOf } from '../../passes/names';
import { explainLevel } from '../../passes/sound/sums';
import type { Rule } from '../rule';
import { aboutJoint, type AnalogueJoint, analogueJoints, freeInput, shortBehind } from './joints';

/** This far under the house level with everything turned up, a voice is buried. @unit dB */
const HARDLY_HEARD_DB = 25;

/** Whether a device only passes on at microphone level, as an inline pad does. */
const isPassedOn = ({ edge }: AnalogueJoint): boolean =>
  edge.to.routes.some(({ route }) =>
    route.to.some((to) => {
      const port = edge.to.device.ports.get(to)?.port;
      return port?.family === 'analogue' && port.nominal === 'microphone';
    }),
  );

export const microphoneIntoLine: Rule = {
  code: 'sound.microphone-into-line',
  area: 'sound',
  looksFor:
    'A microphone plugged into a line input, where what arrives can nowhere be brought up to the house level.',
  why: 'A line input has no gain for it: what little arrives is buried in hiss.',
  remedy: 'Use a microphone input, or put a preamp between.',
  source: 'handbook 2-sound, line joints',
  find: (measured) =>
    analogueJoints(measured)
      .filter(
        (joint) =>
          joint.out.nominal === 'microphone' &&
          (joint.input.nominal === 'line' || joint.input.nominal === 'consumer line') &&
          !isPassedOn(joint) &&
          // What is wrong is what arrives, not what the sockets are called.
          (shortBehind(measured, joint.edge) ?? Infinity) >= HARDLY_HEARD_DB,
      )
      .map(({ edge }) => ({
        code: 'sound.microphone-into-line',
        area: 'sound',
        level: 'stop',
        about: aboutJoint(edge),
        title: 'Microphone into a line input',
        says:
          `${nameOf(measured, edge.from)} goes into ${nameOf(measured, edge.to)}, a line input without the gain a ` +
          'microphone needs. It will hardly be heard. Use a microphone input or put a preamp ' +
          'between.',
      })),
  sums: (measured, { about }) => {
    const stage = measured.traced.stages.find(
      ({ via }) => via.by === 'link' && via.link.id === about.linkId,
    );
    return stage ? explainLevel(measured, stage) : [];
  },
  fixes: (measured, { about }) => {
    const joint = analogueJoints(measured).find(({ edge }) => edge.id === about.linkId);
    const input = joint && freeInput(joint.edge, (nominal) => nominal === 'microphone');
    const cableId = joint && input && firstCable(joint.edge.from, input);
    return joint && input && cableId
      ? [
          {
            label: `Use ${nameOf(measured, input)}`,
            command: {
              type: 'batch',
              label: `Moved ${measured.device(joint.edge.from.device).name} to ${nameOf(measured, input)}`,
              commands: replug(joint.edge, input, cableId),
            },
          },
        ]
      : [];
  },
};
