import type { Measured } from '../passes/measured';
import { nameOfThing } from '../passes/names';
import { counterweightKg, type Loaded } from '../passes/place';
import { fieldDeg, type View } from '../passes/view';
import type { Report } from './form';

/** Where a counterweight hangs where nobody has hung one. @unit m */
const COUNTER_AT_M = 0.5;

export const supportReport = ({
  id,
  support: { name, figures },
  loadKg,
  heatW,
  tipping,
  armM,
}: Loaded): Report['supports'][number] => ({
  id,
  name,
  loadKg,
  heatW,
  armM,
  tipping: tipping && {
    edgeM: tipping.edgeM,
    overturning: tipping.overturning,
    restoring: tipping.restoring,
    factor: Number.isFinite(tipping.factor) ? tipping.factor : null,
    bagKg: tipping.bagKg,
    counterweightKg: counterweightKg(
      tipping.pulls.filter(({ atM }) => atM > 0),
      figures.is === 'stand' && figures.counterAtM > 0 ? figures.counterAtM : COUNTER_AT_M,
    ),
  },
});

export const viewReport = (
  measured: Measured,
  { shotId, framing, camera, shown, hidden }: View,
): Report['views'][number] => ({
  shotId,
  device: framing.shot.deviceId,
  fieldDeg: [fieldDeg(camera.halfWidth), fieldDeg(camera.halfHeight)],
  distanceM: framing.shot.distanceM,
  backgroundM: framing.shot.backgroundM,
  shown: shown.map(({ solid, depthM, asideM, outByM, isSubject }) => ({
    what: solid.of,
    id: solid.id,
    name: nameOfThing(measured, solid),
    depthM,
    asideM,
    asideDeg: (Math.atan2(Math.abs(asideM), depthM) * 180) / Math.PI,
    outByM,
    isSubject,
  })),
  hidden: hidden.map(({ personId, by }) => ({ personId, by: nameOfThing(measured, by) })),
});
