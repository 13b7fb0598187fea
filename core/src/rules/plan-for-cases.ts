import { classById } from '../catalogue';
import { RigDraft } from '../catalogue/draft';
import { rectangle, type Rig, type SimpleCommand } from '../rig';

/** Rigs that stand somewhere, for the cases of the plan's rules and passes. */

/** A room of 6 × 5 × 2.6 m. */
export const ROOM: SimpleCommand = {
  type: 'drawRoom',
  room: { corners: rectangle(6, 5), heightM: 2.6 },
};

export const having = (draft: RigDraft, ...commands: readonly SimpleCommand[]): Rig =>
  commands.reduce((given, command) => given.do(command), draft).build();

/** A room with one host in it, who looks up the plan. */
export const roomWithHost = (xM = 3, yM = 1): RigDraft =>
  new RigDraft('Case').do(ROOM).person('host', 'Host', { at: { xM, yM, facingDeg: 0 } });

/**
 * The handbook's camera: 35 mm on 35.6 × 20.03 mm, level, at the host's eyes, so far before them.
 * @param distanceM lens to eyes
 */
export const roomWithCamera = (distanceM = 3.6): RigDraft =>
  roomWithHost()
    .device('camera', 'camera-full-frame', {
      name: 'Camera',
      person: 'host',
      settings: { 'focal-length': 35, format: '1920x1080p25' },
    })
    .do({
      type: 'placeDevice',
      deviceId: 'camera',
      at: { xM: 3, yM: 1 + distanceM, facingDeg: 180 },
      aim: null,
    })
    .do({ type: 'raiseDevice', deviceId: 'camera', heightM: 1.2 })
    .shot('camera', { personId: 'host', wanted: 'whole' });

/**
 * The handbook's boom: head of 1.9 kg at 1.40 m, arm of 1.6 kg at 0.60 m, stand of 5.2 kg on three
 * feet of 0.84 m. @source handbook 5-plan, stands
 */
export const boom = (headKg = 1.9, more: object = {}): RigDraft =>
  new RigDraft('Case')
    .support('boom', 'Boom stand', [2, 2, 0], { figures: more })
    .device('head', 'camera-ptz', { name: 'Head' })
    .do({
      type: 'replaceModel',
      deviceId: 'head',
      model: {
        ...classById('camera-ptz'),
        body: {
          widthM: 0.16,
          depthM: 0.17,
          heightM: 0.19,
          massKg: headKg,
          heatW: 12,
          noiseDba: null,
          mount: 'on a thread',
        },
      },
    })
    .stand('head', 'boom');

/** A support with so many devices of a class on it, one above the other. */
export const heavy = (supportId: string, usual: string, of: string, many: number): RigDraft =>
  Array.from({ length: many }, (_, index) => index).reduce(
    (draft, index) =>
      draft
        .device(`d-${index}`, of, { name: `Thing ${index + 1}` })
        .stand(`d-${index}`, supportId, 0, 0, 0, 0.1334 * index),
    new RigDraft('Case').support(supportId, usual, [1, 1, 0]),
  );
