import type { ShotPlan } from '../../rig';
import { entry } from '../../rig';
import type { Measured } from '../measured';
import { passFor } from '../pass';
import { shotOnPlan } from '../place';
import { faces } from './faces';
import { isLit } from './sources';
import { sightsLit } from './spots';

/** The light on what a shot shows. @unit lux; null where nobody has said anything of light, or of the place */
export const subjectLux = passFor('light on a shot', (measured, shotId: string): number | null => {
  const shot = entry(measured.rig.shots, shotId);
  const onPlan = shotOnPlan(measured, shotId);
  if (!shot || !isLit(measured)) return null;
  const sight = sightsLit(measured).find(({ sightId }) => sightId === shot.sightId);
  if (sight) return sight.lux;
  const ids =
    onPlan?.isOfPeople === true
      ? onPlan.peopleIds
      : shot.personId === null || shot.sightId !== null
        ? []
        : [shot.personId];
  const lit = faces(measured).filter(({ personId }) => ids.includes(personId));
  return lit.length === 0 ? null : lit.reduce((sum, { lux }) => sum + lux, 0) / lit.length;
});

/** A shot with the light that the lamps give where nobody has typed it. What is typed stays, and counts. */
export const withLight = (measured: Measured, shotId: string, shot: ShotPlan): ShotPlan =>
  shot.lightLux === null ? { ...shot, lightLux: subjectLux(measured, shotId) } : shot;
