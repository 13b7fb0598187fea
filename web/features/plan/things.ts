import {
  type Analysis,
  entry,
  inOrder,
  type Rig,
  type SimpleCommand,
  sizeOf,
  type Spot,
  stood,
  deviceNameById,
} from '@echo-loom/core';
import { putLaid } from './laid-things';
import { POINT, type Thing, type ThingKind, tidy } from './thing';

/** Everything on the plan, and the edits that put it somewhere else. */

const keyOf = (kind: ThingKind, id: string): string => `${kind}:${id}`;

/** What a device that stands on it does when it is dragged: it shifts on the surface, or takes all along. */
const shiftsOn = (is: string | undefined): boolean =>
  is === 'desk' || is === 'overhead' || is === 'rack';

/** The corners of the room, in their order, as things that can be moved. */
export const cornersOf = ({ rig: { shell } }: Pick<Analysis, 'rig'>): readonly Thing[] =>
  (shell?.corners ?? []).map((corner, index) => ({
    ...POINT,
    key: keyOf('corner', String(index)),
    kind: 'corner',
    id: String(index),
    name: `Corner ${index + 1}`,
    at: { ...corner, facingDeg: 0 },
  }));

/** Everything on the plan, what lies lowest first. */
export const thingsOf = (analysis: Analysis): readonly Thing[] => {
  const { people, noises, supports, brief } = analysis.rig;
  return [
    ...inOrder(supports).flatMap(([id, { at, name, figures, onId }]): Thing[] =>
      at
        ? [
            {
              key: keyOf('support', id),
              kind: 'support',
              id,
              name,
              at,
              size: sizeOf(figures),
              isRound: figures.is === 'stand',
              on: onId,
              moves: true,
              turns: true,
              hangs: figures.is === 'overhead',
            },
          ]
        : [],
    ),
    ...stood(analysis).map((device): Thing => {
      const support =
        device.supportId === null ? undefined : entry(supports, device.supportId)?.figures.is;
      const placed = entry(analysis.rig.devices, device.id);
      return {
        key: keyOf('device', device.id),
        kind: 'device',
        id: device.id,
        name: deviceNameById(analysis, device.id),
        at: device.spot,
        size: device.body && { widthM: device.body.widthM, depthM: device.body.depthM },
        isRound: false,
        on: device.supportId,
        moves: shiftsOn(support) || support === 'stand' || placed?.at !== null,
        turns: shiftsOn(support) || placed?.at !== null,
        hangs: false,
      };
    }),
    ...inOrder(noises).flatMap(([id, { at, name }]): Thing[] =>
      at
        ? [
            {
              ...POINT,
              key: keyOf('noise', id),
              kind: 'noise',
              id,
              name,
              at: { ...at, facingDeg: 0 },
            },
          ]
        : [],
    ),
    ...inOrder(brief?.sights ?? {}).flatMap(([id, { at, name }]): Thing[] =>
      at
        ? [
            {
              ...POINT,
              key: keyOf('sight', id),
              kind: 'sight',
              id,
              name,
              at: { xM: at.xM, yM: at.yM, facingDeg: 0 },
            },
          ]
        : [],
    ),
    ...inOrder(people).flatMap(([id, { at, name, where }]): Thing[] =>
      at && where === 'on site'
        ? [{ ...POINT, key: keyOf('person', id), kind: 'person', id, name, at, turns: true }]
        : [],
    ),
  ];
};

const turned = (degrees: number): number => ((Math.round(degrees) % 360) + 360) % 360;

/** The edit that puts something at a place, turned as it is said there. */
export const putAt = (rig: Rig, thing: Thing, spot: Spot): SimpleCommand[] => {
  const { kind, id, at: before } = thing;
  const at = { xM: tidy(spot.xM), yM: tidy(spot.yM), facingDeg: turned(spot.facingDeg) };
  switch (kind) {
    case 'person':
      return [{ type: 'changePerson', personId: id, person: { at } }];
    case 'noise':
      return [{ type: 'changeNoise', noiseId: id, noise: { at: { xM: at.xM, yM: at.yM } } }];
    case 'sight': {
      const sight = entry(rig.brief?.sights ?? {}, id);
      return sight?.at
        ? [
            {
              type: 'changeSight',
              sightId: id,
              sight: { at: { xM: at.xM, yM: at.yM, zM: sight.at.zM } },
            },
          ]
        : [];
    }
    case 'support':
      return [
        { type: 'changeSupport', supportId: id, support: { at } },
        ...clampedTo(rig, id, before, at),
      ];
    case 'device':
      return putDevice(rig, id, before, at);
    case 'way':
    case 'feed':
      return putLaid(rig, thing, at);
    case 'corner':
      return rig.shell
        ? [
            {
              type: 'drawRoom',
              room: {
                heightM: rig.shell.heightM,
                corners: rig.shell.corners.map((corner, index) =>
                  String(index) === id ? { xM: at.xM, yM: at.yM } : { ...corner },
                ),
              },
            },
          ]
        : [];
  }
};

/** A point that goes along when something is moved and turned. */
const carried = (point: Spot, from: Spot, to: Spot): Spot => {
  const turn = ((to.facingDeg - from.facingDeg) * Math.PI) / 180;
  const [dx, dy] = [point.xM - from.xM, point.yM - from.yM];
  return {
    xM: tidy(to.xM + dx * Math.cos(turn) + dy * Math.sin(turn)),
    yM: tidy(to.yM - dx * Math.sin(turn) + dy * Math.cos(turn)),
    facingDeg: turned(point.facingDeg + to.facingDeg - from.facingDeg),
  };
};

/** Arms go where the desk goes that they are clamped to. */
const clampedTo = (rig: Rig, deskId: string, from: Spot, to: Spot): SimpleCommand[] =>
  inOrder(rig.supports).flatMap(([id, { at, onId }]): SimpleCommand[] =>
    at && onId === deskId
      ? [{ type: 'changeSupport', supportId: id, support: { at: carried(at, from, to) } }]
      : [],
  );

const putDevice = (rig: Rig, id: string, before: Spot, at: Spot): SimpleCommand[] => {
  const device = entry(rig.devices, id);
  if (!device) return [];
  const support = device.on ? entry(rig.supports, device.on.supportId) : undefined;
  if (!device.on || !support?.at)
    return [{ type: 'placeDevice', deviceId: id, at, aim: device.aim }];
  if (support.figures.is === 'stand') {
    const moved = {
      ...support.at,
      xM: tidy(support.at.xM + at.xM - before.xM),
      yM: tidy(support.at.yM + at.yM - before.yM),
    };
    return [{ type: 'changeSupport', supportId: device.on.supportId, support: { at: moved } }];
  }
  const turn = (support.at.facingDeg * Math.PI) / 180;
  const [dx, dy] = [at.xM - support.at.xM, at.yM - support.at.yM];
  return [
    {
      type: 'standDevice',
      deviceId: id,
      on: {
        ...device.on,
        xM: tidy(dx * Math.cos(turn) - dy * Math.sin(turn)),
        yM: tidy(dx * Math.sin(turn) + dy * Math.cos(turn)),
        turnDeg: turned(at.facingDeg - support.at.facingDeg),
      },
    },
  ];
};
