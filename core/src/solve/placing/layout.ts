import { bodyOf } from '../../catalogue';
import { type Framing, framings } from '../../passes/framing';
import type { Measured } from '../../passes/measured';
import { CABLE_KG, eyesAtM, MOUTH_UNDER_M, mouthDistanceM } from '../../passes/place';
import {
  type Device,
  entry,
  freeId,
  inOrder,
  type Person,
  type Rig,
  type SimpleCommand,
  type SupportFigures,
  USUAL_SHOT,
  USUAL_SUPPORTS,
  usualSupport,
} from '../../rig';
import { between, deskFigures, Layout, tidy } from './draft';
import { placeGear } from './gear';
import type { Stage } from './stage';

/** One way of placing everything: people in a row at a table, microphones on arms, cameras opposite. */

/** What differs between the ways that are tried. */
export interface Way {
  readonly stage: Stage;
  /** Where what is neither spoken into nor looked through goes */
  readonly gear: 'own desk' | 'the table' | 'left out';
  /** How far the row stands off the middle. @unit m */
  readonly asideM: number;
}

/** People from the wall behind them, from one another, and from the table. @unit m */
const BEHIND_M = { least: 0.65, most: 1.6, share: 0.25 };
const APART_M = { least: 0.65, most: 1 };
const BEFORE_M = 0.25;
const TABLE_DEEP_M = 0.7;
const TABLE_TOP_M = 0.73;
/** Cameras from the table, from the wall behind them, and from one another. @unit m */
const CAMERA_OFF_M = 0.3;
const CAMERA_WALL_M = 0.5;
const CAMERA_APART_M = 0.35;
/** Where a camera is put when nothing says how far it must be. @unit m */
const USUAL_DISTANCE_M = 2;

const isCamera = ({ model }: Device): boolean =>
  model.kind === 'camera' || model.kind === 'webcam' || model.kind === 'phone';

const isHeard = ({ model, personId }: Device): boolean =>
  personId !== null &&
  Object.values(model.ports).some(({ emits }) => emits?.sound?.type === 'microphone');

/** The usual arm that holds a load, by how well it suits. @returns null where none does */
const armFor = (loadKg: number): SupportFigures | null => {
  const holding = USUAL_SUPPORTS.flatMap(({ figures }) =>
    figures.is === 'arm' && figures.leastKg <= loadKg && loadKg <= figures.mostKg ? [figures] : [],
  );
  holding.sort((a, b) => Math.abs(loadKg / a.mostKg - 0.75) - Math.abs(loadKg / b.mostKg - 0.75));
  return holding[0] ?? null;
};

/** Shots of cameras that have none yet: of the person or the thing they are for. */
const missingShots = ({ devices, shots, people, brief }: Rig): SimpleCommand[] => {
  const planned = new Set(Object.values(shots).map(({ deviceId }) => deviceId));
  return inOrder(devices).flatMap(([deviceId, device]): SimpleCommand[] => {
    const person = device.personId === null ? undefined : entry(people, device.personId);
    const sight = device.sightId === null ? undefined : entry(brief?.sights ?? {}, device.sightId);
    if (planned.has(deviceId) || !isCamera(device) || (!person && !sight)) return [];
    return [
      {
        type: 'addShot',
        shotId: freeId(deviceId, shots),
        shot: {
          ...USUAL_SHOT,
          deviceId,
          personId: sight ? null : device.personId,
          sightId: sight ? device.sightId : null,
          wanted: sight ? sight.shot : (person?.shot ?? USUAL_SHOT.wanted),
        },
      },
    ];
  });
};

interface Seat {
  readonly id: string;
  readonly person: Person;
  readonly acrossM: number;
  readonly rowM: number;
}

/**
 * The edits of one way. What already has a place keeps it, and so do the walls.
 * @param measured the rig before anything is placed
 */
