import { deviceNameById } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import {
  angleOff,
  distanceInRoom,
  eyesOf,
  gapM,
  groundOf,
  type InRoom,
  middleM,
  shotsOnPlan,
  type ShotOnPlan,
  stood,
  type Stood,
} from '../../passes/place';
import { figure } from '../../passes/sum';
import { entry, type Kind, type Person, type ShotPlan } from '../../rig';
import { batchFix, eachPlaceRule } from '../rule-of';

/** What somebody touches or looks at from their seat. */
interface AtSeat {
  readonly person: Person;
  readonly personId: string;
  readonly thing: Stood;
  readonly eyes: InRoom;
}

const atSeats = (measured: Measured, kinds: readonly Kind[]): AtSeat[] =>
  stood(measured).flatMap((thing) => {
    const { personId } = thing;
    const person = personId === null ? undefined : entry(measured.rig.people, personId);
    const eyes = person && eyesOf(person);
    return kinds.includes(thing.kind) && person && personId !== null && eyes
      ? [{ person, personId, thing, eyes }]
      : [];
  });

/** What is touched during a show. */
const TOUCHED: readonly Kind[] = ['switcher', 'headphone-amplifier', 'instrument'];

/** Stretched, and comfortable, from the seat. @unit m @source handbook 5 */
const STRETCHED_M = 0.7;

const reachM = ({ person, thing: { spot, body } }: AtSeat): number =>
  person.at
    ? gapM(
        [person.at],
        groundOf({ spot, widthM: body?.widthM ?? 0.01, depthM: body?.depthM ?? 0.01 }),
      )
    : 0;

const about = ({ personId, thing }: AtSeat) =>
  ({ kind: 'device', deviceId: thing.id, personId }) as const;

/** Puts a thing before its person, so far from the body, on whatever carries it now. */
const nearer = (measured: Measured, { person, thing }: AtSeat, metres: number) => {
  const device = entry(measured.rig.devices, thing.id);
  if (!device || !person.at) return [];
  const support = device.on ? entry(measured.rig.supports, device.on.supportId) : undefined;
  const share =
    metres / Math.max(0.01, Math.hypot(thing.spot.xM - person.at.xM, thing.spot.yM - person.at.yM));
  const at = {
    xM: Number((person.at.xM + (thing.spot.xM - person.at.xM) * share).toFixed(2)),
    yM: Number((person.at.yM + (thing.spot.yM - person.at.yM) * share).toFixed(2)),
    facingDeg: thing.spot.facingDeg,
  };
  const label = `Put ${deviceNameById(measured, thing.id)} ${figure(metres, 2)} m before ${person.name}`;
  if (!device.on || !support?.at)
    return [batchFix(label, [{ type: 'placeDevice', deviceId: thing.id, at, aim: device.aim }])];
  const turn = (support.at.facingDeg * Math.PI) / 180;
  const [dx, dy] = [at.xM - support.at.xM, at.yM - support.at.yM];
  return [
    batchFix(label, [
      {
        type: 'standDevice',
        deviceId: thing.id,
        on: {
          ...device.on,
          xM: Number((dx * Math.cos(turn) - dy * Math.sin(turn)).toFixed(2)),
          yM: Number((dx * Math.sin(turn) + dy * Math.cos(turn)).toFixed(2)),
        },
      },
    ]),
  ];
};

export const outOfReach = eachPlaceRule<AtSeat>(
  'place.out-of-reach',
  {
    looksFor: 'A switcher, a mixer or a volume knob that its person cannot reach from the seat.',
    why: 'They lean out of the picture and off the microphone, or do not turn it at all.',
    remedy: 'Bring it within 0.7 m of the seat, better within 0.5 m.',
    source: 'handbook 5-plan, reach: 0.5 m comfortable, 0.7 m stretched',
  },
  {
    all: (measured) => atSeats(measured, TOUCHED),
    about,
    judge: (seat, measured) => {
      const far = reachM(seat);
      return far <= STRETCHED_M
        ? null
        : {
            level: 'warn',
            title: `${deviceNameById(measured, seat.thing.id)} is ${figure(far, 2)} m from ${seat.person.name}`,
            says:
              `${seat.person.name} must reach ${figure(far, 2)} m to touch ` +
              `${deviceNameById(measured, seat.thing.id)}; ` +
              `${figure(STRETCHED_M)} m is stretched, 0.5 m comfortable. Bring it nearer.`,
          };
    },
    sums: (seat, measured) => [
      {
        label: `From ${seat.person.name} to the nearest edge of ${deviceNameById(measured, seat.thing.id)}`,
        formula: 'along the plan',
        inputs: [{ name: 'stretched', value: STRETCHED_M, unit: 'm' }],
        result: reachM(seat),
        unit: 'm',
        source: 'handbook 5-plan, reach',
      },
    ],
    moves: true,
    fixes: (seat, measured) => [0.5, 0.62].flatMap((metres) => nearer(measured, seat, metres)),
  },
);

/** How far screens are read from, and how far aside. @source handbook 5 */
const SCREEN_M = { least: 0.5, most: 1 } as const;
const ASIDE_DEG = 30;
/** A screen for a whole stage is read from farther: by its width. */
const SCREENS: readonly Kind[] = ['display'];

const eyesToM = ({ thing, eyes }: AtSeat): number =>
  distanceInRoom(eyes, { ...thing.spot, zM: middleM(thing) });

/** The farthest a screen is read from: a metre, or three times its width where it is larger. @unit m */
const farthestM = ({ thing }: AtSeat): number =>
  Math.max(SCREEN_M.most, 3 * (thing.body?.widthM ?? 0));

