import { sourceOf, type Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { pauseSnrDb, snrDb } from '../../passes/sound';
import { explainSnr } from '../../passes/sound/noise-sums';
import { voices } from '../../passes/sound/ladder';
import { figure } from '../../passes/sum';
import { atStage } from '../about';
import { eachSoundRule } from '../rule-of';

/** This far under the house rule, the hiss between the words is heard by everybody. @unit dB */
const HEARD_DB = 10;

const ratios = (
  measured: Measured,
  { index }: Stage,
): { readonly speechDb: number; readonly pauseDb: number; readonly pressedDb: number } | null => {
  const figures = measured.sound[index];
  const speechDb = figures ? snrDb(figures) : null;
  const pauseDb = figures ? pauseSnrDb(figures) : null;
  return !figures || speechDb === null || pauseDb === null || figures.pressedDb <= 0
    ? null
    : { speechDb, pauseDb, pressedDb: figures.pressedDb };
};

export const pauseNoise = eachSoundRule<Stage>(
  'sound.pause-noise',
  {
    looksFor:
      'A compressed voice that stands over the hiss while it speaks, and whose hiss comes up in the ' +
      'pauses past the house rule.',
    why: 'A compressor lowers the voice, not the hiss in the gaps: it pumps up between the words.',
    remedy:
      'Press less, or press the recording later; a gate or expander before it helps in the gaps.',
    source: 'handbook 2-sound, pauses: SNR − gain reduction at the voice’s average',
  },
  {
    all: voices,
    about: (stage) =>
      atStage(stage, { deviceId: sourceOf(stage).at.device.id, portId: stage.parent?.at.id }),
    houseRule: 'minimumSnrDb',
    judge: (stage, measured) => {
      const found = ratios(measured, stage);
      const asked = measured.rig.houseRules.minimumSnrDb;
      if (!found || found.speechDb < asked || found.pauseDb >= asked) return null;
      return {
        level: found.pauseDb < asked - HEARD_DB ? 'warn' : 'note',
        title: `${figure(found.pauseDb)} dB over the hiss in pauses`,
        says:
          `${measured.device(sourceOf(stage).at.device).name} stands ${figure(found.speechDb)} dB over the hiss in ` +
          `speech, and ${figure(found.pauseDb)} dB in pauses: the compressor takes ${figure(found.pressedDb)} dB off ` +
          `the voice and nothing off the hiss. The house rule asks for ${figure(asked, 0)} dB. Press less.`,
      };
    },
    sums: (stage, measured) => explainSnr(measured, stage),
  },
);
