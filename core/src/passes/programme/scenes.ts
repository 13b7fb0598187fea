import { type DeviceNode, type PortNode, stagesOf, type Thread } from '../../graph';
import { entry, inOrder, type Kind, type Layer, type Mixes, type Scene } from '../../rig';
import { voiceSources } from '../coverage/threads';
import type { Measured } from '../measured';
import { deviceName } from '../names';
import { pass } from '../pass';
import { notChosen, waitingThreads } from '../selecting';

/** Why a scene cannot be made: which resource is short, and where. */
export interface Short {
  readonly resource: 'way' | 'small pictures' | 'keyers' | 'one picture at a time' | 'voice';
  readonly deviceId: string | null;
  readonly says: string;
}

/** A scene judged: where it is put together, or what it lacks. */
export interface SceneMade {
  readonly sceneId: string;
  readonly scene: Scene;
  /** Where the programme ends that it was judged by; null where the rig has no programme */
  readonly end: PortNode | null;
  /** Devices that put pictures together for it, the last one first */
  readonly madeAt: readonly DeviceNode[];
  /** Empty where the scene can be made */
  readonly short: readonly Short[];
}

/** A device a picture passes, and the ports it comes and goes by. */
interface Hop {
  readonly device: DeviceNode;
  readonly into: string;
}
interface Way {
  readonly layer: Layer;
  /** From the source to the end; hubs are left out, since what they carry stays apart */
  readonly hops: readonly Hop[];
}

/** Where the programme ends: a stream before a recording, whichever came first. */
export const programmeEnd = (measured: Measured): PortNode | null => endOfProgramme(measured).port;

const endOfProgramme = pass('end of the programme', (measured): { port: PortNode | null } => {
  const ends = measured.traced.threads.filter(
    ({ signal, end }) =>
      signal === 'picture' &&
      ['stream', 'recording'].includes(end.device.model.kind) &&
      end.port.ends?.sound !== undefined,
  );
  const stream = ends.find(({ end }) => end.device.model.kind === 'stream');
  return { port: (stream ?? ends[0])?.end ?? null };
});

/** What arrives at the end of the programme: pictures by the device they come from, and whose sound. */
const intoProgramme = pass('into the programme', (measured) => {
  const end = programmeEnd(measured);
  const pictures = new Map<string, Thread[]>();
  const sounds = new Set<DeviceNode>();
  for (const thread of measured.traced.threads) {
    if (thread.end !== end) continue;
    const { id } = thread.source.device;
    if (thread.signal === 'sound') sounds.add(thread.source.device);
    else pictures.set(id, [...(pictures.get(id) ?? []), thread]);
  }
  return { pictures, sounds };
});

const isAlive = (measured: Measured, thread: Thread): boolean =>
  Boolean(measured.picture[thread.last.index]?.format);

/** Pictures of a device that reach the end of the programme while a scene is shown. */
const threadsFor = (
  measured: Measured,
  end: PortNode,
  deviceId: string,
  { selects }: Scene,
): { readonly all: readonly Thread[]; readonly alive: readonly Thread[] } => {
  const all = intoProgramme(measured).pictures.get(deviceId) ?? [];
  const chosen = waitingInto(measured, end, deviceId).filter(
    (thread) => notChosen(measured, thread, selects).length === 0,
  );
  return {
    all,
    alive: [
      ...all.filter(
        (thread) => isAlive(measured, thread) && notChosen(measured, thread, selects).length === 0,
      ),
      // Nothing is known of what does not pass now, and nothing is held against it.
      ...chosen,
    ],
  };
};

/** Pictures of a device that would reach the end of the programme, were they chosen. */
export const waitingInto = (measured: Measured, end: PortNode, deviceId: string): Thread[] =>
  waitingThreads(measured).filter(
    (thread) =>
      thread.signal === 'picture' &&
      thread.source.device.id === deviceId &&
      thread.end.device.id === end.device.id &&
      thread.end.id === end.id,
  );

