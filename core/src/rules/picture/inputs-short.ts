import { CATALOGUE, classById } from '../../catalogue';
import type { Fix } from '../../edits/fix';
import { join } from '../../edits/join';
import { disconnect } from '../../edits/splice';
import type { DeviceNode, LinkEdge, PortNode } from '../../graph';
import { isIdle, sourceOf } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import type { Model } from '../../rig';
import {
  apply,
  type Command,
  type End,
  freeId,
  type Kind,
  mate,
  Refusal,
  type Rig,
  type SimpleCommand,
} from '../../rig';
import { at } from '../about';
import { pictureRule } from '../rule-of';

const SOURCES: ReadonlySet<Kind> = new Set(['camera', 'player', 'phone']);

const pictureOut = (node: DeviceNode): PortNode | undefined =>
  node.ports.values().find(({ port }) => port.family === 'picture' && port.emits?.picture);
const goesNowhere = (measured: Measured, node: DeviceNode): boolean =>
  node.ports
    .values()
    .every(
      ({ port, links }) =>
        !port.emits?.picture ||
        (port.records ? isIdle(measured.device(node), port) : links.length === 0),
    );

interface Crowded {
  readonly source: DeviceNode;
  readonly out: PortNode;
  readonly switcher: DeviceNode;
  /** Inputs of the switcher that would take the source, all of them taken */
  readonly inputs: readonly PortNode[];
}

/** Sources with nowhere to go beside a switcher whose every fitting input is taken. */
const crowded = (measured: Measured): Crowded[] => {
  const nodes = [...measured.graph.devices.values()];
  const switchers = nodes.filter(({ model }) => model.kind === 'switcher');
  if (switchers.length === 0) return [];
  return nodes
    .filter((node) => SOURCES.has(node.model.kind) && goesNowhere(measured, node))
    .flatMap((source): Crowded[] => {
      const out = pictureOut(source);
      if (!out) return [];
      const fitting = switchers
        .map((switcher) => ({
          switcher,
          inputs: switcher.ports
            .values()
            .filter(
              ({ port }) =>
                port.family === 'picture' && port.direction === 'in' && mate(out.port, port).can,
            ),
        }))
        .filter(({ inputs }) => inputs.length > 0);
      const [first] = fitting;
      return first && fitting.every(({ inputs }) => inputs.every(({ links }) => links.length > 0))
        ? [{ source, out, ...first }]
        : [];
    });
};

const endOf = (node: PortNode): End => ({ deviceId: node.device.id, portId: node.id });

/** A connection as long as the one that lay there. */
const connect = (rig: Rig, from: End, to: End, lengthM?: number): SimpleCommand[] => {
  const stem = `${from.deviceId}-to-${to.deviceId}-${to.portId}`;
  const joined = join(rig, from, to, { stem, lengthM });
  return joined ? [joined] : [];
};

/** Keeps a remedy only if the source then reaches a destination with a picture. */
const thatWorks = (
  measured: Measured,
  { source }: Crowded,
  label: string,
  commands: readonly SimpleCommand[],
): Fix[] => {
  const command: Command = { type: 'batch', label, commands: [...commands] };
  try {
    const after = measure(apply(measured.rig, command), measured);
    const arrives = after.traced.threads.some(
      (thread) =>
        thread.signal === 'picture' &&
        thread.source.device.id === source.id &&
        after.picture[thread.last.index]?.format,
    );
    return arrives ? [{ label, command }] : [];
  } catch (error) {
    if (error instanceof Refusal) return [];
    throw error;
  }
};

/** The picture least missed while another is on air: something shown, before a camera without a person. */
const shareable = (measured: Measured, { inputs }: Crowded): LinkEdge | undefined => {
  const edges = inputs.flatMap(({ links }) => links[0] ?? []);
  const worth = ({ from }: LinkEdge): number =>
    from.device.model.kind === 'player' || from.device.model.kind === 'splitter'
      ? 0
      : measured.device(from.device).personId === null
        ? 1
        : 2;
  return [...edges].sort((a, b) => worth(a) - worth(b))[0];
};

