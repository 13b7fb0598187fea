import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measure';
import { loopDb, type MicrophoneInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry, numberSetting, type SimpleCommand } from '../../rig';
import { batchFix, microphoneRule } from '../rule-of';

/**
 * What a loop must stay under so as neither to howl nor to ring. @unit dB @source typical: feedback
 * stability margin
 */
const STABLE_DB = -6;

/** Every loudspeaker that sends it back turned down by what is too much. */
const quieter = (microphone: MicrophoneInRoom, { rig }: Measured): Fix[] => {
  const byDb = Math.ceil((loopDb(microphone) ?? 0) - STABLE_DB + 0.1);
  const commands = microphone.returned.flatMap(({ id }): SimpleCommand[] => {
    const device = entry(rig.devices, id);
    const port =
      device &&
      Object.values(device.model.ports).find(
        (candidate) =>
          candidate.family === 'analogue' && candidate.speakerVolumeControl !== undefined,
      );
    const control = port?.family === 'analogue' ? port.speakerVolumeControl : undefined;
    const range =
      device && control !== undefined ? entry(device.model.controls, control) : undefined;
    if (!device || control === undefined || range?.type !== 'gain') return [];
    return [
      {
        type: 'setControl',
        deviceId: id,
        control,
        value: Math.max(range.minDb, (numberSetting(device, control) ?? 0) - byDb),
      },
    ];
  });
  return commands.length
    ? [batchFix(`Turn the loudspeakers down by ${figure(byDb, 0)} dB`, commands)]
    : [];
};

export const howl = microphoneRule(
  'sound.howl',
  {
    matters: ['microphone in room', 'ears'],
    looksFor:
      'A microphone whose own voice comes back from loudspeakers nearly as loud as it went in.',
    why:
      'At 0 dB the loop howls, and sudden full level harms ears and loudspeakers; within 6 ' +
      'dB it rings on every word.',
    remedy:
      'Turn the loudspeakers down, bring them behind the microphone’s dull side, come ' +
      'closer to the microphone, or take its voice out of them.',
    source: 'handbook 2-sound, loudspeakers against open microphones; stability margin 6 dB',
  },
  {
    judge: (microphone, measured) => {
      const loop = loopDb(microphone);
      if (loop === null || loop <= STABLE_DB) return null;
      return {
        level: loop >= 0 ? 'stop' : 'warn',
        title: loop >= 0 ? 'This will howl' : `${figure(-loop)} dB from howling`,
        says:
          `The voice of ${measured.device(microphone.node.device).name} comes back from ` +
          `${microphone.returned.map(({ name }) => name).join(' and ')} ` +
          `${loop >= 0 ? `${figure(loop)} dB louder than` : `only ${figure(-loop)} dB under`} ` +
          'what went in. Turn the loudspeakers down, or take this voice out of them.',
      };
    },
    sums: (microphone) => [
      {
        label: 'Loop by the loudspeakers',
        formula: 'power sum of what comes back − own voice at the capsule',
        inputs: [
          ...microphone.returned.map(({ name, spl }) => ({ name, value: spl, unit: 'dB SPL' })),
          { name: 'own voice', value: microphone.ownSpl ?? 'unknown', unit: 'dB SPL' },
        ],
        result: loopDb(microphone),
        unit: 'dB',
        source: 'handbook 2-sound, room',
      },
    ],
    fixes: quieter,
  },
);
