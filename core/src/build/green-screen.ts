import { analyse } from '../analyse';
import { CannotBuild } from './plan';
import { RigDraft } from '../catalogue/draft';
import { ahead, stepped, wallAheadM } from '../passes/place';
import {
  apply,
  inOrder,
  isInside,
  type Point,
  type Rig,
  type SimpleCommand,
  type Spot,
} from '../rig';
import { type Finding, findingKey } from '../rules';
import { setLight } from '../solve/light/answer';

/** A green screen behind the one who is seen, with its two lamps, a key and a fill, all set. */

/** From the face to the screen; enough that no green comes back. @unit m @source handbook 6-light */
const BEHIND_M = 1.7;
/** The screen's lamps: so far before it and so far aside of its middle. @unit m @source handbook 6-light */
const LAMPS_BEFORE_M = 2;
const LAMPS_ASIDE_M = 1;
/** What is behind a head and shoulders, with room to move. @unit m */
const SCREEN = { widthM: 2, heightM: 1.2, bottomM: 0.9 } as const;
/** Height of its lamps: the middle of the screen. @unit m */
const LAMPS_AT_M = SCREEN.bottomM + SCREEN.heightM / 2;
/** Key and fill beside where the face looks, and how far. @unit degrees, m */
const KEY = { asideDeg: -30, farM: 1.6 } as const;
const FILL = { asideDeg: 42, farM: 1.8 } as const;
/** Height at which key and fill are carried. @unit m */
const KEY_AT_M = 1.95;

const cm = (metres: number): number => Number(metres.toFixed(2));
const spot = ({ xM, yM }: Point, facingDeg: number): Spot => ({
  xM: cm(xM),
  yM: cm(yM),
  facingDeg: ((facingDeg % 360) + 360) % 360,
});

/** Stands a lamp somewhere. @param heightM of its stand */
const lamp = (
  draft: RigDraft,
  id: string,
  classId: string,
  name: string,
  at: Spot,
  heightM: number,
) =>
  draft
    .support(`${id}-stand`, 'Stand, light', [at.xM, at.yM, at.facingDeg], {
      name: `${name}’s stand`,
      figures: { heightM },
    })
    .device(id, classId, { name })
    .stand(id, `${id}-stand`);

/** The first who is seen and stands in the room. */
const seenIn = (rig: Rig): { readonly personId: string; readonly at: Spot | null } | undefined => {
  const found = inOrder(rig.people).find(
    ([, { at, where, shot }]) => at !== null && where === 'on site' && shot !== null,
  );
  return found && { personId: found[0], at: found[1].at };
};

/** Everything carried along the plan together. */
const carried = (rig: Rig, by: Point): Rig => {
  const moved = (at: Spot): Spot => ({ ...at, xM: cm(at.xM + by.xM), yM: cm(at.yM + by.yM) });
  const commands: SimpleCommand[] = [
    ...inOrder(rig.people).flatMap(([personId, { at }]): SimpleCommand[] =>
      at ? [{ type: 'changePerson', personId, person: { at: moved(at) } }] : [],
    ),
    ...inOrder(rig.supports).flatMap(([supportId, { at, figures }]): SimpleCommand[] =>
      at && figures.is !== 'wall'
        ? [{ type: 'changeSupport', supportId, support: { at: moved(at) } }]
        : [],
    ),
    ...inOrder(rig.devices).flatMap(([deviceId, { at, aim }]): SimpleCommand[] =>
      at ? [{ type: 'placeDevice', deviceId, at: moved(at), aim }] : [],
    ),
  ];
  return apply(rig, { type: 'batch', label: 'Made room for the screen', commands });
};

/** Left between a screen and the wall behind it. @unit m */
const OFF_WALL_M = 0.1;

/** The rig with room enough behind somebody: all of it carried forward where that is needed. */
const withRoomBehind = (rig: Rig, at: Spot): Rig => {
  const behind = wallAheadM(rig.shell?.corners ?? [], at, at.facingDeg + 180);
  const shortM = BEHIND_M + OFF_WALL_M - (behind ?? Infinity);
  return shortM > 0 ? carried(rig, stepped({ xM: 0, yM: 0 }, at.facingDeg, shortM)) : rig;
};

