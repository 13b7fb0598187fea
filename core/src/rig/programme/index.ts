import { z } from 'zod';
import { SHOTS } from '../brief/schema';
import { anyId, anyOf, someIds, tenths } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { settingProblem } from '../devices/settings';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  BOXES,
  buttonSchema,
  type Does,
  GUARDS,
  panelSchema,
  sceneSchema,
  shotPlanSchema,
  USUAL_SHOT,
} from './schema';

export { blank, shape } from './shape';

/** How the pictures are meant: shots, the scenes made of them, and the buttons that call them up. */

const checkDevice = (rig: DraftRig, id: string): void =>
  void mustHave(entry(rig.devices, id), refusals.noDevice(id));
const checkPerson = (rig: DraftRig, id: string): void =>
  void mustHave(entry(rig.people, id), refusals.noPerson(id));
const checkDoes = (rig: DraftRig, does: Does): void => {
  if (does.type === 'scene')
    mustHave(entry(rig.scenes, does.sceneId), refusals.noScene(does.sceneId));
  if (does.type === 'mute') checkPerson(rig, does.personId);
};

const shots = collection({
  key: 'shot',
  many: 'shots',
  fields: shotPlanSchema.omit({ order: true }),
  at: (rig) => rig.shots,
  read: (rig) => rig.shots,
  none: refusals.noShot,
  check: (rig, { deviceId, personId, sightId }) => {
    if (deviceId !== undefined) checkDevice(rig, deviceId);
    if (personId) checkPerson(rig, personId);
    if (sightId) mustHave(entry(rig.brief?.sights ?? {}, sightId), refusals.noSight(sightId));
  },
  says: {
    add: ({ deviceId }, rig) => `Planned a shot for ${deviceName(rig, deviceId)}.`,
    change: (name) => `Changed the shot of ${name}.`,
    remove: (name) => `Removed a shot of ${name}.`,
    name: ({ deviceId }, rig) => deviceName(rig, deviceId),
  },
  arbitrary: (chance, rig) => {
    const deviceId = anyId(chance, rig.devices);
    if (deviceId === null) return null;
    return {
      ...USUAL_SHOT,
      deviceId,
      personId: anyId(chance, rig.people),
      wanted: chance.oneOf(SHOTS),
      distanceM: anyOf(chance, [null, tenths(chance, 1, 6)]),
      lightLux: anyOf(chance, [null, chance.integer(50, 1500)]),
      punchIn: tenths(chance, 1, 3),
    };
  },
});

