import { anyId } from '../chance';
import { collection } from '../collection';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { type DraftRig, type Gone, missing, type Problem } from '../slice';
import { reminderSchema, type Reminder } from './schema';

export { blank, shape } from './shape';

/** What a reminder is about, by name. */
const ownerName = (rig: Rig, { deviceId, personId }: Pick<Reminder, 'deviceId' | 'personId'>) =>
  deviceId !== null
    ? (entry(rig.devices, deviceId)?.name ?? deviceId)
    : personId !== null
      ? (entry(rig.people, personId)?.name ?? personId)
      : 'the room';

export const commands = collection({
  key: 'reminder',
  many: 'settings to repeat',
  fields: reminderSchema.omit({ order: true }),
  at: (rig) => rig.reminders,
  read: (rig) => rig.reminders,
  none: refusals.noReminder,
  check: (rig, { deviceId, personId }) => {
    if (deviceId) mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
    if (personId) mustHave(entry(rig.people, personId), refusals.noPerson(personId));
  },
  says: {
    add: (fields, rig) => `Noted for ${ownerName(rig, fields)}: ${fields.what}, ${fields.value}.`,
    change: (what) => `Changed the setting to repeat ${what}.`,
    remove: (what) => `Removed the setting to repeat ${what}.`,
    name: ({ what }) => what,
  },
  arbitrary: (chance, rig) => ({
    deviceId: anyId(chance, rig.devices),
    personId: null,
    what: chance.oneOf(['Clean output', 'Sleep', 'Firmware']),
    value: chance.oneOf(['on', 'off', '2.10']),
  }),
});

export const problems = ({ reminders, devices, people }: Rig): Problem[] =>
  Object.entries(reminders).flatMap(([id, { deviceId, personId }]) => [
    ...missing(devices, 'device', ['reminders', id, 'deviceId'], deviceId),
    ...missing(people, 'person', ['reminders', id, 'personId'], personId),
  ]);

export const forget = ({ reminders }: DraftRig, { kind, id }: Gone): void => {
  for (const [key, { deviceId, personId }] of Object.entries(reminders))
    if ((kind === 'device' && deviceId === id) || (kind === 'person' && personId === id))
      delete reminders[key];
};

export const limits = {};
