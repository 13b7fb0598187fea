import type { Measured } from '../../passes/measured';
import { inOrder } from '../../rig';
import { at } from '../about';
import { pictureRule } from '../rule-of';

/** Lenses that more than one camera has, with those cameras. */
const shared = (measured: Measured): { name: string; deviceIds: readonly string[] }[] =>
  inOrder(measured.rig.lenses).flatMap(([id, { name }]) => {
    const deviceIds = [...measured.graph.devices.values()]
      .filter((node) => measured.device(node).lensId === id)
      .map((node) => node.id);
    return deviceIds.length > 1 ? [{ name, deviceIds }] : [];
  });

export const lensTwice = pictureRule(
  'picture.lens-twice',
  {
    looksFor: 'One lens on two cameras.',
    why: 'It can be on one of them at a time: the other has none.',
    remedy: 'Put another lens on one of them.',
    source: 'handbook 3-picture: lenses are things that exist',
  },
  (measured) =>
    shared(measured).flatMap(({ name, deviceIds }) => {
      const [, second] = deviceIds;
      return second === undefined
        ? []
        : [
            {
              level: 'stop' as const,
              about: at({ deviceId: second }),
              title: `${name} is on ${deviceIds.length} cameras`,
              says:
                `${name} is said to be on ${deviceIds.map((id) => measured.device({ id }).name).join(' and ')}: ` +
                'it can be on one at a time. Put another lens on the others.',
            },
          ];
    }),
  {
    fixes: (measured, { about: { deviceId } }) =>
      shared(measured)
        .filter(({ deviceIds }) => deviceIds[1] === deviceId)
        .map(({ name, deviceIds }) => {
          const label = `Leave ${name} on ${measured.device({ id: deviceIds[0] ?? '' }).name} alone`;
          return {
            label,
            command: {
              type: 'batch' as const,
              label,
              commands: deviceIds
                .slice(1)
                .map((id) => ({ type: 'mountLens' as const, deviceId: id, lensId: null })),
            },
          };
        }),
  },
);