const scenes = collection({
  key: 'scene',
  many: 'scenes',
  fields: sceneSchema.omit({ order: true }),
  at: (rig) => rig.scenes,
  read: (rig) => rig.scenes,
  none: refusals.noScene,
  check: (rig, { layers = [], heard, selects = [] }) => {
    for (const { deviceId } of layers) checkDevice(rig, deviceId);
    for (const { deviceId, control, value } of selects) {
      checkDevice(rig, deviceId);
      const device = entry(rig.devices, deviceId);
      if (device && settingProblem(device.model, control, value))
        throw refusals.notASelector(device.name, control);
    }
    for (const id of heard ?? []) checkPerson(rig, id);
  },
  leaving: (id, forget) => forget({ kind: 'scene', id }),
  says: {
    add: ({ name }) => `Added the scene ${name}.`,
    change: (name, fields) =>
      fields.name === undefined
        ? `Changed the scene ${name}.`
        : `Renamed the scene ${name} to ${fields.name}.`,
    remove: (name) => `Removed the scene ${name}.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance, rig) => ({
    name: chance.oneOf(['Wide', 'Close']),
    layers: someIds(chance, rig.devices).map((deviceId) => ({
      deviceId,
      box: chance.oneOf(BOXES),
    })),
    heard: chance.once(2) ? null : someIds(chance, rig.people),
    selects: [],
  }),
});

const buttons = collection({
  key: 'button',
  many: 'buttons',
  fields: buttonSchema.omit({ order: true }),
  at: (rig) => rig.panel.buttons,
  read: (rig) => rig.panel.buttons,
  none: refusals.noButton,
  check: (rig, { does, handId }) => {
    if (does) checkDoes(rig, does);
    if (handId) mustHave(entry(rig.hands, handId), refusals.noHand(handId));
  },
  says: {
    add: ({ label }) => `Put ${label} on the panel.`,
    change: (label) => `Changed the button ${label}.`,
    remove: (label) => `Took ${label} off the panel.`,
    name: ({ label }) => label,
  },
  arbitrary: (chance, rig) => {
    const sceneId = anyId(chance, rig.scenes);
    const personId = anyId(chance, rig.people);
    const does: readonly Does[] = [
      { type: 'black' },
      { type: 'stream', turn: chance.oneOf(['start', 'end']) },
      ...(sceneId === null ? [] : [{ type: 'scene' as const, sceneId }]),
      ...(personId === null ? [] : [{ type: 'mute' as const, personId }]),
    ];
    const label = chance.oneOf(['One', 'Two']);
    return {
      label,
      does: anyOf(chance, does) ?? ({ type: 'black' } as const),
      guard: chance.oneOf(GUARDS),
      handId: anyId(chance, rig.hands),
    };
  },
});

export const commands = {
  ...shots,
  ...scenes,
  ...buttons,
  setPanel: command({
    schema: z.strictObject({ columns: panelSchema.shape.columns }),
    apply: (rig, { columns }) => {
      rig.panel.columns = columns;
    },
    says: (_rig, { columns }) => `Laid the panel out in ${columns} columns.`,
    arbitrary: (chance) => ({ columns: chance.integer(1, 12) }),
  }),
};

export const problems = (rig: Rig): Problem[] => {
  const device = (path: string[], id: string) => missing(rig.devices, 'device', path, id);
  const person = (path: string[], id: string | null) => missing(rig.people, 'person', path, id);
  const sights = rig.brief?.sights ?? {};
  return [
    ...Object.entries(rig.shots).flatMap(([id, shot]) => [
      ...device(['shots', id, 'deviceId'], shot.deviceId),
      ...person(['shots', id, 'personId'], shot.personId),
      ...missing(sights, 'sight', ['shots', id, 'sightId'], shot.sightId),
    ]),
    ...Object.entries(rig.scenes).flatMap(([id, { layers, heard, selects }]) => [
      ...selects.flatMap(({ deviceId }, index) =>
        device(['scenes', id, 'selects', String(index), 'deviceId'], deviceId),
      ),
      ...layers.flatMap(({ deviceId }, index) =>
        device(['scenes', id, 'layers', String(index), 'deviceId'], deviceId),
      ),
      ...(heard ?? []).flatMap((personId) => person(['scenes', id, 'heard'], personId)),
    ]),
    ...Object.entries(rig.panel.buttons).flatMap(([id, { handId }]) =>
      missing(rig.hands, 'hand', ['panel', 'buttons', id, 'handId'], handId),
    ),
    ...Object.entries(rig.panel.buttons).flatMap(([id, { does }]) => {
      const at = ['panel', 'buttons', id, 'does'];
      if (does.type === 'scene')
        return missing(rig.scenes, 'scene', [...at, 'sceneId'], does.sceneId);
      return does.type === 'mute' ? person([...at, 'personId'], does.personId) : [];
    }),
  ];
};

const removeButtons = (rig: DraftRig, goes: (does: Does) => boolean): void => {
  for (const [id, { does }] of Object.entries(rig.panel.buttons))
    if (goes(does)) delete rig.panel.buttons[id];
};

const forgetDevice = (rig: DraftRig, deviceId: string): void => {
  for (const [id, shot] of Object.entries(rig.shots))
    if (shot.deviceId === deviceId) delete rig.shots[id];
  for (const scene of Object.values(rig.scenes))
    if (scene.selects.some((select) => select.deviceId === deviceId))
      scene.selects = scene.selects.filter((select) => select.deviceId !== deviceId);
  for (const scene of Object.values(rig.scenes))
    if (scene.layers.some((layer) => layer.deviceId === deviceId))
      scene.layers = scene.layers.filter((layer) => layer.deviceId !== deviceId);
};

const forgetPerson = (rig: DraftRig, personId: string): void => {
  for (const shot of Object.values(rig.shots)) if (shot.personId === personId) shot.personId = null;
  for (const scene of Object.values(rig.scenes))
    if (scene.heard?.includes(personId)) scene.heard = scene.heard.filter((id) => id !== personId);
  removeButtons(rig, (does) => does.type === 'mute' && does.personId === personId);
};

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  switch (kind) {
    case 'device':
      return forgetDevice(rig, id);
    case 'person':
      return forgetPerson(rig, id);
    case 'sight':
      for (const shot of Object.values(rig.shots)) if (shot.sightId === id) shot.sightId = null;
      return;
    case 'scene':
      return removeButtons(rig, (does) => does.type === 'scene' && does.sceneId === id);
    case 'hand':
      for (const button of Object.values(rig.panel.buttons))
        if (button.handId === id) button.handId = null;
      return;
    case 'place':
    case 'support':
    case 'noise':
    case 'lens':
      return;
  }
};

export const limits = {};
