import { voiceSources } from '../../passes/coverage/threads';
import type { Framed } from '../../passes/framing';
import type { Measured } from '../../passes/measured';
import { entry, numberSetting, switchSetting } from '../../rig';
import { setFix, shotRule } from '../rule-of';

/** Distance at which the noise of a focus motor is stated. @unit m */
const STATED_AT_M = 0.3;

/** How far the talker's voice stands above the motor at their own microphone. @returns null where it cannot be told */
const standsAbove = (
  { shot, camera, device }: Framed,
  measured: Measured,
): { db: number; noiseDba: number; voiceDb: number } | null => {
  if (
    !camera?.focusNoise ||
    !switchSetting(device, camera.focusNoise.control) ||
    shot.personId === null ||
    shot.distanceM === null
  )
    return null;
  const person = entry(measured.rig.people, shot.personId);
  const distances = voiceSources(measured, shot.personId)
    .flatMap((node) =>
      node.ports.values().flatMap(({ port }) => {
        const sound = port.emits?.sound;
        return sound?.type === 'microphone'
          ? [numberSetting(measured.device(node), sound.distanceControl) ?? 0]
          : [];
      }),
    )
    .filter((m) => m > 0);
  if (!person || distances.length === 0) return null;
  // The camera stands about as far from the microphone as from the face.
  const noiseDba = camera.focusNoise.dbaSpl - 20 * Math.log10(shot.distanceM / STATED_AT_M);
  const voiceDb = person.speechDbSpl - 20 * Math.log10(Math.min(...distances));
  return { db: voiceDb - noiseDba, noiseDba, voiceDb };
};

export const focusNoise = shotRule(
  'picture.focus-noise',
  {
    looksFor: 'An autofocus motor that is heard by the microphone of whoever is in the shot.',
    why: 'It ticks in the pauses, and no gate takes out what comes with the voice.',
    remedy:
      'Set the focus once and switch autofocus off, move the microphone nearer, or the camera away.',
    source: 'handbook 3-picture, cameras; 20 dB for ten times the distance',
  },
  (framing, measured) => {
    const stands = standsAbove(framing, measured);
    return stands === null || stands.db >= measured.rig.houseRules.minimumSnrDb
      ? null
      : {
          level: 'warn',
          title: 'The focus motor is heard',
          says:
            `The voice stands only ${stands.db.toFixed(1)} dB above the focus motor of ` +
            `${framing.device.name} at the microphone. Set the focus and switch autofocus off.`,
        };
  },
  {
    sums: (framing, measured) => {
      const stands = standsAbove(framing, measured);
      return stands
        ? [
            {
              label: 'Voice above focus motor',
              formula: 'voice at the microphone − motor at the microphone',
              inputs: [
                { name: 'voice', value: stands.voiceDb, unit: 'dB SPL' },
                { name: 'motor', value: stands.noiseDba, unit: 'dB(A) SPL' },
              ],
              result: stands.db,
              unit: 'dB',
              source: 'inverse distance',
            },
          ]
        : [];
    },
    fixes: ({ device, shot, camera }) =>
      camera?.focusNoise
        ? [
            setFix(
              `Switch autofocus of ${device.name} off`,
              shot.deviceId,
              camera.focusNoise.control,
              false,
            ),
          ]
        : [],
  },
);
