import {
  bleedDb,
  combRippleDb,
  type MicrophoneInRoom,
  type PickedUp,
  THREE_TO_ONE_DB,
  totalBleedDb,
} from '../../passes/room';
import { figure } from '../../passes/sum';
import { microphoneRule } from '../rule-of';
import { closerFix, personName } from './in-room';

/** The loudest of the other voices, where it breaks the 3:1 rule. */
const tooLoud = (
  microphone: MicrophoneInRoom,
): { readonly other: PickedUp; readonly db: number } | null => {
  const [loudest] = microphone.bleed
    .map((other) => ({ other, db: bleedDb(microphone, other) ?? -Infinity }))
    .sort((a, b) => b.db - a.db);
  return loudest && loudest.db > -THREE_TO_ONE_DB ? loudest : null;
};

export const bleed = microphoneRule(
  'sound.bleed',
  {
    matters: ['microphone in room'],
    looksFor: 'A microphone that hears another voice less than 9.5 dB under its own.',
    why:
      'The other voice arrives twice, a moment apart: it sounds hollow, and cutting one ' +
      'track leaves it on the other.',
    remedy:
      'Bring microphones nearer to their mouths or people farther apart: three times as far ' +
      'from the other as from the own.',
    source: 'handbook 2-sound, bleed: the 3:1 rule',
  },
  {
    judge: (microphone, measured) => {
      const found = tooLoud(microphone);
      if (!found) return null;
      return {
        level: 'warn',
        title: `${found.other.name} only ${figure(-found.db)} dB under`,
        says:
          `${measured.device(microphone.node.device).name} hears ${found.other.name} ${figure(-found.db)} ` +
          `dB under ${personName(measured, microphone.personId)}; the 3:1 rule asks for ` +
          `${figure(THREE_TO_ONE_DB)} dB. With both open, ${found.other.name} ripples by ` +
          `${found.db < 0 ? `${figure(combRippleDb(found.db))} dB` : 'everything there is'} ` +
          `from comb to dip. Come closer, ${
            microphone.pattern === 'omni' ? '' : 'turn the dull side to the other voice, '
          }or sit farther apart.`,
      };
    },
    sums: (microphone) => {
      const found = tooLoud(microphone);
      if (!found) return [];
      const { other, db } = found;
      return [
        {
          label: `${other.name} against the own voice`,
          formula: 'L(1 m) − 20·log10 d + pattern − own voice at the capsule',
          inputs: [
            { name: 'distance', value: other.distanceM, unit: 'm' },
            { name: 'off the axis', value: Math.abs(other.angleDeg), unit: '°' },
            { name: 'at the capsule', value: other.directSpl, unit: 'dB SPL' },
            { name: 'own voice', value: microphone.ownSpl ?? 'unknown', unit: 'dB SPL' },
          ],
          result: db,
          unit: 'dB',
          source: 'handbook 2-sound, bleed',
        },
        ...(other.echoSpl === null
          ? []
          : [
              {
                label: 'The same with what the walls send',
                formula: 'power sum of straight and walls − own voice at the capsule',
                inputs: [
                  { name: 'straight', value: other.directSpl, unit: 'dB SPL' },
                  { name: 'by the walls', value: other.echoSpl, unit: 'dB SPL' },
                  { name: 'own voice', value: microphone.ownSpl ?? 'unknown', unit: 'dB SPL' },
                ],
                result: totalBleedDb(microphone, other),
                unit: 'dB',
                source: 'handbook 2-sound, bleed: the total is what the ear hears',
              },
            ]),
        ...(db < 0
          ? [
              {
                label: 'Comb ripple',
                formula: '20·log10((1 + r) ÷ (1 − r))',
                inputs: [{ name: 'r', value: 10 ** (db / 20), unit: '' }],
                result: combRippleDb(db),
                unit: 'dB',
                source: 'handbook 2-sound, bleed',
              },
            ]
          : []),
      ];
    },
    fixes: (microphone, measured) =>
      closerFix(measured, microphone, (there) => tooLoud(there) === null),
  },
);
