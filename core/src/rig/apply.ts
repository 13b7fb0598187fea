import { current, type Draft, enablePatches, type Patch, produceWithPatches } from 'immer';
import { CABLES } from '../catalogue/cables';
import {
  applyProgramme,
  forgetDevice,
  forgetSubject,
  type ProgrammeCommand,
} from './apply-programme';
import { applyRoom } from './apply-room';
import { USUAL_BRIEF } from './brief';
import { mustHave, nextOrder } from './collections';
import type { Change, Command, SimpleCommand } from './commands';
import { isDeepEqual } from './deepEqual';
import { setFigure } from './figures';
import { mate, portAt, takesMany } from './mating';
import { isHeld, linksOf, plug, unplug } from './plugs';
import { refusals } from './refusal';
import { replaceModel } from './replace-model';
import { revertChanges } from './revert';
import { entry, MAX_DEVICES, MAX_LINKS, type Rig } from './rig';
import { settingProblem } from './settings';

enablePatches();

type DraftRig = Draft<Rig>;

const deviceIn = (rig: DraftRig, id: string) =>
  mustHave(entry(rig.devices, id), refusals.noDevice(id));

const checkOwners = (rig: DraftRig, personId: string | null, placeId: string | null): void => {
  if (personId !== null && !entry(rig.people, personId)) throw refusals.noPerson(personId);
  if (placeId !== null && !entry(rig.places, placeId)) throw refusals.noPlace(placeId);
};

const briefIn = (rig: DraftRig) => mustHave(rig.brief ?? undefined, refusals.noBrief());

const checkPeople = (rig: DraftRig, people: readonly string[]): void => {
  for (const id of people) if (!entry(rig.people, id)) throw refusals.noPerson(id);
};

const connect = (rig: DraftRig, command: Extract<SimpleCommand, { type: 'connect' }>): void => {
  if (entry(rig.links, command.linkId)) throw refusals.idTaken(command.linkId);
  if (Object.keys(rig.links).length >= MAX_LINKS) throw refusals.tooMany('connections', MAX_LINKS);
  const fromDevice = deviceIn(rig, command.from.deviceId);
  const toDevice = deviceIn(rig, command.to.deviceId);
  const from = mustHave(
    portAt(rig, command.from),
    refusals.noPort(fromDevice.name, command.from.portId),
  );
  const to = mustHave(portAt(rig, command.to), refusals.noPort(toDevice.name, command.to.portId));
  if (command.from.deviceId === command.to.deviceId) throw refusals.itself(fromDevice.name);
  const fromName = `${fromDevice.name}, ${from.name}`;
  const toName = `${toDevice.name}, ${to.name}`;
  const mating = mate(from, to);
  if (!mating.can) throw refusals.cannotJoin(fromName, toName, mating.why);
  if (!mating.cables.includes(command.cable.kind))
    throw refusals.cableMisfit(CABLES[command.cable.kind].name);
  if (!takesMany(from) && isHeld(rig.links, command.from))
    throw refusals.portHeld(fromDevice.name, from.name);
  if (!takesMany(to) && isHeld(rig.links, command.to))
    throw refusals.portHeld(toDevice.name, to.name);
  const [sending, receiving] = mating.flipped
    ? [command.to, command.from]
    : [command.from, command.to];
  plug(rig.links, command.linkId, {
    from: { ...sending },
    to: { ...receiving },
    cable: { ...command.cable },
  });
};

const removeDevice = (rig: DraftRig, deviceId: string): void => {
  deviceIn(rig, deviceId);
  for (const id of linksOf(rig.links, deviceId)) unplug(rig.links, id);
  forgetDevice(rig, deviceId);
  delete rig.devices[deviceId];
};

