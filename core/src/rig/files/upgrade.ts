import { freeId } from '../ids';
import { RIG_VERSION } from '../rig';
import { type Branch, isBranch } from './branch';
import { DEVICE_2, HOUSE_2, PERSON_2 } from './frozen';
import {
  dayIsKnown,
  devicesAreOwn,
  gearIsHad,
  lightIsKnown,
  readingsAreKept,
  setsKeepMore,
  thingsAreKnown,
  timeIsKept,
} from './later-steps';

/**
 * Version 1 had no places: a device carried the name of its place as text. Version 2 keeps places
 * once and devices point to them.
 */
const placesBecomeRecords = (rig: Branch): Branch => {
  const places: Record<string, { name: string; order: number }> = {};
  const idOf = new Map<string, string>();
  /** How often each stem was given, so that a thousand places of like names do not each count from the beginning */
  const given = new Map<string, number>();
  const idFor = (place: string): string => {
    const stem = freeId(place, {});
    let count = given.get(stem) ?? 1;
    while (Object.hasOwn(places, count === 1 ? stem : `${stem}-${count}`)) count++;
    given.set(stem, count);
    return count === 1 ? stem : `${stem}-${count}`;
  };
  const devices: Branch = {};
  for (const [id, device] of Object.entries(isBranch(rig['devices']) ? rig['devices'] : {})) {
    if (!isBranch(device)) {
      devices[id] = device;
      continue;
    }
    const { place, ...rest } = device;
    if (typeof place === 'string' && place.trim() !== '' && !idOf.has(place)) {
      const placeId = idFor(place);
      places[placeId] = { name: place, order: idOf.size };
      idOf.set(place, placeId);
    }
    devices[id] = {
      ...rest,
      placeId: typeof place === 'string' ? (idOf.get(place) ?? null) : null,
    };
  }
  return { ...rig, version: 2, places, devices };
};

const eachOf = (collection: unknown, change: (item: Branch) => Branch): unknown =>
  isBranch(collection)
    ? Object.fromEntries(
        Object.entries(collection).map(([id, item]) => [id, isBranch(item) ? change(item) : item]),
      )
    : collection;

/** What version 5 asks of each person, where version 4 said nothing. */
export const PERSON_4 = { at: null };

/** In version 2 only the name of a computer's route said that it writes a file for each voice. */
const tracksKeptApart = (model: Branch): Branch => {
  const routes = model['routes'];
  const tracks = isBranch(routes) ? routes['tracks'] : undefined;
  if (
    model['kind'] !== 'computer' ||
    !isBranch(routes) ||
    !isBranch(tracks) ||
    !isBranch(tracks['sound'])
  )
    return model;
  return {
    ...model,
    routes: { ...routes, tracks: { ...tracks, sound: { ...tracks['sound'], keepsApart: true } } },
  };
};

/** A model of version 2 as version 3 writes it. */
export const modelOf3 = (model: Branch): Branch =>
  tracksKeptApart({ typicalPrice: null, ...model });

/** Version 2 had no brief, no money, and only the house rules that are numbers. */
const briefBegins = (rig: Branch): Branch => ({
  ...rig,
  version: 3,
  brief: null,
  houseRules: isBranch(rig['houseRules'])
    ? { ...HOUSE_2, ...rig['houseRules'] }
    : rig['houseRules'],
  people: eachOf(rig['people'], (person) => ({ ...PERSON_2, ...person })),
  devices: eachOf(rig['devices'], (device) => ({
    ...DEVICE_2,
    ...device,
    model: isBranch(device['model']) ? modelOf3(device['model']) : device['model'],
  })),
});

/** What version 4 asks for where version 3 said nothing. */
const HOUSE_3 = { chosenFormat: '1920x1080p60', uplinkShare: 0.7 };

/** Version 3 had no shots, scenes, panel or uplink. */
const pictureIsPlanned = (rig: Branch): Branch => ({
  ...rig,
  version: 4,
  shots: {},
  scenes: {},
  panel: { columns: 4, buttons: {} },
  houseRules: isBranch(rig['houseRules'])
    ? { ...HOUSE_3, ...rig['houseRules'] }
    : rig['houseRules'],
  brief: isBranch(rig['brief']) ? { uplinkMbps: null, ...rig['brief'] } : rig['brief'],
});

/** Version 4 knew no room: nobody had a place, nothing made noise, and a voice was not weighed against the room. */
const roomIsKnown = (rig: Branch): Branch => ({
  ...rig,
  version: 5,
  room: { volumeM3: null, rt60S: null, noiseDba: null },
  noises: {},
  houseRules: isBranch(rig['houseRules'])
    ? { voiceOverRoomDb: 30, ...rig['houseRules'] }
    : rig['houseRules'],
  people: eachOf(rig['people'], (person) => ({ ...PERSON_4, ...person })),
  devices: eachOf(rig['devices'], (device) => ({ at: null, aim: null, ...device })),
});

/** Version 5 knew nothing of what a room is built of. */
const roomIsBuilt = (rig: Branch): Branch => ({
  ...rig,
  version: 6,
  shell: null,
  surfaces: {},
});

/** What version 7 asks of each person, device, noise and sight, where version 6 said nothing. */
export const PERSON_6 = { eyeM: null, statureM: null };
export const NOISE_6 = { heightM: null };
export const SIGHT_6 = { at: null };
const DEVICE_6 = { heightM: null, on: null };

