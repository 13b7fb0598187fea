import { sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { type Gate, processors } from '../../passes/processing';
import { type About, atStage } from '../about';

/** Gates that are switched in, one for each voice that passes them. */
export const gates = (measured: Measured): Gate[] =>
  processors(measured).filter(
    (processor): processor is Gate => processor.does === 'gate' && processor.isIn,
  );

export const aboutGate = ({ deviceId, voice }: Gate): About => atStage(voice, { deviceId });
export const voiceName = (measured: Measured, { voice }: { voice: Gate['voice'] }): string =>
  measured.device(sourceOf(voice).at.device).name;
