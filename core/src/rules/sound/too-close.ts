import { BASS_HZ, proximityDb } from '../../passes/sound/pattern';
import { figure } from '../../passes/sum';
import { microphoneRule } from '../rule-of';
import { movedTo } from './in-room';
import { NEAREST_TO_MOUTH_M } from './in-room';

const BETTER_M = 0.06;

export const tooClose = microphoneRule(
  'sound.too-close',
  {
    matters: ['microphone in room'],
    looksFor: 'A directional microphone nearer to the mouth than 4 cm.',
    why: 'Breath and lips thump, the bass swells, and a turn of the head changes the level by several decibels.',
    remedy: 'Keep a hand’s width, or put foam or a screen before it.',
    source: 'typical: proximity of directional microphones',
  },
  {
    judge: ({ node, pattern, distanceM, personId }, measured) =>
      distanceM === null ||
      personId === null ||
      pattern === null ||
      pattern === 'omni' ||
      pattern === 'half space' ||
      distanceM >= NEAREST_TO_MOUTH_M
        ? null
        : {
            level: 'note',
            title: `${figure(distanceM * 100, 0)} cm from the mouth`,
            says:
              `${measured.device(node.device).name} is ${figure(distanceM * 100, 0)} cm from the mouth: ` +
              `breath thumps and the bass swells by ${figure(proximityDb(pattern, distanceM))} dB ` +
              `at ${BASS_HZ} Hz. Keep ${figure(BETTER_M * 100, 0)} cm, or put foam or a screen before it.`,
          },
    sums: ({ pattern, distanceM }) =>
      pattern === null || distanceM === null
        ? []
        : [distanceM, BETTER_M].map((at) => ({
            label: `Bass from ${figure(at * 100, 0)} cm`,
            formula: '20·log10|1 − j·(1 − a)·c/(2πfr)|',
            inputs: [
              { name: 'pattern', value: pattern, unit: '' },
              { name: 'f', value: BASS_HZ, unit: 'Hz' },
              { name: 'r', value: at, unit: 'm' },
            ],
            result: proximityDb(pattern, at),
            unit: 'dB',
            source: 'handbook 2-sound, more relations',
          })),
    fixes: ({ node }, measured) => {
      const source = node.port.emits?.sound;
      return source?.type === 'microphone'
        ? [movedTo(measured, { node }, source.distanceControl, BETTER_M)]
        : [];
    },
  },
);