export const screenFar = eachPlaceRule<AtSeat>(
  'place.screen-far',
  {
    looksFor: 'A screen too near or too far from the eyes of whoever reads it.',
    why: 'They lean in, or squint, and both are seen.',
    remedy:
      'Stand it 0.5 to 1 m from the eyes; larger ones no farther than three times their width.',
    source: 'handbook 5-plan, reach: screens 0.5–1.0 m',
  },
  {
    all: (measured) => atSeats(measured, SCREENS),
    about,
    judge: (seat, measured) => {
      const far = eyesToM(seat);
      if (far >= SCREEN_M.least && far <= farthestM(seat)) return null;
      return {
        level: 'note',
        title: `${deviceNameById(measured, seat.thing.id)} is ${figure(far, 2)} m from the eyes of ${seat.person.name}`,
        says:
          `${seat.person.name} reads ${deviceNameById(measured, seat.thing.id)} from ` +
          `${figure(far, 2)} m; it is read well from ` +
          `${figure(SCREEN_M.least)} to ${figure(farthestM(seat), 2)} m. Move it.`,
      };
    },
    moves: true,
    fixes: (seat, measured) => nearer(measured, seat, 0.75),
  },
);

export const screenAside = eachPlaceRule<AtSeat>(
  'place.screen-aside',
  {
    looksFor: 'A screen more than 30° aside of where whoever reads it looks.',
    why: 'They turn off the microphone and out of the shot each time they read it.',
    remedy: 'Put it more to the middle.',
    source: 'handbook 5-plan, reach: not more than 30° aside',
  },
  {
    all: (measured) => atSeats(measured, SCREENS),
    about,
    judge: ({ person, thing }, measured) => {
      const aside = person.at ? Math.abs(angleOff(person.at, thing.spot)) : 0;
      return aside <= ASIDE_DEG
        ? null
        : {
            level: 'note',
            title: `${deviceNameById(measured, thing.id)} is ${figure(aside, 0)}° aside of ${person.name}`,
            says:
              `${person.name} must turn ${figure(aside, 0)}° to read ` +
              `${deviceNameById(measured, thing.id)}; more than ` +
              `${ASIDE_DEG}° is seen, and turns the mouth off the microphone. Put it more to the middle.`,
          };
    },
    sums: ({ person, thing }) => [
      {
        label: 'Aside',
        formula: 'angle between where they look and the screen',
        inputs: [{ name: 'facing', value: person.at?.facingDeg ?? 'unknown', unit: '°' }],
        result: person.at ? Math.abs(angleOff(person.at, thing.spot)) : null,
        unit: '°',
        source: 'the plan',
      },
    ],
  },
);

interface Faced {
  readonly shotId: string;
  readonly shot: ShotPlan;
  readonly onPlan: ShotOnPlan;
  readonly person: Person;
}

/** Beyond this a face is a profile. @unit degrees */
const PROFILE_DEG = 60;

const faced = (measured: Measured): Faced[] =>
  shotsOnPlan(measured).flatMap(([shotId, shot, onPlan]) => {
    const person = shot.personId === null ? undefined : entry(measured.rig.people, shot.personId);
    return person?.at && shot.sightId === null ? [{ shotId, shot, onPlan, person }] : [];
  });

const offFace = ({ person, onPlan }: Faced): number =>
  person.at ? Math.abs(angleOff(person.at, onPlan.lens)) : 0;

export const turnedAway = eachPlaceRule<Faced>(
  'place.turned-away',
  {
    looksFor: 'A camera that sees its person from the side or from behind.',
    why: 'Half the audience’s reading of a face is gone, and cutting to it looks like a mistake.',
    remedy: 'Turn the seat, or stand the camera within 60° of where they look.',
    source: 'handbook 5-plan: eye lines',
  },
  {
    all: faced,
    about: ({ shotId, shot }) => ({ kind: 'shot', shotId, deviceId: shot.deviceId }),
    judge: (shot, measured) => {
      const off = offFace(shot);
      const { name } = measured.device({ id: shot.shot.deviceId });
      return off <= PROFILE_DEG
        ? null
        : {
            level: off > 110 ? 'warn' : 'note',
            title: `${name} sees ${shot.person.name} from ${figure(off, 0)}°`,
            says:
              `${shot.person.name} looks ${figure(off, 0)}° past ${name}: ` +
              `${off > 110 ? 'it sees the back of the head' : 'it sees a profile'}. Turn the seat, or stand ` +
              `the camera within ${PROFILE_DEG}° of where they look.`,
          };
    },
    sums: (shot) => [
      {
        label: 'From where they look to the lens',
        formula: 'angle on the plan',
        inputs: [{ name: 'facing', value: shot.person.at?.facingDeg ?? 'unknown', unit: '°' }],
        result: offFace(shot),
        unit: '°',
        source: 'the plan',
      },
    ],
    moves: true,
    fixes: (shot) => {
      const { at } = shot.person;
      const { personId } = shot.shot;
      if (!at || personId === null) return [];
      const facingDeg = Math.round(
        (Math.atan2(shot.onPlan.lens.xM - at.xM, shot.onPlan.lens.yM - at.yM) * 180) / Math.PI,
      );
      return [
        batchFix(`Turn ${shot.person.name} to the camera`, [
          {
            type: 'changePerson',
            personId,
            person: { at: { ...at, facingDeg: (facingDeg + 360) % 360 } },
          },
        ]),
      ];
    },
  },
);