const INSTEAD = 'leave the background as it is';

/** What presses in a rig that did not before: a tripod outside the walls, a lamp in somebody’s picture. */
const broughtBy = (before: Rig, after: Rig): Finding | undefined => {
  const known = new Set(analyse(before).findings.map(findingKey));
  return analyse(after).findings.find(
    (finding) => finding.level !== 'note' && !known.has(findingKey(finding)),
  );
};

/**
 * The rig with a green screen behind the first person who is seen and stands in the room.
 * @throws CannotBuild where there is nobody, no room for a screen behind them, or where its lamps and the room
 * it takes would spoil what was built
 */
export const withGreenScreen = (built: Rig): Rig => {
  const lit = litBefore(built);
  const brought = broughtBy(built, lit);
  if (brought)
    throw new CannotBuild(
      `A green screen does not fit into this show. ${brought.says} Let fewer people be seen, or ${INSTEAD}.`,
    );
  return lit;
};

const litBefore = (built: Rig): Rig => {
  const stands = seenIn(built);
  const rig = stands?.at ? withRoomBehind(built, stands.at) : built;
  const seen = seenIn(rig);
  const at = seen?.at ?? null;
  const corners = rig.shell?.corners;
  if (!seen || !at || !corners)
    throw new CannotBuild(
      `Nobody who is seen stands in a room that is drawn. Let someone be seen, or ${INSTEAD}.`,
    );
  const { personId } = seen;
  const middle = spot(stepped(at, at.facingDeg + 180, BEHIND_M), at.facingDeg);
  const places = {
    left: ahead(middle, -LAMPS_ASIDE_M, LAMPS_BEFORE_M),
    right: ahead(middle, LAMPS_ASIDE_M, LAMPS_BEFORE_M),
    key: stepped(at, at.facingDeg + KEY.asideDeg, KEY.farM),
    fill: stepped(at, at.facingDeg + FILL.asideDeg, FILL.farM),
  };
  const edges = [-0.5, 0.5].map((side) => ahead(middle, side * SCREEN.widthM, 0));
  if (![...edges, ...Object.values(places)].every((point) => isInside(corners, point)))
    throw new CannotBuild(
      `The room has no place for a green screen ${BEHIND_M} m behind the one who is seen, and its lamps. Use a ` +
        `larger room, or ${INSTEAD}.`,
    );
  const draft = new RigDraft(rig.name, rig).do({
    type: 'addBackdrop',
    backdropId: 'green-screen',
    backdrop: {
      name: 'Green screen',
      is: 'green screen',
      at: middle,
      ...SCREEN,
      reflects: 0.3,
      hue: 'green',
      mostLux: null,
    },
  });
  const back = at.facingDeg + 180;
  for (const [side, name] of [
    ['left', 'Screen lamp, left'],
    ['right', 'Screen lamp, right'],
  ] as const) {
    lamp(draft, `screen-${side}`, 'light-flood', name, spot(places[side], back), LAMPS_AT_M - 0.09);
    draft.lamp(`screen-${side}`, { at: 'turned', downDeg: 0 });
  }
  lamp(draft, 'key', 'light-panel', 'Key', spot(places.key, back + KEY.asideDeg), KEY_AT_M);
  lamp(draft, 'fill', 'light-panel', 'Fill', spot(places.fill, back + FILL.asideDeg), KEY_AT_M);
  for (const id of ['key', 'fill']) draft.lamp(id, { at: 'person', personId }, 'Diffuser');
  const lit = draft.build();
  const answer = setLight(analyse(lit), { aim: 'power' });
  return answer?.isMet && answer.commands.length > 0
    ? answer.commands.reduce((now, command) => new RigDraft(rig.name, now).do(command).build(), lit)
    : lit;
};
