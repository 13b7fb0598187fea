import { RigDraft } from '../../catalogue/draft';
import { type CableWay, type Lay, rectangle, type Rig } from '../../rig';

/** Rooms with two devices by the wall and a cable between them, for the cases of the rules of cables. */

type Points = readonly (readonly [xM: number, yM: number, zM: number])[];

export const way = (points: Points, more: Partial<CableWay> = {}): Omit<CableWay, 'order'> => ({
  name: 'Way',
  is: 'duct',
  points: points.map(([xM, yM, zM]) => ({ xM, yM, zM })),
  insideMm2: null,
  bendMm: null,
  carries: 'both',
  ...more,
});

interface Room {
  readonly lengthM?: number;
  readonly kind?: 'hdmi' | 'hdmi-optical';
  readonly ways?: readonly Omit<CableWay, 'order'>[];
  readonly lay?: Lay;
  /** Where the display stands, from the switcher at 1, 0 */
  readonly displayAt?: readonly [xM: number, yM: number];
  readonly door?: boolean;
  readonly walkway?: boolean;
  readonly desk?: boolean;
  readonly borrowed?: boolean;
}

/** A switcher and a display on brackets 0.5 m up, by the wall of a room of 8 × 5 × 2.6 m, and a cable between them. */
export const room = ({
  lengthM = 7.5,
  kind = 'hdmi',
  ways = [],
  lay,
  displayAt = [5, 0],
  door = false,
  walkway = false,
  desk = false,
  borrowed = false,
}: Room = {}): Rig => {
  let draft = new RigDraft('Case')
    .do({ type: 'drawRoom', room: { corners: rectangle(8, 5), heightM: 2.6 } })
    .support('one', desk ? 'Desk, 1.4 m' : 'Wall bracket', [1, 0, 0], {
      figures: desk ? { topM: 0.75, lowestM: 0.65, highestM: 1.25 } : { heightM: 0.5 },
    })
    .support('two', 'Wall bracket', [displayAt[0], displayAt[1], 0], { figures: { heightM: 0.5 } })
    .device('switcher', 'switcher-4', { name: 'Switcher' })
    .device('display', 'display-monitor', { name: 'Display' })
    .stand('switcher', 'one')
    .stand('display', 'two')
    .link('switcher.programme', 'display.in', lengthM, kind);
  const [linkId = ''] = Object.keys(draft.build().links);
  for (const [index, cableWay] of ways.entries())
    draft = draft.do({ type: 'addCableWay', cableWayId: `way-${index}`, cableWay });
  if (lay) draft = draft.do({ type: 'layCable', linkId, lay });
  if (borrowed)
    draft = draft.do({
      type: 'setOwnership',
      deviceId: 'display',
      ownership: 'borrowed',
      price: null,
    });
  if (door)
    draft = draft.do({
      type: 'addOpening',
      openingId: 'door',
      opening: {
        name: 'Door',
        what: 'door',
        wall: 0,
        alongM: 3,
        widthM: 0.9,
        bottomM: 0,
        heightM: 2,
        opens: 'in',
      },
    });
  if (walkway)
    draft = draft.do({
      type: 'addWalkway',
      walkwayId: 'aisle',
      walkway: {
        name: 'Aisle',
        from: { xM: 3, yM: -0.2 },
        to: { xM: 3, yM: 4 },
        widthM: 0.8,
      },
    });
  return draft.build();
};

export const reopenable = (dressing: Lay['dressing']): Lay => ({ dressing, keepsOff: false });

const duct = (more: Partial<CableWay>) =>
  way(
    [
      [1, 0.1, 0],
      [5, 0.1, 0],
    ],
    more,
  );
/** Where nothing lies along the walls, a cable takes what is drawn. */
export const inDuct = (more: Partial<CableWay>, of: Room = {}): Rig => {
  const rig = room({ ...of, ways: [duct(more)] });
  return { ...rig, laying: { ...rig.laying, alongWalls: false } };
};