const hopsOf = (thread: Thread): Hop[] => {
  const hops: Hop[] = [];
  let throughHub = '';
  for (const stage of stagesOf(thread.last)) {
    if (stage.via.by !== 'link') continue;
    const device = stage.at.device;
    if (device.model.kind === 'hub') throughHub += `${device.id}.${stage.at.id} `;
    else {
      hops.push({ device, into: throughHub + stage.at.id });
      throughHub = '';
    }
  }
  return hops;
};

const SMALL: ReadonlySet<Layer['box']> = new Set(['inset', 'left half', 'right half']);

/** What the keyers of a scene are needed for, in words. */
const keyerUses = (small: number, over: number): string[] => [
  ...(small > 0 ? [`${small} for small pictures`] : []),
  ...(over > 0 ? [`${over} for graphics`] : []),
];

const pictures = (count: number): string => (count === 1 ? 'one picture' : `${count} pictures`);

/** What puts pictures together, even where an older description of it does not say how many. */
const MIXERS: ReadonlySet<Kind> = new Set(['switcher', 'computer']);

/** What a device lacks for the layers it is to put together itself. */
const lacks = (measured: Measured, node: DeviceNode, layers: readonly Layer[]): Short | null => {
  const { id, model } = node;
  const mixes: Mixes | undefined = model.mixes;
  if (!mixes && MIXERS.has(model.kind))
    return {
      resource: 'keyers',
      deviceId: id,
      says:
        `It is not known how many pictures ${deviceName(measured, node)} puts together: type its keyers in ` +
        'from the data sheet, or take another of its class.',
    };
  if (!mixes)
    return {
      resource: 'one picture at a time',
      deviceId: id,
      says:
        `${deviceName(measured, node)} lets one picture through at a time and cannot put ` +
        `${layers.length} together.`,
    };
  const small = layers.filter(({ box }) => SMALL.has(box)).length;
  const over = layers.filter(({ box }) => box === 'over').length;
  const byKeyer = Math.max(0, small - mixes.boxes);
  if (byKeyer > mixes.resizingKeyers)
    return {
      resource: 'small pictures',
      deviceId: id,
      says:
        `${deviceName(measured, node)} can make ${pictures(mixes.boxes + mixes.resizingKeyers)} smaller at ` +
        `once and this scene needs ${small}.`,
    };
  if (byKeyer + over > mixes.keyers)
    return {
      resource: 'keyers',
      deviceId: id,
      says:
        `${deviceName(measured, node)} has ${mixes.keyers} ${mixes.keyers === 1 ? 'keyer' : 'keyers'} and ` +
        `this scene needs ${byKeyer + over}: ${keyerUses(byKeyer, over).join(', ')}.`,
    };
  return null;
};

interface Composed {
  readonly madeAt: readonly DeviceNode[];
  readonly short: Short | null;
}

/** Puts the layers together along their ways, walking back from the end to where they part. */
const compose = (measured: Measured, ways: readonly Way[], fromEnd: number): Composed => {
  const [first] = ways;
  if (!first || ways.length === 1) return { madeAt: [], short: null };
  const hops = ways.map((way) => way.hops.at(-1 - fromEnd));
  const here = hops[0]?.device;
  // Two layers of the same source have nothing left to part at.
  if (!here || hops.some((hop) => hop?.device !== here)) return { madeAt: [], short: null };
  const groups = new Map<string, Way[]>();
  ways.forEach((way, index) => {
    const into = hops[index]?.into ?? '';
    groups.set(into, [...(groups.get(into) ?? []), way]);
  });
  if (groups.size === 1) return compose(measured, ways, fromEnd + 1);
  const own: Layer[] = [];
  const madeAt: DeviceNode[] = [here];
  for (const group of groups.values()) {
    const [only] = group;
    if (only && group.length === 1) {
      own.push(only.layer);
      continue;
    }
    // What was put together before arrives here as one picture that fills the frame.
    if (!group.some(({ layer }) => layer.box === 'full'))
      return {
        madeAt,
        short: {
          resource: 'one picture at a time',
          deviceId: here.id,
          says:
            `${group.length} small pictures reach ${measured.device(here).name} through one input, and one ` +
            'picture fits through it.',
        },
      };
    const inner = compose(measured, group, fromEnd + 1);
    if (inner.short) return inner;
    madeAt.push(...inner.madeAt);
  }
  return { madeAt, short: lacks(measured, here, own) };
};

