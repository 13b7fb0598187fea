import { classById } from '../catalogue';
import type { DeviceNode, LinkEdge, PortNode } from '../graph';
import type { Measured } from '../passes/measured';
import { apply, entry, freeId, type Kind, type Port, type Rig, type SimpleCommand } from '../rig';
import { cut } from '../rig/text';
import { join } from './join';
import { endOf, goesToCalls, isCard, isFree, isSameLevel } from './sockets';
import { disconnect } from './splice';

/** Ways of putting one thing more, or one that is there, into a rig; which of them help is found by trying. */

export interface Attempt {
  readonly label: string;
  /** What is done with which device, whatever port it ends in: one remedy of each kind is enough */
  readonly kind: string;
  readonly commands: readonly SimpleCommand[];
  /** Only where nothing else helps */
  readonly isLast?: true;
}

/**
 * Free ports of every other device, those of the devices that do most first: mixers and interfaces
 * before computers.
 */
const KINDS_FIRST: readonly Kind[] = [
  'switcher',
  'interface',
  'mixer',
  'headphone-amplifier',
  'capture',
  'recorder',
  'computer',
];

const freePorts = (measured: Measured, without: string): PortNode[] =>
  measured.graph.ports
    .filter((node) => node.device.id !== without && isFree(node) && !isCard(node))
    .sort((a, b) => rank(a.device) - rank(b.device));

const rank = ({ model }: DeviceNode): number => {
  const at = KINDS_FIRST.indexOf(model.kind);
  return at < 0 ? KINDS_FIRST.length : at;
};

/** Every way of putting one cable between a device and the rest. */
export const plugs = (
  measured: Measured,
  rig: Rig,
  deviceId: string,
  deviceName: string,
  before: readonly SimpleCommand[],
  verb: string,
): Attempt[] => {
  const model = entry(rig.devices, deviceId)?.model;
  const ports: Readonly<Record<string, Port>> = model?.ports ?? {};
  const isCall = model?.kind === 'call';
  const held = new Set(
    Object.values(measured.rig.links)
      .flatMap(({ from, to }) => [from, to])
      .filter((end) => end.deviceId === deviceId)
      .map(({ portId }) => portId),
  );
  return Object.keys(ports)
    .filter((portId) => ports[portId]?.family === 'software' || !held.has(portId))
    .flatMap((portId) =>
      freePorts(measured, deviceId).flatMap((far): Attempt[] => {
        const command =
          isSameLevel(ports[portId], far.port) && (isCall || !goesToCalls(far))
            ? join(rig, { deviceId, portId }, endOf(far))
            : null;
        if (!command) return [];
        return [
          {
            label: `${verb} ${deviceName} to ${measured.device(far.device).name}, ${far.port.name}`,
            kind: `${before.length} ${verb} ${deviceId}`,
            commands: [...before, command],
          },
        ];
      }),
    );
};

/** Longer than this no name may be: that of a long-named person and what they are given is cut. */
const MOST_NAME = 80;

/** A device of a class, put into the rig. */
export const added = (
  deviceId: string,
  name: string,
  classId: string,
  personId: string | null = null,
): SimpleCommand => ({
  type: 'addDevice',
  deviceId,
  name: cut(name, MOST_NAME),
  model: classById(classId),
  settings: {},
  personId,
  placeId: null,
});

/** A new device for a person or sight, and every way of plugging it in. */
export const additions = (
  measured: Measured,
  classId: string,
  name: string,
  owner: { personId: string | null; sightId: string | null },
): Attempt[] => {
  const deviceId = freeId(name, measured.rig.devices);
  const before: SimpleCommand[] = [added(deviceId, name, classId, owner.personId)];
  if (owner.sightId !== null) before.push({ type: 'showSight', deviceId, sightId: owner.sightId });
  return plugs(
    measured,
    apply(measured.rig, { type: 'batch', label: 'Add', commands: before }),
    deviceId,
    name,
    before,
    'Add',
  );
};

/** What headphones hang on where every headphone socket is taken. */
const AMPLIFIERS = [
  { classId: 'headphone-amplifier-4', name: 'Headphone amplifier', socket: 'phones-1' },
  { classId: 'personal-mixer', name: 'Personal mixer', socket: 'phones' },
] as const;

