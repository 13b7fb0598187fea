import {
  apply,
  build,
  CATALOGUE,
  type Command,
  type Control,
  type ControlValue,
  type Device,
  type End,
  entry,
  freeId,
  mate,
  type Port,
  Refusal,
  type Rig,
  SHOTS,
  STARTING_POINTS,
  USUAL_DELIVERABLES,
  USUAL_PERSON,
  USUAL_SHOT,
} from '@echo-loom/core';
import { type Chance, seeded } from './chance';

type Placed = readonly [id: string, device: Device];

const valueFor = (control: Control, chance: Chance): ControlValue => {
  switch (control.type) {
    case 'switch':
      return chance.once(2);
    case 'choice':
      return chance.oneOf(control.options)?.value ?? control.initial;
    case 'gain':
      return chance.integer(Math.ceil(control.minDb), Math.floor(control.maxDb));
    case 'amount':
      return control.min + ((control.max - control.min) * chance.integer(0, 20)) / 20;
  }
};

const anyDevice = (rig: Rig, chance: Chance): Placed | undefined =>
  chance.oneOf(Object.entries(rig.devices));
const anyId = (collection: object, chance: Chance): string | null =>
  chance.oneOf(Object.keys(collection)) ?? null;

const turnControl = (rig: Rig, chance: Chance): Command | undefined => {
  const device = anyDevice(rig, chance);
  const control = device && chance.oneOf(Object.entries(device[1].model.controls));
  if (!device || !control) return undefined;
  return {
    type: 'setControl',
    deviceId: device[0],
    control: control[0],
    value: valueFor(control[1], chance),
  };
};

const anyEnd = (
  [deviceId, { model }]: Placed,
  chance: Chance,
): { end: End; port: Port } | undefined => {
  const port = chance.oneOf(Object.entries(model.ports));
  return port && { end: { deviceId, portId: port[0] }, port: port[1] };
};

/** Joins two ports that mate, if a few tries find such. */
const join = (rig: Rig, chance: Chance): Command | undefined => {
  for (let tries = 0; tries < 30; tries++) {
    const [one, other] = [anyDevice(rig, chance), anyDevice(rig, chance)];
    const a = one && anyEnd(one, chance);
    const b = other && anyEnd(other, chance);
    if (!a || !b || a.end.deviceId === b.end.deviceId) continue;
    const mating = mate(a.port, b.port);
    const kind = mating.can ? chance.oneOf(mating.cables) : undefined;
    if (!kind) continue;
    const linkId = freeId(`${a.end.deviceId}-${a.end.portId}`, rig.links);
    return {
      type: 'connect',
      linkId,
      from: a.end,
      to: b.end,
      cable: { kind, lengthM: kind === 'inside' ? 0 : chance.integer(1, 60) },
    };
  }
  return undefined;
};

const addDevice = (rig: Rig, chance: Chance): Command | undefined => {
  const model = chance.oneOf(CATALOGUE);
  if (!model) return undefined;
  const deviceId = freeId(model.kind, rig.devices);
  const personId = chance.once(2) ? anyId(rig.people, chance) : null;
  return {
    type: 'addDevice',
    deviceId,
    name: deviceId,
    model,
    settings: {},
    personId,
    placeId: null,
  };
};

const cutCable = (rig: Rig, chance: Chance): Command | undefined => {
  const linkId = anyId(rig.links, chance);
  return linkId === null ? undefined : { type: 'disconnect', linkId };
};

const lengthen = (rig: Rig, chance: Chance): Command | undefined => {
  const linkId = anyId(rig.links, chance);
  const link = linkId === null ? undefined : entry(rig.links, linkId);
  if (linkId === null || !link || link.cable.kind === 'inside') return undefined;
  return {
    type: 'setCable',
    linkId,
    cable: { kind: link.cable.kind, lengthM: chance.integer(1, 150) },
  };
};

const removeDevice = (rig: Rig, chance: Chance): Command | undefined => {
  const device = anyDevice(rig, chance);
  return device && { type: 'removeDevice', deviceId: device[0] };
};

const spot = (chance: Chance) => ({
  xM: chance.integer(0, 60) / 10,
  yM: chance.integer(0, 60) / 10,
  facingDeg: chance.integer(0, 359),
});