const selector = (measured: Measured, found: Crowded): Fix[] => {
  const edge = shareable(measured, found);
  if (!edge || edge.from.port.family !== 'picture' || edge.from.port.standard !== 'hdmi') return [];
  const { rig } = measured;
  const deviceId = freeId('selector', rig.devices);
  const added: SimpleCommand[] = [
    disconnect(edge),
    {
      type: 'addDevice',
      deviceId,
      name: 'Selector',
      model: classById('selector-hdmi-2'),
      settings: { selected: '2' },
      personId: null,
      placeId: measured.device(edge.to.device).placeId,
    },
  ];
  const withSelector = apply(rig, { type: 'batch', label: 'Selector', commands: added });
  const commands = [
    ...added,
    ...connect(
      withSelector,
      endOf(edge.from),
      { deviceId, portId: 'in-1' },
      edge.link.cable.lengthM,
    ),
    ...connect(withSelector, endOf(found.out), { deviceId, portId: 'in-2' }),
    ...connect(withSelector, { deviceId, portId: 'out' }, endOf(edge.to), 1),
  ];
  return thatWorks(
    measured,
    found,
    `Share ${edge.to.port.name} with ${measured.device(edge.from.device).name} by a selector`,
    commands,
  );
};

const pictureInputs = ({ ports }: Model): string[] =>
  Object.keys(ports).filter(
    (id) => ports[id]?.family === 'picture' && ports[id].direction === 'in',
  );

/** The next larger switcher of the same sockets. */
const larger = (measured: Measured, found: Crowded): Fix[] => {
  for (const model of CATALOGUE) {
    if (model.kind !== 'switcher' || pictureInputs(model).length <= found.inputs.length) continue;
    const { id: deviceId } = found.switcher;
    const replaced: SimpleCommand = { type: 'replaceModel', deviceId, model };
    const free = pictureInputs(model).find(
      (portId) => !found.inputs.some((input) => input.id === portId),
    );
    if (free === undefined) continue;
    try {
      const after = apply(measured.rig, replaced);
      const fix = thatWorks(measured, found, `Use a larger switcher: ${model.name}`, [
        replaced,
        ...connect(after, endOf(found.out), { deviceId, portId: free }),
      ]);
      if (fix.length) return fix;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return [];
};

/** Something shown that also reaches the computer by itself gives its input up, and is put in from the computer. */
const fromComputer = (measured: Measured, found: Crowded): Fix[] => {
  const isComputer = (node: DeviceNode) => node.model.kind === 'computer';
  for (const input of found.inputs) {
    const [edge] = input.links;
    if (!edge) continue;
    const arriving = measured.traced.stages.find(
      (stage) => stage.signal === 'picture' && stage.at === input,
    );
    const root = arriving && sourceOf(arriving);
    if (!root || root.at.device.model.kind !== 'player') continue;
    const without = measure(apply(measured.rig, disconnect(edge)), measured);
    const source = root.at.device.id;
    const still = without.traced.stages.some(
      (stage) =>
        stage.signal === 'picture' &&
        isComputer(stage.at.device) &&
        without.picture[stage.index]?.format &&
        sourceOf(stage).at.device.id === source,
    );
    if (!still) continue;
    return thatWorks(
      measured,
      found,
      `Give ${input.port.name} to ${without.device(found.source).name} and put ` +
        `${without.device(root.at.device).name} in from the computer`,
      [
        disconnect(edge),
        ...connect(apply(measured.rig, disconnect(edge)), endOf(found.out), endOf(input)),
      ],
    );
  }
  return [];
};

export const inputsShort = pictureRule(
  'picture.inputs-short',
  {
    looksFor:
      'A camera or player that is plugged in nowhere, beside a switcher with no input left.',
    why: 'It is one input short: somebody will not be seen.',
    remedy:
      'Share an input by a selector, use a larger switcher, or bring what is shown in from the computer.',
    source: 'handbook 1-the-work: never be one input short',
  },
  (measured) =>
    crowded(measured).map(({ source, switcher, inputs }) => ({
      level: 'stop',
      about: at({ deviceId: source.id }),
      title: `${measured.device(switcher).name} is one input short`,
      says:
        `${measured.device(source).name} has nowhere to go: all ${inputs.length} inputs of ` +
        `${measured.device(switcher).name} are taken. Share one by a selector, use a larger switcher, ` +
        'or bring slides in from the computer.',
    })),
  {
    sums: (measured, { about }) =>
      crowded(measured)
        .filter(({ source }) => source.id === about.deviceId)
        .map(({ inputs, switcher }) => ({
          label: `Inputs of ${measured.device(switcher).name} left`,
          formula: 'inputs − taken − asked for',
          inputs: [
            { name: 'inputs', value: inputs.length, unit: '' },
            { name: 'taken', value: inputs.length, unit: '' },
            { name: 'asked for', value: 1, unit: '' },
          ],
          result: -1,
          unit: 'inputs',
          source: 'counted',
        })),
    fixes: (measured, { about }) =>
      crowded(measured)
        .filter(({ source }) => source.id === about.deviceId)
        .flatMap((found) => [
          ...selector(measured, found),
          ...larger(measured, found),
          ...fromComputer(measured, found),
        ]),
  },
);
