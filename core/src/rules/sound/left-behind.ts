import { microphoneInstead } from '../../edits/microphone';
import { WORN } from '../../passes/room/choice';
import { figure } from '../../passes/sum';
import { CATALOGUE } from '../../catalogue';
import { proximityDb } from '../../passes/sound/pattern';
import { entry, type Pattern } from '../../rig';
import { batchFix, microphoneRule } from '../rule-of';

/** What a step to the side may take before somebody turns it up. @unit dB */
const MOST_LOST_DB = 10;
/** A step to the side. @unit m */
const STEP_M = 0.5;

/** What a step away takes from the level. @unit dB */
const lostDb = (distanceM: number): number => 20 * Math.log10((distanceM + STEP_M) / distanceM);

/** What it takes from the bass besides, at 100 Hz. @unit dB */
const bassLostDb = (pattern: Pattern, distanceM: number): number =>
  proximityDb(pattern, distanceM) - proximityDb(pattern, distanceM + STEP_M);

export const leftBehind = microphoneRule(
  'sound.left-behind',
  {
    matters: ['microphone in room'],
    looksFor:
      'Somebody who moves, before a microphone that stays where it is and hears them more than 10 dB softer ' +
      'half a metre away.',
    why: 'Half a step away from a hand’s width takes most of the voice, and the room comes up with the gain.',
    remedy: 'Give them a microphone that is worn.',
    source: 'handbook 2-sound: L(d) = L(1 m) − 20·log10(d)',
  },
  {
    judge: ({ node, distanceM, personId, pattern }, measured) => {
      const person = personId === null ? undefined : entry(measured.rig.people, personId);
      const { classId } = node.device.model;
      return person?.posture !== 'moves' ||
        distanceM === null ||
        lostDb(distanceM) <= MOST_LOST_DB ||
        classId === null ||
        WORN.has(classId)
        ? null
        : {
            level: 'warn',
            title: `${person.name} moves out of it`,
            says:
              `${person.name} moves, and ${measured.device(node.device).name} stays where it is, ` +
              `${figure(distanceM * 100, 0)} cm from the mouth: half a metre away it hears ` +
              `${figure(lostDb(distanceM))} dB less` +
              (pattern && bassLostDb(pattern, distanceM) >= 1
                ? `, and ${figure(bassLostDb(pattern, distanceM))} dB more of the bass`
                : '') +
              '. Give them one that is worn.',
          };
    },
    sums: ({ distanceM }) =>
      distanceM === null
        ? []
        : [
            {
              label: 'Lost half a metre away',
              formula: '20·log10((d + step) ÷ d)',
              inputs: [
                { name: 'd', value: distanceM, unit: 'm' },
                { name: 'step', value: STEP_M, unit: 'm' },
              ],
              result: lostDb(distanceM),
              unit: 'dB',
              source: 'handbook 2-sound',
            },
          ],
    fixes: ({ node, personId }, measured) => {
      const person = personId === null ? undefined : entry(measured.rig.people, personId);
      return CATALOGUE.filter(
        ({ kind, classId, ports }) =>
          kind === node.device.model.kind &&
          classId !== null &&
          WORN.has(classId) &&
          !(person?.dislikesHeadset && classId === 'mic-headset') &&
          ports[node.id]?.connector === node.port.connector,
      ).map((model) =>
        batchFix(
          `${model.name} instead of ${measured.device(node.device).name}`,
          microphoneInstead(node, model),
        ),
      );
    },
  },
);
