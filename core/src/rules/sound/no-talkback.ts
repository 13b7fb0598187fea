import type { Measured } from '../../passes/measured';
import { THE_RIG } from '../about';
import type { Finding } from '../rule';
import { soundRule } from '../rule-of';

/** Whether somebody who is not heard in the show can speak into somebody else's ears. */
const hasTalkback = (measured: Measured): boolean =>
  measured.traced.threads.some(({ signal, source, end }) => {
    const { personId } = measured.device(source.device);
    return (
      signal === 'sound' &&
      end.device.model.kind === 'headphones' &&
      personId !== null &&
      measured.rig.people[personId]?.isHeard === false &&
      measured.device(end.device).personId !== personId
    );
  });

export const noTalkback = soundRule(
  'sound.no-talkback',
  {
    matters: ['ears'],
    looksFor: 'A show switched by an operator who can speak to nobody.',
    why: 'Cues are waved, shouted or missed.',
    remedy: 'Give the operator a talkback microphone into the headphones, or an intercom.',
    source: 'handbook 2-sound, monitoring: talkback and intercom',
  },
  (measured): Omit<Finding, 'code' | 'area'>[] => {
    const { brief, people } = measured.rig;
    const onStage = Object.values(people).filter(
      ({ isHeard, where }) => isHeard && where === 'on site',
    );
    return brief?.switchedBy !== 'operator' || onStage.length === 0 || hasTalkback(measured)
      ? []
      : [
          {
            level: 'note',
            about: THE_RIG,
            title: 'The operator can speak to nobody',
            says:
              'The brief has an operator who switches, and no voice that is off air reaches ' +
              'anybody’s headphones. Give the operator a talkback microphone, or an intercom: cues ' +
              'get lost without one.',
          },
        ];
  },
);
