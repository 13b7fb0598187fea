import { explainBranch } from '../../passes/computer/sums';
import { figure } from '../../passes/sum';
import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'computer.controller-full';

export const controllerFull: Rule = {
  code: CODE,
  area: 'computer',
  matters: ['size'],
  looksFor:
    'Ports of one USB controller through which, together, more is sent than the controller carries.',
  why: 'Ports side by side often share one controller; each is fast alone and not all at once.',
  remedy: 'Spread the capture devices over ports of different controllers.',
  source: 'handbook 3-picture, into the computer',
  find: (measured) =>
    measured.usb.controllers
      .filter(
        (branch) =>
          branch.loadMBps > branch.limitMBps &&
          ![...measured.usb.links.values()].some(
            (link) => link.loadMBps > link.limitMBps && link.link.to.device.id === branch.deviceId,
          ),
      )
      .map((branch) => ({
        code: CODE,
        area: 'computer',
        level: 'stop',
        about: at({ deviceId: branch.deviceId, portId: undefined }),
        title: `${figure(branch.loadMBps)} MB/s on one controller`,
        says:
          `The ports of controller ${branch.controller.toUpperCase()} of ` +
          `${measured.device({ id: branch.deviceId }).name} carry ` +
          `${branch.limitMBps} MB/s together and are sent ${figure(branch.loadMBps)} MB/s. ` +
          'Spread the devices over other controllers.',
      })),
  sums: (measured, { about }) =>
    measured.usb.controllers
      .filter((branch) => branch.deviceId === about.deviceId && branch.loadMBps > branch.limitMBps)
      .flatMap((branch) => explainBranch(`Controller ${branch.controller.toUpperCase()}`, branch)),
};
