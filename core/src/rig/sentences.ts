import { CABLES } from '../catalogue/cables';
import type { Command, SimpleCommand } from './commands';
import type { ControlValue } from './model';
import { HOUSE_QUESTIONS, type HouseQuestionKey } from './house-questions';
import { portAt } from './mating';
import { entry, type CableRun, type End, type Rig } from './rig';

const deviceName = (rig: Rig, id: string): string => entry(rig.devices, id)?.name ?? `“${id}”`;
const endName = (rig: Rig, end: End): string =>
  `${deviceName(rig, end.deviceId)} (${portAt(rig, end)?.name ?? end.portId})`;

const sightName = (rig: Rig, id: string): string =>
  entry(rig.brief?.sights ?? {}, id)?.name ?? `“${id}”`;
const deliverableName = (rig: Rig, id: string): string =>
  entry(rig.brief?.deliverables ?? {}, id)?.name ?? `“${id}”`;

const shotName = (rig: Rig, id: string): string => {
  const shot = entry(rig.shots, id);
  return shot ? deviceName(rig, shot.deviceId) : `“${id}”`;
};
const sceneName = (rig: Rig, id: string): string => entry(rig.scenes, id)?.name ?? `“${id}”`;
const noiseName = (rig: Rig, id: string): string => entry(rig.noises, id)?.name ?? `“${id}”`;
const buttonName = (rig: Rig, id: string): string =>
  entry(rig.panel.buttons, id)?.label ?? `“${id}”`;

const valueName = (rig: Rig, deviceId: string, controlId: string, value: ControlValue): string => {
  const device = entry(rig.devices, deviceId);
  const control = device && entry(device.model.controls, controlId);
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (control?.type === 'gain') return `${value} dB`;
  if (control?.type === 'amount') return `${value} ${control.unit}`.trim();
  if (control?.type === 'choice')
    return control.options.find((option) => option.value === value)?.label ?? String(value);
  return String(value);
};

const NUMBER_RULE_NAMES: Readonly<Record<string, string>> = {
  headroomDb: 'headroom',
  minimumSnrDb: 'least signal-to-noise ratio',
  voiceOverRoomDb: 'voice over the noise of the room',
  reachWarnShare: 'cable reach warning',
  recordingsOfVoice: 'recordings of each voice',
  chosenFormat: 'the format pictures are wanted in',
  uplinkShare: 'share of the uplink used',
};
const isQuestion = (key: string): key is HouseQuestionKey => Object.hasOwn(HOUSE_QUESTIONS, key);
const ruleName = (key: string): string =>
  isQuestion(key) ? HOUSE_QUESTIONS[key].question.toLowerCase() : (NUMBER_RULE_NAMES[key] ?? key);
const schoolName = (key: string, value: unknown): string =>
  isQuestion(key)
    ? (HOUSE_QUESTIONS[key].schools.find((school) => school.value === value)?.label ??
      String(value))
    : String(value);

const withCable = ({ kind, lengthM }: CableRun): string =>
  kind === 'inside' ? '' : ` with ${lengthM} m of ${CABLES[kind].name}`;

