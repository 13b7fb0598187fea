import type { Draft } from 'immer';
import { mustHave, nextOrder } from './collections';
import type { SimpleCommand } from './commands';
import type { Does, Layer, ShotPlan } from './programme';
import { refusals } from './refusal';
import { entry, type Rig } from './rig';

type DraftRig = Draft<Rig>;

/** Commands that change shots, scenes and the panel. */
export type ProgrammeCommand = Extract<
  SimpleCommand,
  {
    type:
      | 'addShot'
      | 'changeShot'
      | 'removeShot'
      | 'addScene'
      | 'changeScene'
      | 'removeScene'
      | 'setPanel'
      | 'addButton'
      | 'changeButton'
      | 'removeButton';
  }
>;

const checkDevice = (rig: DraftRig, id: string): void =>
  void mustHave(entry(rig.devices, id), refusals.noDevice(id));
const checkPerson = (rig: DraftRig, id: string): void =>
  void mustHave(entry(rig.people, id), refusals.noPerson(id));

const checkShot = (rig: DraftRig, shot: Partial<ShotPlan>): void => {
  if (shot.deviceId !== undefined) checkDevice(rig, shot.deviceId);
  if (shot.personId) checkPerson(rig, shot.personId);
  if (shot.sightId)
    mustHave(entry(rig.brief?.sights ?? {}, shot.sightId), refusals.noSight(shot.sightId));
};

const checkScene = (
  rig: DraftRig,
  {
    layers = [],
    heard,
  }: { layers?: readonly Layer[] | undefined; heard?: readonly string[] | null | undefined },
): void => {
  for (const { deviceId } of layers) checkDevice(rig, deviceId);
  for (const id of heard ?? []) checkPerson(rig, id);
};

const checkDoes = (rig: DraftRig, does: Does | undefined): void => {
  if (does?.type === 'scene')
    mustHave(entry(rig.scenes, does.sceneId), refusals.noScene(does.sceneId));
  if (does?.type === 'mute') checkPerson(rig, does.personId);
};

const removeButtons = (rig: DraftRig, goes: (does: Does) => boolean): void => {
  for (const [id, { does }] of Object.entries(rig.panel.buttons))
    if (goes(does)) delete rig.panel.buttons[id];
};

/** Takes a device that leaves the rig out of every shot and scene. */
export const forgetDevice = (rig: DraftRig, deviceId: string): void => {
  for (const [id, shot] of Object.entries(rig.shots))
    if (shot.deviceId === deviceId) delete rig.shots[id];
  for (const scene of Object.values(rig.scenes))
    if (scene.layers.some((layer) => layer.deviceId === deviceId))
      scene.layers = scene.layers.filter((layer) => layer.deviceId !== deviceId);
};

/** Takes a person or a sight that leaves the rig out of shots, scenes and the panel. */
export const forgetSubject = (
  rig: DraftRig,
  subject: { personId: string } | { sightId: string },
): void => {
  for (const shot of Object.values(rig.shots)) {
    if ('personId' in subject && shot.personId === subject.personId) shot.personId = null;
    if ('sightId' in subject && shot.sightId === subject.sightId) shot.sightId = null;
  }
  if (!('personId' in subject)) return;
  for (const scene of Object.values(rig.scenes))
    if (scene.heard?.includes(subject.personId))
      scene.heard = scene.heard.filter((id) => id !== subject.personId);
  removeButtons(rig, (does) => does.type === 'mute' && does.personId === subject.personId);
};

/** Changes shots, scenes and the panel. @throws Refusal for a reference that leads nowhere */
export const applyProgramme = (rig: DraftRig, command: ProgrammeCommand): void => {
  switch (command.type) {
    case 'addShot':
      if (entry(rig.shots, command.shotId)) throw refusals.idTaken(command.shotId);
      checkShot(rig, command.shot);
      rig.shots[command.shotId] = { ...command.shot, order: nextOrder(rig.shots) };
      return;
    case 'changeShot':
      checkShot(rig, command.shot);
      Object.assign(
        mustHave(entry(rig.shots, command.shotId), refusals.noShot(command.shotId)),
        command.shot,
      );
      return;
    case 'removeShot':
      mustHave(entry(rig.shots, command.shotId), refusals.noShot(command.shotId));
      delete rig.shots[command.shotId];
      return;
    case 'addScene':
      if (entry(rig.scenes, command.sceneId)) throw refusals.idTaken(command.sceneId);
      checkScene(rig, command.scene);
      rig.scenes[command.sceneId] = { ...command.scene, order: nextOrder(rig.scenes) };
      return;
    case 'changeScene':
      checkScene(rig, command.scene);
      Object.assign(
        mustHave(entry(rig.scenes, command.sceneId), refusals.noScene(command.sceneId)),
        command.scene,
      );
      return;
    case 'removeScene':
      mustHave(entry(rig.scenes, command.sceneId), refusals.noScene(command.sceneId));
      removeButtons(rig, (does) => does.type === 'scene' && does.sceneId === command.sceneId);
      delete rig.scenes[command.sceneId];
      return;
    case 'setPanel':
      rig.panel.columns = command.columns;
      return;
    case 'addButton':
      if (entry(rig.panel.buttons, command.buttonId)) throw refusals.idTaken(command.buttonId);
      checkDoes(rig, command.button.does);
      rig.panel.buttons[command.buttonId] = {
        ...command.button,
        order: nextOrder(rig.panel.buttons),
      };
      return;
    case 'changeButton':
      checkDoes(rig, command.button.does);
      Object.assign(
        mustHave(entry(rig.panel.buttons, command.buttonId), refusals.noButton(command.buttonId)),
        command.button,
      );
      return;
    case 'removeButton':
      mustHave(entry(rig.panel.buttons, command.buttonId), refusals.noButton(command.buttonId));
      delete rig.panel.buttons[command.buttonId];
      return;
  }
};

/** References of shots, scenes and the panel that lead nowhere. @returns where and what, as `inconsistencies` does */
export const programmeProblems = (rig: Rig): { path: string[]; says: string }[] => {
  const problems: { path: string[]; says: string }[] = [];
  const needs = (
    collection: Readonly<Record<string, unknown>>,
    what: string,
    path: string[],
    id: string | null,
  ): void => {
    if (id !== null && !Object.hasOwn(collection, id))
      problems.push({ path, says: `there is no ${what} "${id}"` });
  };
  for (const [id, shot] of Object.entries(rig.shots)) {
    needs(rig.devices, 'device', ['shots', id, 'deviceId'], shot.deviceId);
    needs(rig.people, 'person', ['shots', id, 'personId'], shot.personId);
    needs(rig.brief?.sights ?? {}, 'sight', ['shots', id, 'sightId'], shot.sightId);
  }
  for (const [id, scene] of Object.entries(rig.scenes)) {
    scene.layers.forEach((layer, index) =>
      needs(
        rig.devices,
        'device',
        ['scenes', id, 'layers', String(index), 'deviceId'],
        layer.deviceId,
      ),
    );
    for (const personId of scene.heard ?? [])
      needs(rig.people, 'person', ['scenes', id, 'heard'], personId);
  }
  for (const [id, { does }] of Object.entries(rig.panel.buttons)) {
    if (does.type === 'scene')
      needs(rig.scenes, 'scene', ['panel', 'buttons', id, 'does', 'sceneId'], does.sceneId);
    if (does.type === 'mute')
      needs(rig.people, 'person', ['panel', 'buttons', id, 'does', 'personId'], does.personId);
  }
  return problems;
};
