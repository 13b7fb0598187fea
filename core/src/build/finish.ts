import { type Analysis, analyse, reanalyse } from '../analyse';
import { type Progress, setForAll } from '../edits/gain/set';
import { apply, type Rig, type SimpleCommand, USUAL_LENSES, freeId, inOrder } from '../rig';
import { placeAll, zooms } from '../solve/placing/place';
import { BEGINNINGS, type Beginning } from './rooms';
import { settle } from './settle';

/** More people than this want more floor than the smaller room has. */
const FEW_PEOPLE = 4;

const roomFor = (people: number): Beginning | undefined =>
  BEGINNINGS.find(({ name }) => name === (people <= FEW_PEOPLE ? 'Loft' : 'Shed'));

const done = (analysis: Analysis, label: string, commands: readonly SimpleCommand[]): Analysis =>
  commands.length === 0
    ? analysis
    : reanalyse(analysis, apply(analysis.rig, { type: 'batch', label, commands: [...commands] }));

/** A usual room, and everybody and everything placed in it. */
const inRoom = (rig: Rig, onProgress: Progress): Analysis => {
  const here = Object.values(rig.people).filter(({ where }) => where === 'on site').length;
  const room = here > 0 ? roomFor(here) : undefined;
  const begin = analyse(rig);
  if (!room) return begin;
  const drawn = done(begin, 'Drew a usual room.', room.commands);
  const placing = placeAll(drawn, onProgress);
  return done(drawn, 'Placed everything.', placing?.commands ?? []);
};

/** Every gain by the search of "set it for me". */
const withGains = (analysis: Analysis): Analysis =>
  done(analysis, 'Set every gain.', setForAll(analysis).commands);

/** What a camera needs that another has built in: a lens that frames its shot, and a clean output. */
export const withLenses = (analysis: Analysis): Analysis => {
  const bare = inOrder(analysis.rig.devices).filter(
    ([, { model, lensId }]) => model.camera?.mount !== undefined && lensId === null,
  );
  let now = analysis;
  for (const [deviceId, { model }] of bare) {
    const [lens] = USUAL_LENSES.filter(
      ({ mount, focal }) => mount === model.camera?.mount && focal.shortestMm < focal.longestMm,
    ).sort((a, b) => (a.price ?? 0) - (b.price ?? 0));
    if (!lens) continue;
    const lensId = freeId(`${deviceId}-lens`, now.rig.lenses);
    now = done(now, 'Put lenses on.', [
      { type: 'addLens', lensId, lens },
      { type: 'mountLens', deviceId, lensId },
      ...(model.controls['overlays-off']
        ? [
            {
              type: 'setControl' as const,
              deviceId,
              control: 'overlays-off',
              value: true,
            },
          ]
        : []),
    ]);
  }
  return bare.length === 0 ? now : done(now, 'Framed the shots.', zooms(now));
};

/**
 * Places, gains, and whatever remedies stops and warnings still want.
 * @param onProgress of placing, which takes longest
 */
export const finish = (rig: Rig, onProgress: Progress): Analysis =>
  settle(withGains(inRoom(rig, onProgress)));
