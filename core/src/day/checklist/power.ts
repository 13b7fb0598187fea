import type { Measured } from '../../passes/measured';
import { batteryOf, feedLoadings } from '../../passes/power';
import { driveLoads } from '../../passes/computer/lines';
import { figure } from '../../passes/sum';
import { phantomPorts } from '../phantom';
import { type Device, entry, inOrder, type Rig } from '../../rig';
import { hoursText } from '../rundown';
import { about, type CheckLine, line } from './line';

/** Lines about what is switched on and written on. */

/** Loudspeakers go on last and off first: what is switched before them makes them crack. */
const isLoud = ({ kind }: Device['model']): boolean => kind === 'loudspeaker';

export const powerLines = (analysis: Measured): CheckLine[] => {
  const { rig } = analysis;
  const loud = inOrder(rig.devices).filter(([, { model }]) => isLoud(model));
  const feeds = feedLoadings(analysis).filter(({ drawn }) => drawn.length > 0);
  const on = feeds.map(({ feedId, feed, typicalW }, at) =>
    line({
      id: `on ${feedId}`,
      phase: 'set up',
      what: `Switch on what hangs on ${feed.name}`,
      where: feed.name,
      why: 'What stays off now is missed when everybody waits.',
      figure: `${figure(typicalW, 0)} W in use`,
      lookUp: 'power',
      caution:
        at === 0
          ? 'A plug that is warm or a breaker that trips: stop, and have it looked at.'
          : null,
    }),
  );
  const off = [...feeds].reverse().map(({ feedId, feed }) =>
    line({
      id: `off ${feedId}`,
      phase: 'strike',
      what: `Switch off what hangs on ${feed.name}`,
      where: feed.name,
      why: 'Computers and recorders are closed before their power goes.',
      lookUp: 'power',
    }),
  );
  return [
    ...on,
    ...loud.map(([id, device]) =>
      line({
        ...about(rig, id, device),
        id: `loud-on ${id}`,
        phase: 'set up',
        what: `${device.name} on, last of all, turned down`,
        why: 'What is switched on before it makes it crack.',
        caution: 'A crack at full level hurts ears: turn it down first.',
      }),
    ),
    ...loud.map(([id, device]) =>
      line({
        ...about(rig, id, device),
        id: `loud-off ${id}`,
        phase: 'strike',
        what: `${device.name} off, before anything else`,
        why: 'What is switched off before it makes it crack.',
      }),
    ),
    ...off,
  ];
};

/** Devices that supply phantom power, with the inputs where it is on, in the order people count in. */
const phantoms = (rig: Rig) =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const inputs = [...phantomPorts(device)].map(
      (portId) => entry(device.model.ports, portId)?.name ?? portId,
    );
    const counted = inputs.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
    return counted.length === 0 ? [] : [{ id, device, inputs: counted.join(', ') }];
  });

export const phantomLines = (rig: Rig): CheckLine[] =>
  phantoms(rig).flatMap(({ id, device, inputs }) => [
    line({
      ...about(rig, id, device),
      id: `phantom-on ${id}`,
      phase: 'set up',
      what: `Phantom power on at ${device.name}`,
      why: 'Only after everything is plugged: plugging with it on cracks and can harm.',
      figure: inputs,
      lookUp: 'gain',
      isMust: true,
    }),
    line({
      ...about(rig, id, device),
      id: `phantom-off ${id}`,
      phase: 'strike',
      what: `Phantom power off at ${device.name}`,
      why: 'Before anything is unplugged; then wait ten seconds.',
      figure: inputs,
    }),
  ]);

export const mediumLines = (analysis: Measured): CheckLine[] =>
  driveLoads(analysis)
    .filter(({ files }) => files.length > 0)
    .flatMap(({ node, storage, hours }) => {
      const device = analysis.device(node);
      const of = { ...about(analysis.rig, node.id, device), lookUp: 'files' as const };
      const holds = hours === null ? null : `holds ${hoursText(hours * 60)}`;
      const medium = storage.medium === 'card' ? 'card' : 'drive';
      return [
        line({
          ...of,
          id: `medium ${node.id}`,
          phase: 'set up',
          what:
            medium === 'card'
              ? `Format the card of ${device.name}, only when its files are safe`
              : `Room left on the drive of ${device.name}`,
          why: 'A medium that is full ends the recording in the middle of the show.',
          figure: holds,
          isMust: true,
          caution:
            medium === 'card'
              ? 'Formatting cannot be taken back: two verified copies first.'
              : null,
        }),
        line({
          ...of,
          id: `records ${node.id}`,
          phase: 'go live',
          what: `${device.name} records, and is seen counting`,
          why: 'A red light alone is no recording.',
          isMust: true,
        }),
        line({
          ...of,
          id: `stop ${node.id}`,
          phase: 'strike',
          what: `Stop ${device.name} and wait until it is done writing`,
          why: 'A file that is not closed may not open again.',
        }),
        line({
          ...of,
          id: `copy ${node.id}`,
          phase: 'strike',
          what: `Label the ${medium} of ${device.name}, copy it, verify the copies`,
          why: 'Until then there is one of everything.',
        }),
      ];
    });

export const batteryLines = (analysis: Measured): CheckLine[] =>
  inOrder(analysis.rig.devices).flatMap(([id, device]) => {
    const battery = batteryOf(device);
    return battery === null
      ? []
      : [
          line({
            ...about(analysis.rig, id, device),
            id: `battery ${id}`,
            phase: 'go live',
            what: `A full battery in ${device.name}`,
            why: 'It is reckoned from here on.',
            figure: `lasts ${hoursText(battery.lastsMin)}`,
            lookUp: 'power',
            isMust: true,
          }),
        ];
  });
