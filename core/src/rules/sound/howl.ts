import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { type Loops, loops } from '../../passes/room';
import { figure } from '../../passes/sum';
import { entry, numberSetting, type SimpleCommand } from '../../rig';
import { at } from '../about';
import { batchFix, eachSoundRule } from '../rule-of';
import { ABOUT_DB } from './headroom';

/**
 * What loops must stay under so as neither to howl nor to ring. @unit dB @source typical: feedback
 * stability margin
 */
const STABLE_DB = -6;
/** So many are named. */
const NAMED = 3;

/** Every loudspeaker that sends it back turned down by what is too much. */
const quieter = ({ powerDb, loudspeakers }: Loops, { rig }: Measured): Fix[] => {
  const byDb = Math.ceil(powerDb - STABLE_DB + 0.1);
  const commands = loudspeakers.flatMap(({ id }): SimpleCommand[] => {
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

const microphonesOf = (measured: Measured, { loops: all }: Loops): string => {
  const names = [
    ...new Set(all.map(({ microphone }) => measured.device(microphone.node.device).name)),
  ];
  return names.length > NAMED
    ? `${names.length} open microphones`
    : names.length === 1
      ? `The voice of ${names[0] ?? ''}`
      : `The voices of ${names.join(' and ')}`;
};

export const howl = eachSoundRule<Loops>(
  'sound.howl',
  {
    matters: ['microphone in room', 'ears'],
    looksFor:
      'Open microphones whose voices come back from loudspeakers, all loops together, nearly as loud as they went in.',
    why:
      'At 0 dB the loop howls, and sudden full level harms ears and loudspeakers; within 6 ' +
      'dB it rings on every word. Every open microphone adds its own.',
    remedy:
      'Turn the loudspeakers down, bring them behind the microphones’ dull side, come closer, close what ' +
      'nobody speaks into, or take the voices out of them.',
    source: 'handbook 2-sound: loops through one loudspeaker add as powers; stability margin 6 dB',
  },
  {
    all: loops,
    about: ({ loudspeakers: [first] }) => at({ deviceId: first?.id ?? '' }),
    judge: (together, measured) => {
      const { powerDb, loudspeakers, loops: all } = together;
      if (powerDb <= STABLE_DB + ABOUT_DB) return null;
      return {
        level: powerDb > ABOUT_DB ? 'stop' : 'warn',
        title: powerDb > ABOUT_DB ? 'This will howl' : `${figure(-powerDb)} dB from howling`,
        says:
          `${microphonesOf(measured, together)} come${all.length === 1 ? 's' : ''} back from ` +
          `${loudspeakers.map(({ name }) => name).join(' and ')} ` +
          `${powerDb >= 0 ? `${figure(powerDb)} dB louder than` : `only ${figure(-powerDb)} dB under`} ` +
          'what went in. Turn the loudspeakers down, or take voices out of them.',
      };
    },
    sums: ({ loops: all, powerDb, pressureDb }, measured) => [
      {
        label: 'Loops by the loudspeakers',
        formula: 'power sum of (what comes back − own voice at the capsule)',
        inputs: all.map(({ microphone, returned, db }) => ({
          name: `${measured.device(microphone.node.device).name} by ${returned.name}`,
          value: db,
          unit: 'dB',
        })),
        result: powerDb,
        unit: 'dB',
        source: 'handbook 2-sound, sums',
        note: `All in step, the worst case at one frequency: ${figure(pressureDb)} dB.`,
      },
    ],
    fixes: quieter,
  },
);
