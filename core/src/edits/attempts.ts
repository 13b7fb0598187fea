import type { DeviceNode, Signal } from '../graph';
import type { CoverageLine } from '../passes/coverage/line';
import type { Measured } from '../passes/measured';
import { nameOf } from '../passes/names';
import { entry, type Kind } from '../rig';
import { startCard } from './cards';
import { openGates } from './gates';
import { feedersOf, joinings, reachedBy } from './onward';
import {
  additions,
  type Attempt,
  newCall,
  plugs,
  secondRecorder,
  sharedSocket,
  throughAmplifier,
} from './plugging';
import { heardApart, recorderAtCameras, recorderBeforeStream, seenApart } from './recorders';

/** Joins whatever a signal of these devices reaches with what goes on from there. */
const onward = (
  measured: Measured,
  signals: readonly Signal[],
  nodes: readonly DeviceNode[],
): Attempt[] =>
  signals.flatMap((signal) => {
    const reached = reachedBy(measured, signal, (source) => nodes.includes(source));
    const all = [...measured.graph.devices.values()];
    return joinAll(
      measured,
      new Set(all.filter((node) => reached.has(node) && !nodes.includes(node))),
      new Set(all.filter((node) => !reached.has(node))),
    );
  });

/** Joins whatever a signal reaches with what feeds these devices. */
const inward = (
  measured: Measured,
  signals: readonly Signal[],
  nodes: readonly DeviceNode[],
): Attempt[] =>
  signals.flatMap((signal) => {
    const reached = reachedBy(measured, signal, () => true);
    return nodes.flatMap((node) => joinAll(measured, reached, feedersOf(measured, node)));
  });

const joinAll = (
  measured: Measured,
  from: ReadonlySet<DeviceNode>,
  into: ReadonlySet<DeviceNode>,
): Attempt[] =>
  joinings(measured, from, into).map((joined) => ({
    label: `Connect ${nameOf(measured, joined.from)} to ${nameOf(measured, joined.into)}`,
    kind: 'onward',
    commands: [joined.command],
  }));

const isPlugged = ({ ports }: DeviceNode): boolean =>
  [...ports.values()].some(({ links }) => links.length > 0);

const atLast = (attempt: Attempt): Attempt => ({ ...attempt, isLast: true });

const SIGNALS: readonly Signal[] = ['sound', 'picture'];

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
        return [...replug(own(['call'])), ...newCall(measured, name, id)];
      return [
        ...replug(own(CAMERAS)),
        ...onward(measured, ['picture'], own(CAMERAS)),
        ...(cutsLater ? ontoCards(measured, (node) => own(CAMERAS).includes(node)) : []),
        ...additions(measured, 'camera-camcorder', `${name} camera`, {
          personId: id,
          sightId: null,
        }),
        ...additions(measured, 'webcam', `${name} webcam`, { personId: id, sightId: null }),
        ...seenApart(measured, name, { personId: id, sightId: null }),
      ];
    case 'heard':
      if (line.verdict === 'partly') return secondRecorder(measured);
      if (person?.where === 'remote')
        return [...replug(own(['call'])), ...newCall(measured, name, id)];
      return [
        ...replug(own(['microphone', 'wireless'])),
        ...onward(measured, ['sound'], own(['microphone', 'wireless'])),
        ...additions(measured, 'mic-dynamic-stage', `${name} mic`, { personId: id, sightId: null }),
        ...heardApart(measured, name, id),
      ];
    case 'hears':
      if (person?.where === 'remote')
        return [
          ...callerHearsOthers(measured),
          ...replug(own(['call'])),
          ...newCall(measured, name, id),
        ];
      return [
        ...replug(own(['headphones'])),
        ...additions(measured, 'headphones-closed', `${name} headphones`, {
          personId: id,
          sightId: null,
        }),
        ...throughAmplifier(measured, name, id),
        ...sharedSocket(measured, name, id).map(atLast),
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
        ...onward(measured, ['picture'], there),
        ...(cutsLater ? ontoCards(measured, (node) => there.includes(node)) : []),
        ...additions(
          measured,
          what === 'screen' || what === 'console' ? 'player-slides' : 'camera-camcorder',
          `${name} ${what === 'screen' ? 'source' : 'camera'}`,
          { personId: null, sightId: id },
        ),
        ...(what === 'screen' || what === 'console'
          ? []
          : additions(measured, 'webcam', `${name} webcam`, { personId: null, sightId: id }).map(
              atLast,
            )),
        ...seenApart(measured, name, { personId: null, sightId: id }),
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
          ? [
              ...ontoCards(measured, ({ model }) => CAMERAS.includes(model.kind)),
              ...recorderAtCameras(measured, ({ model }) => CAMERAS.includes(model.kind)).map(
                atLast,
              ),
            ]
          : []),
        ...openGates(measured),
        ...replug(there),
        ...inward(
          measured,
          SIGNALS,
          there.filter((node) => isPlugged(node)),
        ),
        ...additions(measured, classes[what], name, { personId: null, sightId: null }),
        ...(what === 'programme recording' ? recorderBeforeStream(measured, name).map(atLast) : []),
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