export const layOut = (measured: Measured, { stage, gear, asideM }: Way): SimpleCommand[] => {
  const { rig } = measured;
  const out = new Layout(rig);
  out.commands.push(...missingShots(rig));
  const onSite = inOrder(rig.people).filter(([, { where, at }]) => where === 'on site' && !at);
  const apartM = between(
    (stage.acrossM - 0.6) / Math.max(1, onSite.length),
    APART_M.least,
    APART_M.most,
  );
  const middleM = stage.acrossM / 2 + asideM;
  const rowM = between(BEHIND_M.share * stage.deepM, BEHIND_M.least, BEHIND_M.most);
  const seats = onSite.map(([id, person], index): Seat => ({
    id,
    person,
    rowM,
    acrossM: middleM + (index - (onSite.length - 1) / 2) * apartM,
  }));
  for (const { id, acrossM } of seats)
    out.commands.push({
      type: 'changePerson',
      personId: id,
      person: { at: stage.at(acrossM, rowM) },
    });

  const tableWideM = between(
    seats.length * apartM + 0.3,
    Math.min(1.2, stage.acrossM - 0.2),
    stage.acrossM - 0.2,
  );
  const tableM = rowM + BEFORE_M + TABLE_DEEP_M / 2;
  const table = out.support('Table', stage.at(middleM, tableM), {
    ...deskFigures('Table, 2.2 m'),
    widthM: tidy(tableWideM),
    depthM: TABLE_DEEP_M,
    topM: TABLE_TOP_M,
    lowestM: TABLE_TOP_M,
    highestM: TABLE_TOP_M,
  });
  const rest = placeVoices(rig, out, stage, seats, { table, middleM, tableM, tableWideM });
  placeSights(rig, out, stage, middleM, tableM);
  placeCameras(measured, out, stage, seats, { table, rowM, middleM, tableM, tableWideM });
  if (gear !== 'left out')
    placeGear(rest, out, stage, gear === 'the table' ? table : null, { middleM, tableWideM });
  return out.commands;
};

interface TableAt {
  readonly table: string;
  readonly middleM: number;
  readonly tableM: number;
  readonly tableWideM: number;
}

/** Microphones on arms beside their mouths. @returns devices that are neither these nor cameras */
const placeVoices = (
  { devices }: Rig,
  out: Layout,
  stage: Stage,
  seats: readonly Seat[],
  { table, middleM, tableM, tableWideM }: TableAt,
): [string, Device][] => {
  const rest: [string, Device][] = [];
  for (const [id, device] of inOrder(devices)) {
    const body = bodyOf(device.model);
    if (!body || body.mount === 'worn' || isCamera(device) || device.on || device.at) continue;
    const seat = seats.find((one) => one.id === device.personId);
    if (!isHeard(device) || !seat) {
      rest.push([id, device]);
      continue;
    }
    const distanceM = mouthDistanceM(device);
    if (seat.person.posture !== 'sits' && distanceM !== undefined) {
      placeOnStand(out, stage, seat, { id, name: device.name, heightM: body.heightM, distanceM });
      continue;
    }
    const figures = armFor(body.massKg + (body.mount === 'on a thread' ? CABLE_KG : 0));
    if (!figures) continue;
    const half = tableWideM / 2 - 0.05;
    const beside = seat.acrossM + (seat.acrossM + 0.35 <= middleM + half ? 0.35 : -0.35);
    const arm = out.support(
      `Arm of ${device.name}`.slice(0, 60),
      stage.at(between(beside, middleM - half, middleM + half), tableM - TABLE_DEEP_M / 2 + 0.1),
      figures,
      table,
    );
    out.stand(id, arm);
  }
  return rest;
};

/** A bag keeps a microphone stand up whatever it holds. @unit kg */
const STAND_BAG_KG = 2;

/** Who stands speaks over the table's arms: a stand beside them reaches before the mouth. */
const placeOnStand = (
  out: Layout,
  stage: Stage,
  { person, acrossM, rowM }: Seat,
  {
    id,
    name,
    heightM,
    distanceM,
  }: { id: string; name: string; heightM: number; distanceM: number },
): void => {
  const { figures } = usualSupport('Microphone stand, boom');
  if (figures.is !== 'stand' || !figures.out) return;
  const mouthM = eyesAtM(person) - MOUTH_UNDER_M;
  const supportId = out.support(
    `Stand of ${name}`.slice(0, 60),
    stage.at(acrossM + figures.out.reachM, rowM + distanceM, 270),
    { ...figures, heightM: tidy(mouthM - heightM / 2), ballastKg: STAND_BAG_KG },
  );
  out.stand(id, supportId, 0, 0, 0, 270);
};