const filled =
  (more: Branch) =>
  (item: Branch): Branch => ({ ...more, ...item });

/** Version 6 knew nothing that carries a device, no heights, no doors and no sets. */
const rigHasBody = (rig: Branch): Branch => ({
  ...rig,
  version: 7,
  openings: {},
  walkways: {},
  supports: {},
  sets: {},
  people: eachOf(rig['people'], filled(PERSON_6)),
  noises: eachOf(rig['noises'], filled(NOISE_6)),
  devices: eachOf(rig['devices'], filled(DEVICE_6)),
  brief: isBranch(rig['brief'])
    ? { ...rig['brief'], sights: eachOf(rig['brief']['sights'], filled(SIGHT_6)) }
    : rig['brief'],
});

/** What version 8 asks of each person, scene and button, where version 7 said nothing. */
export const PERSON_7 = { is: 'person' };
export const SCENE_7 = { selects: [] };
export const BUTTON_7 = { handId: null };

/** In version 7 a card or a drive inside a device was an end like any other: what it records, always. */
const recordsWhereItEnds = (port: Branch): Branch =>
  port['family'] === 'software' && port['direction'] === 'out' && isBranch(port['ends'])
    ? { records: { control: null }, ...port }
    : port;

/** A model of version 7 as version 8 writes it. */
export const modelOf8 = (model: Branch): Branch => ({
  ...model,
  ports: eachOf(model['ports'], recordsWhereItEnds),
});

/** Version 7 knew no mains, no lenses, no hands, and no settings to repeat. */
const rigHoldsMore = (rig: Branch): Branch => ({
  ...rig,
  version: 8,
  mains: null,
  lenses: {},
  hands: {},
  reminders: {},
  people: eachOf(rig['people'], filled(PERSON_7)),
  scenes: eachOf(rig['scenes'], filled(SCENE_7)),
  panel: isBranch(rig['panel'])
    ? { ...rig['panel'], buttons: eachOf(rig['panel']['buttons'], filled(BUTTON_7)) }
    : rig['panel'],
  devices: eachOf(rig['devices'], (device) => ({
    lensId: null,
    ...device,
    model: isBranch(device['model']) ? modelOf8(device['model']) : device['model'],
  })),
});

/** What version 9 asks of each noise, where version 8 said nothing. */
export const NOISE_8 = { reading: 'free field' };

/** Version 8 did not say whether a noise was read in the room, and took none of its echo out. */
const noiseSaysHowRead = (rig: Branch): Branch => ({
  ...rig,
  version: 9,
  noises: eachOf(rig['noises'], filled(NOISE_8)),
});

/** What version 11 asks of every rig, where version 10 said nothing. */
const CABLING_10 = {
  laying: { alongWalls: true, openFloor: false, dressing: 'reopenable' },
  cableWays: {},
  ownCables: {},
};
const POWER_10 = {
  powerRules: { breakerShare: 0.8, lastsMin: 10, dayH: 8, airChanges: null },
  circuits: {},
  feeds: {},
  loads: {},
  plugs: {},
};

/** What version 10 asks of the room, where version 9 said nothing. */
const ROOM_9 = { temperatureC: null };

/** Version 9 knew no findings put aside, no tags and no temperature. */
const findingsArePutAside = (rig: Branch): Branch => ({
  ...rig,
  version: 10,
  tags: [],
  aside: {},
  room: isBranch(rig['room']) ? { ...ROOM_9, ...rig['room'] } : rig['room'],
});

/** Version 10 knew nothing of the ways of cables and of the mains but what it is. */
const cablesAndMains = (rig: Branch): Branch => ({
  ...rig,
  version: 11,
  ...CABLING_10,
  ...POWER_10,
});

/** What is said of a document that a later version of this program wrote. */
const newerVersion = (version: number): string =>
  `this file is of version ${version}; this program is older and reads up to version ${RIG_VERSION}`;

/** The step that leaves each older version, by the version it leaves. */
const STEPS: Readonly<Record<number, (rig: Branch) => Branch>> = {
  1: placesBecomeRecords,
  2: briefBegins,
  3: pictureIsPlanned,
  4: roomIsKnown,
  5: roomIsBuilt,
  6: rigHasBody,
  7: rigHoldsMore,
  8: noiseSaysHowRead,
  9: findingsArePutAside,
  10: cablesAndMains,
  11: timeIsKept,
  12: gearIsHad,
  13: readingsAreKept,
  14: lightIsKnown,
  15: devicesAreOwn,
  16: thingsAreKnown,
  17: dayIsKnown,
  18: setsKeepMore,
};

/**
 * Brings a document of an older version up to the present one. What it does not understand it
 * leaves for the schema to refuse.
 * @returns the document as it should be parsed, or the reason its version cannot be read
 */
export const upgrade = (
  document: unknown,
): { readonly document: unknown } | { readonly why: string } => {
  if (!isBranch(document)) return { document };
  let rig = document;
  while (rig['version'] !== RIG_VERSION) {
    const version = rig['version'];
    if (typeof version === 'number' && version > RIG_VERSION) return { why: newerVersion(version) };
    const step =
      typeof version === 'number' && Object.hasOwn(STEPS, version) ? STEPS[version] : undefined;
    if (!step) return { why: `expected a version from 1 to ${RIG_VERSION}` };
    rig = step(rig);
  }
  return { document: rig };
};
