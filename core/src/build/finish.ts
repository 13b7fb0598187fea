import { type Analysis, analyse, reanalyse } from '../analyse';
import { type Progress, setForAll } from '../edits/gain/set';
import {
  apply,
  entry,
  numberSetting,
  type Rig,
  type SimpleCommand,
  USUAL_LENSES,
  freeId,
  inOrder,
} from '../rig';
import { placeAll, zooms } from '../solve/placing/place';
import { setsOf, solveTiming } from '../solve/timing';
import type { Answers } from './answers';
import { BEGINNINGS, type Beginning } from './rooms';
import { settle } from './settle';

/** More people than this want more floor than the smaller room has. */
const FEW_PEOPLE = 4;

/** Rooms to try, the first that everything stands in without a complaint. */
const roomsFor = (answered: Answers['usualRoom'], people: number): Beginning[] => {
  const names =
    answered !== 'to fit'
      ? [answered]
      : people <= FEW_PEOPLE
        ? ['Loft', 'Shed', 'Hall']
        : ['Shed', 'Hall'];
  return names.flatMap((wanted) => BEGINNINGS.filter(({ name }) => name === wanted));
};

const done = (analysis: Analysis, label: string, commands: readonly SimpleCommand[]): Analysis =>
  commands.length === 0
    ? analysis
    : reanalyse(analysis, apply(analysis.rig, { type: 'batch', label, commands: [...commands] }));

/** A usual room, and everybody and everything placed in it. */
const inRoom = (rig: Rig, usualRoom: Answers['usualRoom'], onProgress: Progress): Analysis => {
  const here = Object.values(rig.people).filter(({ where }) => where === 'on site').length;
  const begin = analyse(rig);
  let first: Analysis | undefined;
  for (const room of here > 0 ? roomsFor(usualRoom, here) : []) {
    const drawn = done(begin, 'Drew a usual room.', room.commands);
    const placing = placeAll(drawn, onProgress);
    const placed = done(drawn, 'Placed everything.', placing?.commands ?? []);
    if (!isCrowded(placed)) return placed;
    first ??= placed;
  }
  return first ?? begin;
};

/** What no remedy mends once everything stands: things in one another, or in a picture. */
const isCrowded = ({ causes }: Analysis): boolean =>
  causes.some(
    ({ finding: { area, level, code } }) =>
      level !== 'note' && (area === 'stands' || (area === 'place' && code !== 'place.rings-long')),
  );

/** Every gain by the search of "set it for me". */
export const withGains = (analysis: Analysis): Analysis =>
  done(analysis, 'Set every gain.', setForAll(analysis).commands);

/** Every delay so that sound and picture meet. */
export const withDelays = (analysis: Analysis): Analysis => {
  const solution = solveTiming(analysis);
  const commands = solution ? setsOf(solution) : [];
  return commands.length === 0 ? analysis : done(analysis, 'Set every delay.', commands);
};

/** A lens cannot be opened wider than it is. @param widest its f-number */
const openedTo = (rig: Rig, deviceId: string, widest: number): SimpleCommand[] => {
  const device = entry(rig.devices, deviceId);
  const opened = device && numberSetting(device, 'f-number');
  return opened !== undefined && opened < widest
    ? [{ type: 'setControl', deviceId, control: 'f-number', value: widest }]
    : [];
};

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
      ...openedTo(now.rig, deviceId, lens.widest),
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
 * Places, gains, delays, and whatever remedies stops and warnings still want.
 * @param onProgress of placing, which takes longest
 */
export const finish = (
  rig: Rig,
  { usualRoom }: Pick<Answers, 'usualRoom'>,
  onProgress: Progress,
): Analysis => settle(withDelays(withGains(inRoom(rig, usualRoom, onProgress))));
