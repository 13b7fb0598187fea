import { RigDraft } from '../catalogue/draft';
import type { LampAim, Rig, SimpleCommand } from '../rig';
import { ROOM } from './plan-for-cases';

/** Rooms that are lit, for the cases of light. Black walls unless something else is said: nothing comes back. */

/** Eyes of the host, and where the host looks: up the plan. */
export const EYES = { xM: 3, yM: 1.5, zM: 1.2 } as const;

const RADIANS = Math.PI / 180;
const cm = (metres: number): number => Number(metres.toFixed(3));

/** A point about the host: so far, so far aside of where the host looks, so high. */
export const about = (
  farM: number,
  asideDeg: number,
): { readonly xM: number; readonly yM: number } => ({
  xM: cm(EYES.xM + farM * Math.sin(asideDeg * RADIANS)),
  yM: cm(EYES.yM + farM * Math.cos(asideDeg * RADIANS)),
});

export const AT_HOST: LampAim = { at: 'person', personId: 'host' };

/** A lamp by itself, so far from the host and so far aside, at a height. */
export const lamp =
  (
    deviceId: string,
    classId: string,
    farM: number,
    asideDeg: number,
    heightM: number,
    dimmer = 100,
    aim: LampAim = AT_HOST,
    modifier: string | null = null,
  ) =>
  (draft: RigDraft): RigDraft =>
    draft
      .device(deviceId, classId, { name: deviceId, settings: { dimmer } })
      .do({
        type: 'placeDevice',
        deviceId,
        at: { ...about(farM, asideDeg), facingDeg: 180 },
        aim: null,
      })
      .do({ type: 'raiseDevice', deviceId, heightM })
      .lamp(deviceId, aim, modifier);

/** A camera straight before the host, level with the eyes, set by hand for 300 lux at 1/50 s, f/2.8. */
export const camera =
  (iso = 327, farM = 2.2, asideDeg = 0, heightM: number = EYES.zM, id = 'camera') =>
  (draft: RigDraft): RigDraft =>
    draft
      .device(id, 'camera-full-frame', {
        name: id,
        person: 'host',
        settings: { 'f-number': 2.8, shutter: 50, iso, 'focal-length': 50 },
      })
      .do({
        type: 'placeDevice',
        deviceId: id,
        at: { ...about(farM, asideDeg), facingDeg: 180 + asideDeg },
        aim: null,
      })
      .do({ type: 'raiseDevice', deviceId: id, heightM })
      .shot(id, { personId: 'host' });

/** A host in a black room, with what is added. */
export const lit = (...parts: readonly ((draft: RigDraft) => RigDraft)[]): Rig =>
  parts
    .reduce(
      (draft, part) => part(draft),
      new RigDraft('Case')
        .do(ROOM)
        .do({ type: 'setLightRules', lightRules: { reflects: 0 } })
        .person('host', 'Host', { at: { xM: EYES.xM, yM: EYES.yM, facingDeg: 0 } }),
    )
    .build();

export const doing =
  (...commands: readonly SimpleCommand[]) =>
  (draft: RigDraft): RigDraft =>
    commands.reduce((now, command) => now.do(command), draft);

/** A key of 300 lux or so to the left, and a fill of half to the right: gentle, soft, as it should be. */
export const key = lamp('key', 'light-cob-120', 2, -30, 1.7, 55, AT_HOST, 'Dome, 0.9 m');
export const fill = lamp('fill', 'light-panel-large', 2.2, 35, 1.6, 50, AT_HOST, 'Diffuser');

/** A wall behind the host. */
export const wall = (more: object = {}): ((draft: RigDraft) => RigDraft) =>
  doing({
    type: 'addBackdrop',
    backdropId: 'wall',
    backdrop: {
      name: 'Wall',
      is: 'wall',
      at: { xM: 3, yM: 0.05, facingDeg: 0 },
      widthM: 4,
      heightM: 2.4,
      bottomM: 0,
      reflects: 0.1,
      hue: 'neutral',
      mostLux: null,
      ...more,
    },
  });

/** A window of 2 × 1.2 m in the wall at the right, and a clear morning in June outside. */
export const window = (sky: object | null = {}): ((draft: RigDraft) => RigDraft) =>
  doing(
    {
      type: 'addOpening',
      openingId: 'window',
      opening: {
        name: 'Window',
        what: 'window',
        wall: 1,
        alongM: 1.5,
        widthM: 2,
        bottomM: 0.8,
        heightM: 1.4,
        opens: 'no',
      },
    },
    ...(sky === null
      ? []
      : [
          {
            type: 'setSky' as const,
            sky: {
              latitudeDeg: 50,
              longitudeDeg: 0,
              upThePlanDeg: 0,
              on: '2026-06-21',
              atMin: 420,
              aheadMin: 0,
              is: 'clear' as const,
              ...sky,
            },
          },
        ]),
  );
