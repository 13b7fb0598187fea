import { explainBranch } from '../../passes/computer/sums';
import { figure } from '../../passes/sum';
import type { UsbControllerBranch } from '../../passes/computer';
import type { Measured } from '../../passes/measured';
import { type About, aboutKey, at } from '../about';
import type { Rule } from '../rule';

const CODE = 'computer.controller-full';

const isFull = ({ loadMBps, limitMBps }: UsbControllerBranch): boolean => loadMBps > limitMBps;

/** Each controller, and each side of it, is a thing of its own. */
const aboutBranch = ({ deviceId, controller, side }: UsbControllerBranch): About => ({
  ...at({ deviceId }),
  source: `${controller} ${side}`,
});

/** Whether one of its own links that is too full says it already: without what comes by those it would do. */
const isSaidOfLink = (measured: Measured, branch: UsbControllerBranch): boolean => {
  const full = [...measured.usb.links.values()].filter(
    ({ link: { to }, loadMBps, limitMBps }) =>
      loadMBps > limitMBps &&
      to.device.id === branch.deviceId &&
      to.port.family === 'usb' &&
      to.port.controller === branch.controller,
  );
  const said = new Set(full.flatMap(({ streams }) => streams));
  const rest = branch.streams.filter((stream) => !said.has(stream));
  return said.size > 0 && rest.reduce((sum, { mBps }) => sum + (mBps ?? 0), 0) <= branch.limitMBps;
};

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
      .filter((branch) => isFull(branch) && !isSaidOfLink(measured, branch))
      .map((branch) => ({
        code: CODE,
        area: 'computer',
        level: 'stop',
        about: aboutBranch(branch),
        title: `${figure(branch.loadMBps)} MB/s on one controller`,
        says:
          `${branch.side === 'slow' ? 'Everything at 480 Mb/s on' : 'The ports of'} controller ` +
          `${branch.controller.toUpperCase()} of ${measured.device({ id: branch.deviceId }).name} ` +
          `${branch.side === 'slow' ? 'shares' : 'carry'} ${branch.limitMBps} MB/s together and are sent ` +
          `${figure(branch.loadMBps)} MB/s. ` +
          'Spread the devices over other controllers.',
      })),
  sums: (measured, { about }) =>
    measured.usb.controllers
      .filter((branch) => isFull(branch) && aboutKey(aboutBranch(branch)) === aboutKey(about))
      .flatMap((branch) => explainBranch(`Controller ${branch.controller.toUpperCase()}`, branch)),
};
