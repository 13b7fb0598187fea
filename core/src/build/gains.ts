import { measure } from '../passes/measure';
import { adjustableGains, conversions, steppedGain } from '../passes/sound/gains';
import { voiceTargetDbfs } from '../passes/sound';
import { apply, type Rig } from '../rig';

/** Closer to the target than this is as good as the steps allow. @unit dB */
const CLOSE_DB = 0.5;

/**
 * Sets the gains of a new rig for the house level. Voices with the fewest knobs on their way come
 * first: the preamps into the computer, then what
 * stands behind them, measured anew each time. A knob that several voices share is set for the
 * first of them, and the others by what is left on
 * their own way.
 */
export const setGains = (begin: Rig): Rig => {
  let measured = measure(begin);
  const taken = new Set<string>();
  // Places keep their order from edit to edit: a gain changes levels, never ways.
  const order = conversions(measured)
    .map((stage, place) => ({ place, knobs: adjustableGains(measured, stage).length }))
    .sort((a, b) => a.knobs - b.knobs);
  for (const { place } of order) {
    const stage = conversions(measured)[place];
    const figures = stage && measured.sound[stage.index];
    const level = figures?.levelDb;
    if (!stage || !figures || level === null || level === undefined) continue;
    let missing = voiceTargetDbfs(begin.houseRules, figures) - level;
    let { rig } = measured;
    for (const { stage: at, gain, control } of adjustableGains(measured, stage)) {
      const key = `${at.at.device.id}.${control}`;
      if (taken.has(key)) continue;
      taken.add(key);
      const value = steppedGain(gain.gainDb + missing, gain);
      missing -= value - gain.gainDb;
      if (value !== gain.gainDb)
        rig = apply(rig, { type: 'setControl', deviceId: at.at.device.id, control, value });
      if (Math.abs(missing) < CLOSE_DB) break;
    }
    if (rig !== measured.rig) measured = measure(rig);
  }
  return measured.rig;
};