const applySimple = (rig: DraftRig, command: SimpleCommand): void => {
  switch (command.type) {
    case 'renameRig':
      rig.name = command.name;
      return;
    case 'writeNotes':
      rig.notes = command.notes;
      return;
    case 'setHouseRules':
      Object.assign(rig.houseRules, command.rules);
      return;
    case 'writeBrief':
      if (rig.brief) Object.assign(rig.brief, command.brief);
      else rig.brief = { ...USUAL_BRIEF, sights: {}, deliverables: {}, ...command.brief };
      return;
    case 'addSight': {
      const { sights } = briefIn(rig);
      if (entry(sights, command.sightId)) throw refusals.idTaken(command.sightId);
      checkPeople(rig, command.sight.people);
      sights[command.sightId] = {
        ...command.sight,
        people: [...command.sight.people],
        order: nextOrder(sights),
      };
      return;
    }
    case 'changeSight':
      checkPeople(rig, command.sight.people ?? []);
      Object.assign(
        mustHave(entry(briefIn(rig).sights, command.sightId), refusals.noSight(command.sightId)),
        command.sight,
      );
      return;
    case 'removeSight':
      mustHave(entry(briefIn(rig).sights, command.sightId), refusals.noSight(command.sightId));
      for (const device of Object.values(rig.devices))
        if (device.sightId === command.sightId) device.sightId = null;
      forgetSubject(rig, { sightId: command.sightId });
      delete briefIn(rig).sights[command.sightId];
      return;
    case 'addDeliverable': {
      const { deliverables } = briefIn(rig);
      if (entry(deliverables, command.deliverableId)) throw refusals.idTaken(command.deliverableId);
      deliverables[command.deliverableId] = {
        ...command.deliverable,
        order: nextOrder(deliverables),
      };
      return;
    }
    case 'changeDeliverable':
      Object.assign(
        mustHave(
          entry(briefIn(rig).deliverables, command.deliverableId),
          refusals.noDeliverable(command.deliverableId),
        ),
        command.deliverable,
      );
      return;
    case 'removeDeliverable':
      mustHave(
        entry(briefIn(rig).deliverables, command.deliverableId),
        refusals.noDeliverable(command.deliverableId),
      );
      delete briefIn(rig).deliverables[command.deliverableId];
      return;
    case 'addPerson':
      if (entry(rig.people, command.personId)) throw refusals.idTaken(command.personId);
      rig.people[command.personId] = { ...command.person, order: nextOrder(rig.people) };
      return;
    case 'changePerson':
      Object.assign(
        mustHave(entry(rig.people, command.personId), refusals.noPerson(command.personId)),
        command.person,
      );
      return;
    case 'removePerson':
      mustHave(entry(rig.people, command.personId), refusals.noPerson(command.personId));
      for (const device of Object.values(rig.devices))
        if (device.personId === command.personId) device.personId = null;
      for (const sight of Object.values(rig.brief?.sights ?? {}))
        if (sight.people.includes(command.personId))
          sight.people = sight.people.filter((id) => id !== command.personId);
      forgetSubject(rig, { personId: command.personId });
      delete rig.people[command.personId];
      return;
    case 'addPlace':
      if (entry(rig.places, command.placeId)) throw refusals.idTaken(command.placeId);
      rig.places[command.placeId] = { ...command.place, order: nextOrder(rig.places) };
      return;
    case 'renamePlace':
      mustHave(entry(rig.places, command.placeId), refusals.noPlace(command.placeId)).name =
        command.name;
      return;
    case 'removePlace':
      mustHave(entry(rig.places, command.placeId), refusals.noPlace(command.placeId));
      for (const device of Object.values(rig.devices))
        if (device.placeId === command.placeId) device.placeId = null;
      delete rig.places[command.placeId];
      return;
    case 'addDevice': {
      if (entry(rig.devices, command.deviceId)) throw refusals.idTaken(command.deviceId);
      if (Object.keys(rig.devices).length >= MAX_DEVICES)
        throw refusals.tooMany('devices', MAX_DEVICES);
      checkOwners(rig, command.personId, command.placeId);
      for (const [control, value] of Object.entries(command.settings)) {
        const problem = settingProblem(command.model, control, value);
        if (problem) throw refusals.badSetting(command.name, problem);
      }
      const { name, model, settings, personId, placeId } = command;
      rig.devices[command.deviceId] = {
        name,
        model,
        settings: { ...settings },
        personId,
        placeId,
        sightId: null,
        price: null,
        ownership: 'to buy',
        at: null,
        aim: null,
        order: nextOrder(rig.devices),
      };
      return;
    }
    case 'removeDevice':
      removeDevice(rig, command.deviceId);
      return;
    case 'renameDevice':
      deviceIn(rig, command.deviceId).name = command.name;
      return;
    case 'assignDevice': {
      const device = deviceIn(rig, command.deviceId);
      checkOwners(rig, command.personId, command.placeId);
      device.personId = command.personId;
      device.placeId = command.placeId;
      return;
    }
    case 'showSight':
      if (command.sightId !== null && !entry(briefIn(rig).sights, command.sightId))
        throw refusals.noSight(command.sightId);
      deviceIn(rig, command.deviceId).sightId = command.sightId;
      return;
    case 'placeDevice':
      Object.assign(deviceIn(rig, command.deviceId), { at: command.at, aim: command.aim });
      return;
    case 'setOwnership':
      Object.assign(deviceIn(rig, command.deviceId), {
        ownership: command.ownership,
        price: command.price,
      });
      return;
    case 'setControl': {
      const device = deviceIn(rig, command.deviceId);
      const problem = settingProblem(device.model, command.control, command.value);
      if (problem) throw refusals.badSetting(device.name, problem);
      device.settings[command.control] = command.value;
      return;
    }
    case 'setFigure': {
      const device = deviceIn(rig, command.deviceId);
      device.model = setFigure(device.name, current(device.model), command.path, command.value);
      return;
    }
    case 'connect':
      connect(rig, command);
      return;
    case 'disconnect':
      mustHave(entry(rig.links, command.linkId), refusals.noLink(command.linkId));
      unplug(rig.links, command.linkId);
      return;
    case 'setCable': {
      const link = mustHave(entry(rig.links, command.linkId), refusals.noLink(command.linkId));
      const from = portAt(rig, link.from);
      const to = portAt(rig, link.to);
      const mating = from && to && mate(from, to);
      if (!mating?.can || !mating.cables.includes(command.cable.kind))
        throw refusals.cableMisfit(CABLES[command.cable.kind].name);
      link.cable = { ...command.cable };
      return;
    }
    case 'replaceModel':
      replaceModel(rig, deviceIn(rig, command.deviceId), command.deviceId, command.model);
      return;
    case 'setRoom':
    case 'addNoise':
    case 'changeNoise':
    case 'removeNoise':
      return applyRoom(rig, command);
    default:
      return applyProgramme(rig, command satisfies ProgrammeCommand);
  }
};

