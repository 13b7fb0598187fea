import { classById } from '../catalogue';
import { type DeviceNode, isSocketHeld, type PortNode } from '../graph';
import type { CoverageLine } from '../passes/coverage/line';
import type { Measured } from '../passes/measure';
import {
  apply,
  type End,
  entry,
  freeId,
  type Kind,
  type Port,
  type Rig,
  type SimpleCommand,
} from '../rig';
import { startCard } from './cards';
import { join } from './join';

const free = (node: PortNode): boolean => !isSocketHeld(node) || node.port.family === 'software';

/** What is recorded on a card stays there: nothing is fed from it during a show. */
const isCard = ({ port }: PortNode): boolean => port.direction === 'out' && port.ends !== undefined;

const endOf = (node: PortNode): End => ({ deviceId: node.device.id, portId: node.id });

/** Whether two analogue ports are made for the same level, so that joining them is not a finding of its own. */
const isSameLevel = (a: Port | undefined, b: Port | undefined): boolean =>
  a?.family !== 'analogue' || b?.family !== 'analogue' || a.nominal === b.nominal;

interface Attempt {
  readonly label: string;
  /** What is done with which device, whatever port it ends in: one remedy of each kind is enough */
  readonly kind: string;
  readonly commands: readonly SimpleCommand[];
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
    .filter((node) => node.device.id !== without && free(node) && !isCard(node))
    .sort((a, b) => rank(a.device) - rank(b.device));

const rank = ({ model }: DeviceNode): number => {
  const at = KINDS_FIRST.indexOf(model.kind);
  return at < 0 ? KINDS_FIRST.length : at;
};

/** Whether a way out is a mix for callers, that leaves each of them out: a stream is not fed from it. */
const goesToCalls = ({ device, id }: PortNode): boolean =>
  Object.values(device.model.routes).some(
    ({ exceptSource, to }) => exceptSource === true && to.includes(id),
  );

/** Every way of putting one cable between a device and the rest. */
const plugs = (
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

/** A new device for a person or sight, and every way of plugging it in. */
const additions = (
  measured: Measured,
  classId: string,
  name: string,
  owner: { personId: string | null; sightId: string | null },
): Attempt[] => {
  const model = classById(classId);
  const deviceId = freeId(name, measured.rig.devices);
  const before: SimpleCommand[] = [
    {
      type: 'addDevice',
      deviceId,
      name,
      model,
      settings: {},
      personId: owner.personId,
      placeId: null,
    },
  ];
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

/** Headphones on an amplifier of their own, where every headphone socket is taken. */
const throughAmplifier = (measured: Measured, name: string, personId: string): Attempt[] => {
  const { rig } = measured;
  const amplifierId = freeId('headphone-amplifier', rig.devices);
  const phonesId = freeId(`${name} headphones`, rig.devices);
  const before: SimpleCommand[] = [
    {
      type: 'addDevice',
      deviceId: amplifierId,
      name: 'Headphone amplifier',
      model: classById('headphone-amplifier-4'),
      settings: {},
      personId: null,
      placeId: null,
    },
    {
      type: 'addDevice',
      deviceId: phonesId,
      name: `${name} headphones`,
      model: classById('headphones-closed'),
      settings: {},
      personId,
      placeId: null,
    },
  ];
  const added = apply(rig, { type: 'batch', label: 'Add', commands: before });
  const phones = join(
    added,
    { deviceId: amplifierId, portId: 'phones-1' },
    { deviceId: phonesId, portId: 'in' },
  );
  if (!phones) return [];
  return plugs(
    measured,
    added,
    amplifierId,
    'a headphone amplifier',
    [...before, phones],
    'Add',
  ).map((attempt) => ({ ...attempt, label: `${attempt.label}, and headphones for ${name}` }));
};

/** A second machine that records what a desk's line output carries. */
const secondRecorder = (measured: Measured): Attempt[] =>
  additions(measured, 'recorder-sound', 'Backup recorder', { personId: null, sightId: null });

/** What could be tried for a line: what is there and unplugged before anything is bought. */
export const attempts = (measured: Measured, line: CoverageLine): Attempt[] => {
  const { rig } = measured;
  const { id, name } = line.subject;
  const own = (kinds: readonly Kind[]) =>
    [...measured.graph.devices.values()].filter(
      (node) => measured.device(node).personId === id && kinds.includes(node.model.kind),
    );
  const replug = (nodes: readonly DeviceNode[]) =>
    nodes.flatMap((node) =>
      plugs(measured, rig, node.id, measured.device(node).name, [], 'Connect'),
    );
  const person = entry(rig.people, id);
  // What goes on air has to leave the camera; only where all is cut later will its card do.
  const cutsLater = rig.houseRules.switching === 'none, cut later';
  switch (line.need) {
    case 'seen':
      if (person?.where === 'remote')
        return [
          ...replug(own(['call'])),
          ...additions(measured, 'call', `${name} call`, { personId: id, sightId: null }),
        ];
      return [
        ...replug(own(CAMERAS)),
        ...(cutsLater ? ontoCards(measured, (node) => own(CAMERAS).includes(node)) : []),
        ...additions(measured, 'camera-camcorder', `${name} camera`, {
          personId: id,
          sightId: null,
        }),
        ...additions(measured, 'webcam', `${name} webcam`, { personId: id, sightId: null }),
      ];
    case 'heard':
      if (line.verdict === 'partly') return secondRecorder(measured);
      if (person?.where === 'remote') return replug(own(['call']));
      return [
        ...replug(own(['microphone', 'wireless'])),
        ...additions(measured, 'mic-dynamic-stage', `${name} mic`, { personId: id, sightId: null }),
      ];
    case 'hears':
      if (person?.where === 'remote')
        return [...callerHearsOthers(measured), ...replug(own(['call']))];
      return [
        ...replug(own(['headphones'])),
        ...additions(measured, 'headphones-closed', `${name} headphones`, {
          personId: id,
          sightId: null,
        }),
        ...throughAmplifier(measured, name, id),
      ];
    case 'sees':
      return [
        ...replug(
          [...measured.graph.devices.values()].filter(
            ({ model }) => model.kind === 'display' || model.kind === 'prompter',
          ),
        ),
        ...additions(
          measured,
          rig.houseRules.prompter === 'second display' ? 'prompter' : 'display-monitor',
          'Guest monitor',
          { personId: null, sightId: null },
        ),
      ];
    case 'shown': {
      const there = [...measured.graph.devices.values()].filter(
        (node) => measured.device(node).sightId === id,
      );
      const what = entry(rig.brief?.sights ?? {}, id)?.what;
      return [
        ...replug(there),
        ...(cutsLater ? ontoCards(measured, (node) => there.includes(node)) : []),
        ...additions(
          measured,
          what === 'screen' || what === 'console' ? 'player-slides' : 'camera-camcorder',
          `${name} ${what === 'screen' ? 'source' : 'camera'}`,
          { personId: null, sightId: id },
        ),
      ];
    }
    case 'delivered': {
      const classes = {
        stream: 'stream',
        'programme recording': 'recording-programme',
        'voice tracks': 'recording-tracks',
        'camera recordings': 'recording-pictures',
        'vertical clips': 'recording-programme',
        backup: 'recorder-sound',
      } as const;
      const what = entry(rig.brief?.deliverables ?? {}, id)?.what ?? 'stream';
      const there = [...measured.graph.devices.values()].filter(
        ({ model }) => model.classId === classes[what],
      );
      return [
        ...(what === 'camera recordings'
          ? ontoCards(measured, ({ model }) => CAMERAS.includes(model.kind))
          : []),
        ...replug(there),
        ...additions(measured, classes[what], name, { personId: null, sightId: null }),
      ];
    }
  }
};

/** Lets cameras that have a card and do not use it record on it, all at once or those that are named. */
const ontoCards = (measured: Measured, isMeant: (node: DeviceNode) => boolean): Attempt[] => {
  const started = [...measured.graph.devices.values()]
    .filter(isMeant)
    .map((node) => ({ node, commands: startCard(measured, node) }))
    .filter(({ commands }) => commands.length > 0);
  const commands = started.flatMap((one) => one.commands);
  const [first] = started;
  const name = first && started.length === 1 ? measured.device(first.node).name : 'every camera';
  return commands.length > 0
    ? [{ label: `Let ${name} record on its own card`, kind: 'cards', commands }]
    : [];
};

const CAMERAS: readonly Kind[] = ['camera', 'webcam', 'phone'];

/** Switches a computer's call from the programme to a mix without the caller. */
const callerHearsOthers = (measured: Measured): Attempt[] =>
  [...measured.graph.devices.values()].flatMap(({ id, model }) =>
    Object.entries(model.controls).flatMap(([control, { type }]): Attempt[] =>
      type === 'choice' && control === 'call-hears'
        ? [
            {
              label: `Let callers of ${measured.device({ id }).name} hear everything but themself`,
              kind: `call mix of ${id}`,
              commands: [
                { type: 'setControl', deviceId: id, control, value: 'everything but themself' },
              ],
            },
          ]
        : [],
    ),
  );