/** Headphones on an amplifier of their own. */
export const throughAmplifier = (measured: Measured, name: string, personId: string): Attempt[] =>
  AMPLIFIERS.flatMap((amplifier) => {
    const { rig } = measured;
    const amplifierId = freeId(amplifier.name, rig.devices);
    const phonesId = freeId(`${name} headphones`, rig.devices);
    const before: SimpleCommand[] = [
      added(amplifierId, amplifier.name, amplifier.classId),
      added(phonesId, `${name} headphones`, 'headphones-closed', personId),
    ];
    const ready = apply(rig, { type: 'batch', label: 'Add', commands: before });
    const phones = join(
      ready,
      { deviceId: amplifierId, portId: amplifier.socket },
      { deviceId: phonesId, portId: 'in' },
    );
    if (!phones) return [];
    return plugs(
      measured,
      ready,
      amplifierId,
      `a ${amplifier.name.toLowerCase()}`,
      [...before, phones],
      'Add',
    ).map((attempt) => ({ ...attempt, label: `${attempt.label}, and headphones for ${name}` }));
  });

/**
 * An amplifier put before a pair of headphones that hangs alone on its socket. @returns null where a plug does
 * not fit
 */
const beforeHeadphones = (
  measured: Measured,
  edge: LinkEdge,
  amplifierId: string,
): readonly SimpleCommand[] | null => {
  const before: SimpleCommand[] = [
    disconnect(edge),
    added(amplifierId, 'Headphone amplifier', 'headphone-amplifier-4'),
  ];
  const ready = apply(measured.rig, { type: 'batch', label: 'Add', commands: before });
  const into = join(ready, edge.link.from, { deviceId: amplifierId, portId: 'in' });
  const out = join(ready, { deviceId: amplifierId, portId: 'phones-1' }, edge.link.to);
  return into && out ? [...before, into, out] : null;
};

const headphoneCables = ({ graph }: Measured): LinkEdge[] =>
  [...graph.links.values()].filter(
    ({ to }) => to.device.model.kind === 'headphones' && to.port.family === 'analogue',
  );

/** An amplifier of their own for two, where another's headphones hang alone on their socket. */
export const sharedSocket = (measured: Measured, name: string, personId: string): Attempt[] => {
  const { rig } = measured;
  const amplifierId = freeId('Headphone amplifier', rig.devices);
  const phonesId = freeId(`${name} headphones`, rig.devices);
  return headphoneCables(measured).flatMap((edge): Attempt[] => {
    const put = beforeHeadphones(measured, edge, amplifierId);
    if (!put) return [];
    const before = [...put, added(phonesId, `${name} headphones`, 'headphones-closed', personId)];
    const phones = join(
      apply(rig, { type: 'batch', label: 'Add', commands: before }),
      { deviceId: amplifierId, portId: 'phones-2' },
      { deviceId: phonesId, portId: 'in' },
    );
    const listener = measured.device(edge.to.device).name;
    return phones
      ? [
          {
            label: `Put a headphone amplifier before ${listener}, and headphones for ${name} on it`,
            kind: 'shared socket',
            commands: [...before, phones],
          },
        ]
      : [];
  });
};

/** A headphone amplifier on an output that is free, or before headphones that hang alone on their socket. */
export const newAmplifier = (measured: Measured): Attempt[] => {
  const { rig } = measured;
  const amplifierId = freeId('Headphone amplifier', rig.devices);
  const before = [added(amplifierId, 'Headphone amplifier', 'headphone-amplifier-4')];
  return [
    ...plugs(
      measured,
      apply(rig, { type: 'batch', label: 'Add', commands: before }),
      amplifierId,
      'a headphone amplifier',
      before,
      'Add',
    ),
    ...headphoneCables(measured).flatMap((edge): Attempt[] => {
      const commands = beforeHeadphones(measured, edge, amplifierId);
      const listener = measured.device(edge.to.device).name;
      return commands
        ? [{ label: `Put a headphone amplifier before ${listener}`, kind: 'before', commands }]
        : [];
    }),
  ];
};

/** A call for somebody elsewhere: on each computer that takes calls, there and back. */
export const newCall = (measured: Measured, name: string, personId: string): Attempt[] => {
  const { rig } = measured;
  const deviceId = freeId(`${name} call`, rig.devices);
  const call = added(deviceId, `${name} call`, 'call', personId);
  const ready = apply(rig, call);
  return freePorts(measured, deviceId).flatMap((back): Attempt[] => {
    if (!goesToCalls(back)) return [];
    const computer = back.device.id;
    const sends = join(ready, endOf(back), { deviceId, portId: 'send' });
    const there = freePorts(measured, deviceId).flatMap((into) => {
      const receives =
        into.device.id === computer
          ? join(ready, { deviceId, portId: 'receive' }, endOf(into))
          : null;
      return receives ? [receives] : [];
    });
    return sends
      ? there.slice(0, 1).map((receives) => ({
          label: `Add a call of ${name} to ${measured.device(back.device).name}`,
          kind: 'new call',
          commands: [call, receives, sends],
        }))
      : [];
  });
};

/** A second machine that records what a desk's line output carries. */
export const secondRecorder = (measured: Measured): Attempt[] =>
  additions(measured, 'recorder-sound', 'Backup recorder', { personId: null, sightId: null });