/** Pairs immer's patches with their inverses: each path once, with what stood there before and after. */
const pairUp = (patches: readonly Patch[], inverse: readonly Patch[]): Change[] => {
  const byPath = new Map<string, { path: string[]; before?: unknown; after?: unknown }>();
  const at = (patch: Patch) => {
    const path = patch.path.map(String);
    const key = JSON.stringify(path);
    const change = byPath.get(key) ?? { path };
    byPath.set(key, change);
    return change;
  };
  for (const patch of patches) {
    const change = at(patch);
    if (patch.op !== 'remove') change.after = patch.value;
  }
  for (const patch of inverse) {
    const change = at(patch);
    if (patch.op !== 'remove') change.before = patch.value;
  }
  return [...byPath.values()].filter(
    (change) => !isDeepEqual(change.before, change.after),
  ) as Change[];
};

export interface Applied {
  readonly rig: Rig;
  /** What the command changed, enough to take it back */
  readonly changes: readonly Change[];
}

/**
 * The one function that changes a rig. Pure: the rig given is never touched.
 * @param command already parsed by `commandSchema`
 * @returns the same rig and no changes where the command changes nothing
 * @throws Refusal when the command would make the rig inconsistent; then nothing has happened
 */
export const applyTracked = (rig: Rig, command: Command): Applied => {
  if (command.type === 'revert')
    return { rig: revertChanges(rig, command.changes), changes: command.changes };
  const [next, patches, inverse] = produceWithPatches(rig, (draft) => {
    for (const part of command.type === 'batch' ? command.commands : [command])
      applySimple(draft, part);
  });
  const changes = pairUp(patches, inverse);
  return changes.length === 0 ? { rig, changes } : { rig: next, changes };
};

/** `applyTracked` without the changes. @throws Refusal */
export const apply = (rig: Rig, command: Command): Rig => applyTracked(rig, command).rig;
