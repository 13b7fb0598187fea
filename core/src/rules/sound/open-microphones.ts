import type { Measured } from '../../passes/measured';
import { loudnesses, type ProgrammeLoudness } from '../../passes/processing/loudness';
import { microphonesInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { powerSumDb } from '../../units';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** What the room makes of all the microphones in a programme that are open at once, against a voice at its level. */
const together = (
  measured: Measured,
  { open }: ProgrammeLoudness,
): { readonly count: number; readonly leastDb: number; readonly overDb: number } | null => {
  const over = microphonesInRoom(measured).flatMap(({ node, overRoomDb }) =>
    open.has(node) && overRoomDb !== null ? [overRoomDb] : [],
  );
  return over.length < 2
    ? null
    : {
        count: over.length,
        leastDb: Math.min(...over),
        overDb: -powerSumDb(...over.map((db) => -db)),
      };
};

export const openMicrophones = eachSoundRule<ProgrammeLoudness>(
  'sound.open-microphones',
  {
    looksFor:
      'A programme whose open microphones together bring up more of the room than the house ' +
      'rule allows, though each alone does not.',
    why: 'Noise of the room adds up with every open microphone: 3 dB for two, 6 for four, 9 for eight.',
    remedy: 'Close what nobody speaks into: gates, an automatic mixer, or a hand on the faders.',
    source: 'handbook 2-sound, the chain: sums of N channels, +10·log10 N',
  },
  {
    all: loudnesses,
    about: ({ end }) => at({ deviceId: end.id }),
    houseRule: 'voiceOverRoomDb',
    judge: (programme, measured) => {
      const found = together(measured, programme);
      const { voiceOverRoomDb } = measured.rig.houseRules;
      if (!found || found.overDb >= voiceOverRoomDb || found.leastDb < voiceOverRoomDb) return null;
      return {
        level: 'note',
        title: `${found.count} open microphones`,
        says:
          `With ${found.count} microphones open in ${measured.device(programme.end).name}, a voice stands ` +
          `${figure(found.overDb)} dB over the room; alone each has at least ` +
          `${figure(found.leastDb)} dB. Close what nobody speaks into.`,
      };
    },
    sums: (programme, measured) => {
      const found = together(measured, programme);
      return found
        ? [
            {
              label: 'Voice over the room of all open microphones',
              formula: '−10·log10(Σ 10^(−each ÷ 10))',
              inputs: [
                { name: 'microphones', value: found.count, unit: '' },
                { name: 'the least of them alone', value: found.leastDb, unit: 'dB' },
              ],
              result: found.overDb,
              unit: 'dB',
              source: 'handbook 2-sound, sums of channels',
            },
          ]
        : [];
    },
  },
);