const simpleSentence = (rig: Rig, command: SimpleCommand): string => {
  switch (command.type) {
    case 'renameRig':
      return `Renamed the rig to ${command.name}.`;
    case 'writeNotes':
      return 'Wrote the notes.';
    case 'setHouseRules':
      return `Set the house rule${Object.keys(command.rules).length === 1 ? '' : 's'} for ${Object.entries(
        command.rules,
      )
        .map(([rule, value]) => `${ruleName(rule)} to ${schoolName(rule, value)}`)
        .join(' and ')}.`;
    case 'writeBrief':
      return rig.brief === null ? 'Began the brief.' : 'Changed the brief.';
    case 'addSight':
      return `Added ${command.sight.name} to what must be seen.`;
    case 'changeSight':
      return `Changed how ${sightName(rig, command.sightId)} must be seen.`;
    case 'removeSight':
      return `Removed ${sightName(rig, command.sightId)} from what must be seen.`;
    case 'addDeliverable':
      return `Added ${command.deliverable.name} to what is delivered.`;
    case 'changeDeliverable':
      return `Changed ${deliverableName(rig, command.deliverableId)}.`;
    case 'removeDeliverable':
      return `Removed ${deliverableName(rig, command.deliverableId)} from what is delivered.`;
    case 'showSight':
      return command.sightId === null
        ? `${deviceName(rig, command.deviceId)} shows nothing of the brief any more.`
        : `${deviceName(rig, command.deviceId)} shows ${sightName(rig, command.sightId)}.`;
    case 'placeDevice':
      return `Placed ${deviceName(rig, command.deviceId)}.`;
    case 'setRoom':
      return 'Changed what is known of the room.';
    case 'addNoise':
      return `Added ${command.noise.name} to what makes noise.`;
    case 'changeNoise':
      return command.noise.at !== undefined && Object.keys(command.noise).length === 1
        ? `Moved ${noiseName(rig, command.noiseId)}.`
        : `Changed ${noiseName(rig, command.noiseId)}.`;
    case 'removeNoise':
      return `Removed ${noiseName(rig, command.noiseId)} from what makes noise.`;
    case 'setOwnership':
      return (
        `${deviceName(rig, command.deviceId)} is ` +
        `${command.ownership}${command.price === null ? '' : ` for ${command.price}`}.`
      );
    case 'addPerson':
      return `Added ${command.person.name} to the people.`;
    case 'changePerson':
      return `Changed what is known of ${entry(rig.people, command.personId)?.name ?? command.personId}.`;
    case 'removePerson':
      return `Removed ${entry(rig.people, command.personId)?.name ?? command.personId} from the people.`;
    case 'addPlace':
      return `Added the place ${command.place.name}.`;
    case 'renamePlace':
      return `Renamed the place ${entry(rig.places, command.placeId)?.name ?? command.placeId} to ${command.name}.`;
    case 'removePlace':
      return `Removed the place ${entry(rig.places, command.placeId)?.name ?? command.placeId}.`;
    case 'addDevice':
      return command.name === command.model.name
        ? `Added ${command.name}.`
        : `Added ${command.name}, a ${command.model.name}.`;
    case 'removeDevice':
      return `Removed ${deviceName(rig, command.deviceId)} and its cables.`;
    case 'renameDevice':
      return `Renamed ${deviceName(rig, command.deviceId)} to ${command.name}.`;
    case 'assignDevice': {
      const owners = [
        command.personId === null
          ? null
          : (entry(rig.people, command.personId)?.name ?? command.personId),
        command.placeId === null
          ? null
          : (entry(rig.places, command.placeId)?.name ?? command.placeId),
      ].filter((name) => name !== null);
      return owners.length
        ? `Gave ${deviceName(rig, command.deviceId)} to ${owners.join(', ')}.`
        : `Took ${deviceName(rig, command.deviceId)} out of its group.`;
    }
    case 'setControl': {
      const device = entry(rig.devices, command.deviceId);
      const control = device && entry(device.model.controls, command.control);
      return (
        `Set ${control?.label ?? command.control} of ${deviceName(rig, command.deviceId)} to ` +
        `${valueName(rig, command.deviceId, command.control, command.value)}.`
      );
    }
    case 'setFigure':
      return (
        `Set ${command.path} of ${deviceName(rig, command.deviceId)} to ` +
        `${command.value === null ? 'unknown' : command.value}, from its data sheet.`
      );
    case 'replaceModel':
      return `Made ${deviceName(rig, command.deviceId)} a ${command.model.name}.`;
    case 'addShot':
      return `Planned a shot for ${deviceName(rig, command.shot.deviceId)}.`;
    case 'changeShot':
      return `Changed the shot of ${shotName(rig, command.shotId)}.`;
    case 'removeShot':
      return `Removed a shot of ${shotName(rig, command.shotId)}.`;
    case 'addScene':
      return `Added the scene ${command.scene.name}.`;
    case 'changeScene':
      return command.scene.name !== undefined
        ? `Renamed the scene ${sceneName(rig, command.sceneId)} to ${command.scene.name}.`
        : `Changed the scene ${sceneName(rig, command.sceneId)}.`;
    case 'removeScene':
      return `Removed the scene ${sceneName(rig, command.sceneId)}.`;
    case 'setPanel':
      return `Laid the panel out in ${command.columns} columns.`;
    case 'addButton':
      return `Put ${command.button.label} on the panel.`;
    case 'changeButton':
      return `Changed the button ${buttonName(rig, command.buttonId)}.`;
    case 'removeButton':
      return `Took ${buttonName(rig, command.buttonId)} off the panel.`;
    case 'connect':
      return `Connected ${endName(rig, command.from)} to ${endName(rig, command.to)}${withCable(command.cable)}.`;
    case 'disconnect': {
      const link = entry(rig.links, command.linkId);
      return link
        ? `Disconnected ${endName(rig, link.from)} from ${endName(rig, link.to)}.`
        : 'Disconnected a cable.';
    }
    case 'setCable': {
      const link = entry(rig.links, command.linkId);
      return (
        'Made the ' +
        `cable${link ? ` from ${endName(rig, link.from)} to ${endName(rig, link.to)}` : ''} ` +
        `${command.cable.lengthM} m of ${CABLES[command.cable.kind].name}.`
      );
    }
  }
};

/**
 * A command as a sentence of the rig's history.
 * @param rig as it stood before the command
 */
export const sentence = (rig: Rig, command: Command): string => {
  switch (command.type) {
    case 'batch':
      return `${command.label}.`.replace(/\.\.$/, '.');
    case 'revert':
      return `${command.does === 'undo' ? 'Took back' : 'Did again'}: ${command.label}`;
    default:
      return simpleSentence(rig, command);
  }
};
