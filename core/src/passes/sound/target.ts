import { type HouseRules, levelTarget } from '../../rig';
import { SINE_CREST_DB, type SoundFigures } from '../figures/sound';

/**
 * Highest peak the house allows at a converter: the school's, or what its headroom leaves, whichever
 * is lower. @unit dBFS
 */
export const peakCeilingDbfs = (rules: HouseRules): number =>
  Math.min(levelTarget(rules).peakDbfs, -rules.headroomDb);

/**
 * Where a voice's average should stand at its converter: `min(average, peak ceiling − crest + 3.01)`.
 * A voice of a large crest is set lower, and that is right so.
 * @param crestDb peak over RMS at the converter, dB @returns dBFS @source handbook 2-sound, setting the gains
 */
export const voiceTargetDbfs = (rules: HouseRules, { crestDb }: Pick<SoundFigures, 'crestDb'>) =>
  Math.min(levelTarget(rules).averageDbfs, peakCeilingDbfs(rules) - crestDb + SINE_CREST_DB);
