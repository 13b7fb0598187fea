import type { Fix } from '../../edits/fix';
import { ears, type Ears } from '../../passes/hearing';
import type { Measured } from '../../passes/measured';
import { deviceName } from '../../passes/names';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { at } from '../about';
import { setFix, soundRule } from '../rule-of';

/** Above this nobody should wear them for a moment. @unit dB SPL */
const NEVER_DB = 110;
/** A comfortable monitoring level to come down to. @unit dB SPL */
const COMFORTABLE_DB = 80;

const loud = (measured: Measured): (Ears & { readonly spl: number; readonly hours: number })[] => {
  const showHours = (measured.rig.brief?.lengthMin ?? 60) / 60;
  return ears(measured).flatMap((pair) =>
    pair.spl !== null && pair.hours !== null && (pair.spl > NEVER_DB || pair.hours < showHours)
      ? [{ ...pair, spl: pair.spl, hours: pair.hours }]
      : [],
  );
};

const time = (hours: number): string =>
  hours >= 1 ? `${figure(hours)} h` : `${figure(hours * 60, hours * 60 < 1 ? 1 : 0)} min`;

/** The volume where they are plugged in, turned down to a comfortable level. */
const quieter = (
  measured: Measured,
  { node, spl, volumeDb }: Ears & { readonly spl: number },
): Fix[] => {
  const control = node.port.family === 'analogue' ? node.port.earVolumeControl : undefined;
  const range = control === undefined ? undefined : entry(node.device.model.controls, control);
  const value = volumeDb - Math.ceil(spl - COMFORTABLE_DB);
  return control !== undefined && range?.type === 'gain' && value >= range.minDb
    ? [
        setFix(
          `Turn ${measured.device(node.device).name} down to ${figure(value, 0)} dB`,
          node.device.id,
          control,
          value,
        ),
      ]
    : [];
};

const listenerName = ({ rig }: Measured, personId: string | null): string | undefined =>
  personId === null ? undefined : entry(rig.people, personId)?.name;

export const earsLoud = soundRule(
  'sound.ears-loud',
  {
    matters: ['ears'],
    looksFor:
      'Headphones in which the sound is louder than may be heard for the length of the show.',
    why: 'Hearing does not come back. This is a caution, not medicine; local rules for work decide.',
    remedy: 'Turn the volume down; begin low and come up.',
    source: 'handbook 2-sound, hearing: 8 h ÷ 2^((L − 85) ÷ 3), NIOSH 98-126',
  },
  (measured) =>
    loud(measured).map(({ node, personId, spl, hours }) => ({
      level: spl > NEVER_DB ? 'stop' : 'warn',
      about: at({ deviceId: node.device.id, portId: node.id }),
      title: `${figure(spl, 0)} dB at the ear`,
      says:
        `${listenerName(measured, personId) ?? deviceName(measured, node.device)} ` +
        `hears ${figure(spl)} dB in ${measured.device(node.device).name}; that may be heard for ` +
        `${time(hours)} a day. Turn it down before anybody puts them on.`,
    })),
  {
    sums: (measured, { about }) =>
      loud(measured)
        .filter(({ node }) => node.device.id === about.deviceId)
        .flatMap(({ node, levelDbu, volumeDb, spl, hours }) => [
          {
            label: 'Sound pressure at the ear',
            formula: 'sensitivity + 10·log10(V² ÷ Z)',
            inputs: [
              { name: 'level at the socket', value: levelDbu ?? 'unknown', unit: 'dBu' },
              { name: 'volume', value: volumeDb, unit: 'dB' },
              {
                name: 'impedance',
                value: (node.port.family === 'analogue' ? node.port.inputOhms : null) ?? 'unknown',
                unit: 'Ω',
              },
              {
                name: 'sensitivity',
                value: (node.port.family === 'analogue' ? node.port.earDbPerMw : null) ?? 'unknown',
                unit: 'dB/mW',
              },
            ],
            result: spl,
            unit: 'dB SPL',
            source: 'handbook 2-sound, hearing',
          },
          {
            label: 'Time it may be heard',
            formula: '8 h ÷ 2^((L − 85) ÷ 3)',
            inputs: [{ name: 'L', value: spl, unit: 'dB SPL' }],
            result: hours,
            unit: 'h',
            source: 'NIOSH 98-126',
          },
        ]),
    fixes: (measured, { about }) =>
      loud(measured)
        .filter(({ node }) => node.device.id === about.deviceId)
        .flatMap((pair) => quieter(measured, pair)),
  },
);
