import { type Branch, isBranch } from './branch';

/** The steps from version 11 on: most only say what the older version said nothing of. */

/** What version 12 asks of time, where version 11 said nothing; frozen. */
const TIMING_11 = {
  timeRules: { earlyMs: 40, lateMs: 60 },
  delays: {},
  knownDelays: {},
  offsets: {},
};

/** Version 11 knew nothing of time but what a model brings. */
export const timeIsKept = (rig: Branch): Branch => ({ ...rig, version: 12, ...TIMING_11 });

/** Version 12 did not say how strips and ways are had, nor which way a cable is told to lie: all may be left out. */
export const gearIsHad = (rig: Branch): Branch => ({ ...rig, version: 13 });

/** Version 13 kept nothing of recordings but offsets. */
export const readingsAreKept = (rig: Branch): Branch => ({ ...rig, version: 14, readings: {} });

/** What version 15 asks of light, where version 14 said nothing; frozen. */
const LIGHT_14 = {
  lightRules: { whiteK: 5600, reflects: null, evenness: 1.3, faceLux: null, cleanIso: 3200 },
  sky: null,
  lamps: {},
  windows: {},
  backdrops: {},
  faces: {},
  looks: {},
  cues: {},
};
const LIGHT_SCHOOLS_14 = {
  lightRatio: 'gentle',
  keySide: 'short',
  keyLights: 'one key',
  hairLight: 'where there is one',
  lightColour: 'daylight',
  lightControl: 'by hand',
  daylight: 'used',
};

/** Version 14 knew nothing of light but what was typed at a shot. */
export const lightIsKnown = (rig: Branch): Branch => ({
  ...rig,
  version: 15,
  houseRules: isBranch(rig['houseRules'])
    ? { ...LIGHT_SCHOOLS_14, ...rig['houseRules'] }
    : rig['houseRules'],
  ...LIGHT_14,
});

/** Version 15 had no lamps on batteries and no devices of the studio's own; what it had stays as it is. */
export const devicesAreOwn = (rig: Branch): Branch => ({ ...rig, version: 16 });

/** Version 16 had no days, no cable numbers, nothing of the studio's and nothing ticked; a rig begins with none. */
export const thingsAreKnown = (rig: Branch): Branch => ({
  ...rig,
  version: 17,
  cableNumbers: {},
  shows: {},
  built: { settings: {}, cables: {}, places: {}, supports: {} },
});

/** Frozen: what version 18 knows of files where version 17 said nothing. */
const FILE_RULES_17 = {
  template: '{show}_{date}_E{episode}_{source}_T{take}',
  keepMonths: null,
  showsAYear: 46,
  workingFactor: 0.25,
  masterFactor: 0.05,
};

/** Version 17 had no day: no rundown, nothing measured, no tape, no rules for files. */
export const dayIsKnown = (rig: Branch): Branch => ({
  ...rig,
  version: 18,
  segments: {},
  beginsAt: null,
  houseLines: {},
  taskMinutes: {},
  tapes: {},
  fileRules: FILE_RULES_17,
  stores: {},
});

/** Version 18 kept no settings with a set, no minutes by hand, and the room had no name: all may be left out. */
export const setsKeepMore = (rig: Branch): Branch => ({ ...rig, version: 19 });