/** Every choice of one way for each layer, at most as many as a person would wait for. */
const MOST_CHOICES = 500;
const choices = (ways: readonly (readonly Way[])[]): Way[][] =>
  ways.reduce<Way[][]>(
    (made, next) =>
      made.flatMap((chosen) => next.map((way) => [...chosen, way])).slice(0, MOST_CHOICES),
    [[]],
  );

const RESOURCE_ORDER: readonly Short['resource'][] = [
  'small pictures',
  'keyers',
  'one picture at a time',
  'way',
  'voice',
];

const nameOf = (measured: Measured, deviceId: string): string =>
  entry(measured.rig.devices, deviceId)?.name ?? deviceId;

/** What keeps a picture from the programme: a selector that lets another one through, or what stops it. */
const whyNot = (
  measured: Measured,
  end: PortNode,
  deviceId: string,
  threads: readonly Thread[],
): string | undefined => {
  const [waiting] = waitingInto(measured, end, deviceId);
  const [position] = waiting ? notChosen(measured, waiting) : [];
  return position
    ? `it is not chosen at ${nameOf(measured, position.deviceId)}`
    : threads
        .map((thread) => measured.picture[thread.last.index]?.stop?.says)
        .find((says) => says !== undefined);
};

const pictureShort = (measured: Measured, end: PortNode, scene: Scene): Composed => {
  const ways: Way[][] = [];
  for (const layer of scene.layers) {
    const { all, alive } = threadsFor(measured, end, layer.deviceId, scene);
    if (alive.length === 0) {
      const stop = whyNot(measured, end, layer.deviceId, all);
      return {
        madeAt: [],
        short: {
          resource: 'way',
          deviceId: layer.deviceId,
          says:
            `${nameOf(measured, layer.deviceId)} does not reach ` +
            `${measured.device(end.device).name}${stop ? `: ${stop}` : ''}.`,
        },
      };
    }
    ways.push(alive.map((thread) => ({ layer, hops: hopsOf(thread) })));
  }
  let nearest: Composed | null = null;
  for (const choice of choices(ways)) {
    const composed = compose(measured, choice, 0);
    if (!composed.short) return composed;
    if (
      !nearest?.short ||
      RESOURCE_ORDER.indexOf(composed.short.resource) <
        RESOURCE_ORDER.indexOf(nearest.short.resource)
    )
      nearest = composed;
  }
  return nearest ?? { madeAt: [], short: null };
};

const voiceShort = (measured: Measured, end: PortNode, scene: Scene): Short[] => {
  const heard =
    scene.heard ??
    inOrder(measured.rig.people)
      .filter(([, { isHeard }]) => isHeard)
      .map(([id]) => id);
  return heard.flatMap((personId): Short[] => {
    const sources = voiceSources(measured, personId);
    const { sounds } = intoProgramme(measured);
    return sources.some((source) => sounds.has(source))
      ? []
      : [
          {
            resource: 'voice',
            deviceId: sources[0]?.id ?? null,
            says:
              `${entry(measured.rig.people, personId)?.name ?? personId} is to be heard and does ` +
              `not reach ${measured.device(end.device).name}.`,
          },
        ];
  });
};

/** Whether the rig can show and sound a scene, all of it at the same time. */
export const sceneMade = (measured: Measured, sceneId: string, scene: Scene): SceneMade => {
  const end = programmeEnd(measured);
  if (!end)
    return {
      sceneId,
      scene,
      end,
      madeAt: [],
      short: [
        {
          resource: 'way',
          deviceId: null,
          says: 'No picture reaches a stream or a programme recording yet.',
        },
      ],
    };
  const { madeAt, short } = pictureShort(measured, end, scene);
  return {
    sceneId,
    scene,
    end,
    madeAt,
    short: [...(short ? [short] : []), ...voiceShort(measured, end, scene)],
  };
};

/** Every scene of the rig, judged, in their order. */
export const scenesMade = pass('scenes made', (measured): readonly SceneMade[] =>
  inOrder(measured.rig.scenes).map(([id, scene]) => sceneMade(measured, id, scene)),
);