const addPerson = (rig: Rig, chance: Chance): Command => {
  const personId = freeId('someone', rig.people);
  const person = {
    ...USUAL_PERSON,
    name: personId,
    where: chance.once(4) ? ('remote' as const) : ('on site' as const),
    speechDbSpl: chance.integer(50, 75),
    at: chance.once(2) ? spot(chance) : null,
  };
  return { type: 'addPerson', personId, person };
};

const giveTo = (rig: Rig, chance: Chance): Command | undefined => {
  const device = anyDevice(rig, chance);
  return (
    device && {
      type: 'assignDevice',
      deviceId: device[0],
      personId: anyId(rig.people, chance),
      placeId: null,
    }
  );
};

const addNoise = (rig: Rig, chance: Chance): Command => {
  const { xM, yM } = spot(chance);
  const noise = {
    name: 'Fan',
    dbaAt1m: chance.integer(25, 60),
    at: { xM, yM },
    runs: !chance.once(4),
  };
  return { type: 'addNoise', noiseId: freeId('fan', rig.noises), noise };
};

const setRoom = (_rig: Rig, chance: Chance): Command => ({
  type: 'setRoom',
  room: {
    volumeM3: chance.integer(15, 900),
    rt60S: chance.integer(2, 25) / 10,
    noiseDba: chance.integer(18, 55),
  },
});

const addShot = (rig: Rig, chance: Chance): Command | undefined => {
  const cameras = Object.entries(rig.devices).filter(([, { model }]) => model.camera);
  const camera = chance.oneOf(cameras);
  if (!camera) return undefined;
  const shot = {
    ...USUAL_SHOT,
    deviceId: camera[0],
    personId: anyId(rig.people, chance),
    distanceM: chance.integer(5, 60) / 10,
    wanted: chance.oneOf(SHOTS) ?? 'face',
    lightLux: chance.integer(50, 1500),
    punchIn: chance.integer(10, 30) / 10,
  };
  return { type: 'addShot', shotId: freeId('shot', rig.shots), shot };
};

const addScene = (rig: Rig, chance: Chance): Command | undefined => {
  const [one, other] = [anyDevice(rig, chance), anyDevice(rig, chance)];
  if (!one || !other) return undefined;
  const layers = [
    { deviceId: one[0], box: 'full' as const },
    { deviceId: other[0], box: 'inset' as const },
  ];
  const sceneId = freeId('scene', rig.scenes);
  return {
    type: 'addScene',
    sceneId,
    scene: {
      name: sceneId,
      layers,
      heard: chance.once(2) ? null : Object.keys(rig.people).slice(0, 2),
    },
  };
};

const addDeliverable = (rig: Rig, chance: Chance): Command | undefined => {
  const deliverable = chance.oneOf(Object.values(USUAL_DELIVERABLES));
  return (
    deliverable && {
      type: 'addDeliverable',
      deliverableId: freeId('deliverable', rig.brief?.deliverables ?? {}),
      deliverable,
    }
  );
};

const EDITS = [
  turnControl,
  turnControl,
  turnControl,
  turnControl,
  join,
  join,
  join,
  addDevice,
  addDevice,
  cutCable,
  lengthen,
  removeDevice,
  addPerson,
  giveTo,
  addNoise,
  setRoom,
  addShot,
  addScene,
  addDeliverable,
];

const edited = (rig: Rig, chance: Chance): Rig => {
  const command = chance.oneOf(EDITS)?.(rig, chance);
  if (!command) return rig;
  try {
    return apply(rig, command);
  } catch (error) {
    if (error instanceof Refusal) return rig;
    throw error;
  }
};

const EDITS_A_RIG = 40;

/** Rigs to begin from, made by the builder. */
export const builtRigs = (): Rig[] =>
  STARTING_POINTS.map(({ name, answers }) => build(answers(name))).flatMap((built) =>
    built.ok ? [built.rig] : [],
  );

/** One of the rigs given, edited at random. The same for the same seed. */
export const randomRig = (seed: number, starts: readonly Rig[]): Rig => {
  const chance = seeded(seed);
  let rig = starts[seed % starts.length] as Rig;
  for (let edits = chance.integer(1, EDITS_A_RIG); edits > 0; edits--) rig = edited(rig, chance);
  return rig;
};
