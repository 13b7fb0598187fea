import type { SimpleCommand } from '.';
import { classById } from '../catalogue';
import { voice } from '../rules/rigs-for-cases';

export const rig = voice().place('table', 'Table').build();

export const add = (deviceId: string, classId: string): SimpleCommand => ({
  type: 'addDevice',
  deviceId,
  name: deviceId,
  model: classById(classId),
  settings: {},
  personId: null,
  placeId: null,
});

export const wire = (
  linkId: string,
  from: string,
  to: string,
  kind: 'balanced' | 'unbalanced' | 'hdmi' | 'usb-2' | 'inside',
  lengthM = 2,
): SimpleCommand => {
  const end = (text: string) => ({
    deviceId: text.split('.')[0] ?? '',
    portId: text.split('.')[1] ?? '',
  });
  return { type: 'connect', linkId, from: end(from), to: end(to), cable: { kind, lengthM } };
};