/** What is shown besides faces lies on the table; several beside one another. */
const placeSights = (
  { brief }: Rig,
  out: Layout,
  stage: Stage,
  middleM: number,
  tableM: number,
): void => {
  const lying = inOrder(brief?.sights ?? {}).filter(
    ([, { what, at }]) => !at && what !== 'screen' && what !== 'people together',
  );
  lying.forEach(([sightId], index) => {
    const { xM, yM } = stage.at(middleM + (index - (lying.length - 1) / 2) * 0.4, tableM);
    out.commands.push({
      type: 'changeSight',
      sightId,
      sight: { at: { xM, yM, zM: TABLE_TOP_M + 0.05 } },
    });
  });
};

/** How far a camera that cannot zoom must stand for its shot, m; null where it can, or nobody can say. */
const fixedDistanceM = (
  { model }: Device,
  shots: readonly Framing[],
  id: string,
): number | null => {
  const zoom = model.camera && model.controls[model.camera.focalControl];
  const isFixed = zoom?.type === 'amount' && zoom.min === zoom.max;
  const shot = shots.find((one) => one.shot.deviceId === id);
  return isFixed ? (shot?.distanceForWantedM ?? null) : null;
};

/** Cameras in a row opposite, each before what it is for; one that must be near stands on the table. */
const placeCameras = (
  measured: Measured,
  out: Layout,
  stage: Stage,
  seats: readonly Seat[],
  { table, rowM, middleM, tableM, tableWideM }: TableAt & { rowM: number },
): void => {
  const { rig } = measured;
  const cameras = inOrder(rig.devices).filter(
    ([, device]) => isCamera(device) && !device.at && !device.on && bodyOf(device.model),
  );
  const shots = framings(measured);
  const wanted = shots.flatMap(({ distanceForWantedM }) => distanceForWantedM ?? []);
  const farM = Math.max(USUAL_DISTANCE_M, ...wanted.map((m) => Math.min(m, 4)));
  const leastM = tableM + TABLE_DEEP_M / 2 + CAMERA_OFF_M;
  const awayM = Math.max(leastM, Math.min(stage.deepM - CAMERA_WALL_M, rowM + farM));
  const rows = cameras
    .map(([id, device]) => ({
      id,
      device,
      aimM: seats.find((seat) => seat.id === device.personId)?.acrossM ?? middleM,
    }))
    .sort((a, b) => a.aimM - b.aimM);
  let last = -Infinity;
  for (const { id, device, aimM } of rows) {
    const body = bodyOf(device.model);
    if (!body) continue;
    const fixedM = fixedDistanceM(device, shots, id);
    if (fixedM !== null && rowM + fixedM < leastM) {
      const half = tableWideM / 2 - 0.1;
      const person = seats.find((seat) => seat.id === device.personId)?.person;
      const upM = person ? Math.max(0, eyesAtM(person) - TABLE_TOP_M - body.heightM / 2) : 0;
      out.stand(
        id,
        table,
        between(aimM - middleM, -half, half),
        between(rowM + fixedM - tableM, -TABLE_DEEP_M / 2 + 0.1, TABLE_DEEP_M / 2 - 0.1),
        tidy(upM),
        180,
      );
      continue;
    }
    const acrossM = Math.max(aimM, last + CAMERA_APART_M);
    last = acrossM;
    const person = seats.find((seat) => seat.id === device.personId)?.person;
    const eyesM = person ? eyesAtM(person) : 1.2;
    const name = body.massKg > 4 ? 'Tripod, studio' : 'Tripod, light';
    const { figures } = usualSupport(name);
    if (figures.is !== 'stand') continue;
    const tripod = out.support(
      `Tripod of ${device.name}`.slice(0, 60),
      stage.at(between(acrossM, 0.3, stage.acrossM - 0.3), awayM, 180),
      { ...figures, heightM: tidy(Math.max(0.2, eyesM - body.heightM / 2)) },
    );
    out.stand(id, tripod);
  }
};
