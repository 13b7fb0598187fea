import { deviceNameById, nameOfThing } from '../../passes/names';
import { loaded, type Loaded, outlineOf, overlapM, solids, supportSolid } from '../../passes/place';
import type { Measured } from '../../passes/measured';
import { batchFix, eachStandsRule } from '../rule-of';
import { aboutSupport, changeFigures, figuresAs, OVERHEAD_CAUTION } from './supports';

export const unfixed = eachStandsRule<Loaded>(
  'stands.unfixed',
  {
    looksFor: 'Something that hangs from above by one fixing alone.',
    why: 'One fixing that fails lets it fall on whoever is below.',
    remedy: 'Add a second, rated fixing to everything on it, by a competent person.',
    source: 'handbook 5-plan, stands: anything overhead has a second fixing',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const overhead = figuresAs(thing, 'overhead');
      if (!overhead || overhead.hasSecondFixing || thing.loads.length === 0) return null;
      return {
        level: 'stop',
        title: `What hangs on ${thing.support.name} has no second fixing`,
        says:
          `${thing.loads.map(({ deviceId }) => deviceNameById(measured, deviceId)).join(', ')} hang ` +
          `on ${thing.support.name} by one ` +
          `fixing each. If it fails they fall. Add a second, rated one to each. ${OVERHEAD_CAUTION}`,
      };
    },
    fixes: (thing) => {
      const overhead = figuresAs(thing, 'overhead');
      return overhead
        ? [
            batchFix('Add a second, rated fixing to everything on it', [
              changeFigures(thing.id, { ...overhead, hasSecondFixing: true }),
            ]),
          ]
        : [];
    },
  },
);

/** Who sits or stands under a support and what is on it. */
const below = (thing: Loaded, measured: Measured): readonly string[] => {
  const solid = supportSolid(thing.id, thing.support);
  const { figures } = thing.support;
  if (!solid || thing.loads.length === 0) return [];
  const reaches = figures.is === 'overhead' || (figures.is === 'stand' && figures.out !== null);
  if (!reaches) return [];
  const loads = new Set(thing.loads.map(({ deviceId }) => deviceId));
  const { devices, people } = solids(measured);
  const hanging = devices.filter(({ id }) => loads.has(id));
  return people
    .filter((person) =>
      hanging.some(
        (device) =>
          device.fromM >= person.toM - TOUCH_M &&
          overlapM(outlineOf(widened(device)), outlineOf(person)) > 0,
      ),
    )
    .map((person) => nameOfThing(measured, person));
};

/** What is before a face is not over it. @unit m */
const TOUCH_M = 0.02;
/** What falls does not fall straight. @unit m */
const NEAR_M = 0.3;
const widened = <Wide extends { readonly widthM: number; readonly depthM: number }>(
  solid: Wide,
): Wide => ({ ...solid, widthM: solid.widthM + NEAR_M, depthM: solid.depthM + NEAR_M });

export const overPeople = eachStandsRule<Loaded>(
  'stands.over-people',
  {
    looksFor: 'A camera, lamp or microphone on a boom or a grid over somebody’s head.',
    why: 'What comes loose falls on them.',
    remedy: 'A second, rated fixing; checked before every show; stand nobody else under it.',
    source: 'handbook 5-plan, stands: a caution on the mark sheet',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const names = below(thing, measured);
      return names.length === 0
        ? null
        : {
            level: 'note',
            title: `${thing.support.name} hangs over ${names.join(' and ')}`,
            says:
              `${thing.loads.map(({ deviceId }) => deviceNameById(measured, deviceId)).join(', ')} ` +
              `hang over ${names.join(' and ')}. ` +
              'Secure each with a second, rated fixing, tighten the joints before every show, and let ' +
              `nobody stand under it while it is moved. ${OVERHEAD_CAUTION}`,
          };
    },
  },
);
