import { deviceNameById } from '../names';
import { entry, inOrder } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { eyesOf, type InRoom, middleM, shotsOnPlan, stood } from '../place';

/** How far aside of a lens somebody looks when they look at a screen or at somebody else. */

export interface EyeLine {
  readonly personId: string;
  readonly person: string;
  readonly shotId: string;
  /** The camera that shows them */
  readonly camera: string;
  /** What they look at */
  readonly at: string;
  /** Between the lens and that, from their eyes. @unit degrees */
  readonly deg: number;
}

/** Angle at the eyes between two points. @unit degrees */
export const angleAtEyes = (eyes: InRoom, a: InRoom, b: InRoom): number => {
  const [u, v] = [a, b].map((to) => [to.xM - eyes.xM, to.yM - eyes.yM, to.zM - eyes.zM] as const);
  if (!u || !v) return 0;
  const dot = u[0] * v[0] + u[1] * v[1] + u[2] * v[2];
  const lengths = Math.hypot(...u) * Math.hypot(...v);
  return lengths === 0 ? 0 : (Math.acos(Math.min(1, Math.max(-1, dot / lengths))) * 180) / Math.PI;
};

/** What a person may look at: screens that are theirs or nobody's, and everybody else in the room. */
const lookedAt = (measured: Measured, personId: string): { name: string; at: InRoom }[] => [
  ...stood(measured).flatMap((device) => {
    const zM = middleM(device);
    const isScreen = device.kind === 'display' || device.kind === 'prompter';
    const isTheirs = device.personId === null || device.personId === personId;
    return isScreen && isTheirs && zM !== null
      ? [
          {
            name: deviceNameById(measured, device.id),
            at: { xM: device.spot.xM, yM: device.spot.yM, zM },
          },
        ]
      : [];
  }),
  ...inOrder(measured.rig.people).flatMap(([id, person]) => {
    const at = id === personId || person.where === 'remote' ? null : eyesOf(person);
    return at ? [{ name: person.name, at }] : [];
  }),
];

/** Every face that is shown, against everything its person may look at. */
export const eyeLines = pass('eye lines', (measured): readonly EyeLine[] =>
  shotsOnPlan(measured).flatMap(([shotId, shot, { lens, isOfPeople, peopleIds }]) =>
    (isOfPeople ? peopleIds : []).flatMap((personId) => {
      const person = entry(measured.rig.people, personId);
      const eyes = person && eyesOf(person);
      if (!person || !eyes) return [];
      const at = { ...lens, zM: lens.zM ?? eyes.zM };
      return lookedAt(measured, personId).map((target) => ({
        personId,
        person: person.name,
        shotId,
        camera: measured.device({ id: shot.deviceId }).name,
        at: target.name,
        deg: angleAtEyes(eyes, at, target.at),
      }));
    }),
  ),
);
