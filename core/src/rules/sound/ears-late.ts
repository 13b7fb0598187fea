import { ears } from '../../passes/hearing';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { at } from '../about';
import { soundRule } from '../rule-of';

/** Fine for playing up to; fine for speech up to. @unit ms @source handbook 4-time-storage */
const PLAYING_MS = 10;
const SPEECH_MS = 15;

export const earsLate = soundRule(
  'sound.ears-late',
  {
    matters: ['ears'],
    looksFor: 'Somebody who hears their own voice late in their headphones.',
    why: 'Above 10 ms playing in time suffers, above 15 ms speech does: people slow down and stumble.',
    remedy: 'Use the direct path of the interface or mixer, not the one through the computer.',
    source: 'handbook 4-time-storage: hearing oneself',
  },
  (measured) =>
    ears(measured).flatMap(({ node, personId, ownVoiceMs }) => {
      if (ownVoiceMs === null || ownVoiceMs <= PLAYING_MS) return [];
      const isSpeech = ownVoiceMs > SPEECH_MS;
      const name =
        (personId === null ? undefined : entry(measured.rig.people, personId)?.name) ??
        measured.device(node.device).name;
      return [
        {
          level: isSpeech ? ('warn' as const) : ('note' as const),
          about: at({ deviceId: node.device.id, portId: node.id }),
          title: `Hears themself ${figure(ownVoiceMs)} ms late`,
          says:
            `${name} hears their own voice ${figure(ownVoiceMs)} ms late in ` +
            `${measured.device(node.device).name}. ` +
            `${isSpeech ? 'They will slow down and stumble.' : 'Fine for speech, late for playing.'} ` +
            'Use the direct path of the interface or mixer.',
        },
      ];
    }),
  {
    sums: (measured, { about }) =>
      ears(measured)
        .filter(({ node }) => node.device.id === about.deviceId)
        .map(({ ownVoiceMs }) => ({
          label: 'Own voice at the ear',
          formula: 'sum of the delays of the fastest way',
          inputs: [{ name: 'fine for speech up to', value: SPEECH_MS, unit: 'ms' }],
          result: ownVoiceMs,
          unit: 'ms',
          source: 'handbook 4-time-storage',
        })),
  },
);
