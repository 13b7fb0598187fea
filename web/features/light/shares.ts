import type { Analysis, LightSource } from '@echo-loom/core';
import { lightSources, roomLuxOf, litRoom } from '@echo-loom/core';

/** Dimmers as somebody drags them: laid over what the rig says until the hand lets go. */
export type Shares = Readonly<Partial<Record<string, number>>>;

export const NONE: Shares = {};

/** What a source is turned up to, 0 to 1. */
export const shareOf = ({ id, share }: LightSource, shares: Shares): number => shares[id] ?? share;

/** What the walls send back with dimmers as they are dragged. @unit lux */
export const roomAt = (analysis: Analysis, shares: Shares): number => {
  const room = litRoom(analysis);
  return lightSources(analysis).reduce(
    (sum, source) => sum + shareOf(source, shares) * roomLuxOf(room, source),
    0,
  );
};

/** Lux as findings say it: whole. */
export const luxText = (lux: number): string => Math.round(lux).toLocaleString('en-GB');

/** Stops with their sign. */
export const stopsText = (stops: number, digits = 1): string => {
  const text = Math.abs(stops).toFixed(digits);
  return `${Number(text) === 0 ? '±' : stops < 0 ? '−' : '+'}${text}`;
};
