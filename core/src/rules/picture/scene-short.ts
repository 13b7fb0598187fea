import type { Measured } from '../../passes/measured';
import { type SceneMade, scenesMade, type Short } from '../../passes/programme/scenes';
import type { About } from '../about';

/** Scenes that lack one of some resources, the first lack of each. */
export const shortOf = (
  measured: Measured,
  resources: readonly Short['resource'][],
): { made: SceneMade; short: Short }[] =>
  scenesMade(measured).flatMap((made) =>
    made.short
      .filter(({ resource }) => resources.includes(resource))
      .slice(0, 1)
      .map((short) => ({ made, short })),
  );

/** What a finding about a scene points at. */
export const aboutScene = (sceneId: string, { deviceId }: Short): About => ({
  kind: 'scene',
  sceneId,
  ...(deviceId === null ? {} : { deviceId }),
});
