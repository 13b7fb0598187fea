import type { DeviceNode, Signal, Thread } from '../graph';
import { stagesOf } from '../graph';
import type { Measured } from '../measure';
import { perAnalysis } from '../per-analysis';
import { formatName, parseFormat } from '../units';
import { entry, inOrder, type Deliverable, type Kind, type Person, type Rig } from '../rig';

export const NEEDS = ['seen', 'heard', 'hears', 'sees', 'shown', 'delivered'] as const;
export type Need = (typeof NEEDS)[number];

/** One thing the brief asks for, and whether the threads give it. */
export interface CoverageLine {
  /** Stable from edit to edit: `person:host:seen` */
  readonly id: string;
  readonly subject: {
    readonly kind: 'person' | 'sight' | 'deliverable';
    readonly id: string;
    readonly name: string;
  };
  readonly need: Need;
  readonly verdict: 'met' | 'partly' | 'missing';
  /** What satisfies it, or what is missing */
  readonly says: string;
  /** Devices at whose ends the satisfying threads stand */
  readonly by: readonly string[];
  /** The thread that satisfies it, the first of several */
  readonly thread: Thread | null;
}

const CAMERAS: ReadonlySet<Kind> = new Set(['camera', 'webcam', 'phone']);
/** Kinds that write a file; of wireless transmitters those that have a card. */
const RECORDS: ReadonlySet<Kind> = new Set(['recording', 'recorder', 'camera', 'wireless']);
const DELIVERS: ReadonlySet<Kind> = new Set(['stream', ...RECORDS]);
const SCREENS: ReadonlySet<Kind> = new Set(['display', 'prompter']);
const EARS: ReadonlySet<Kind> = new Set(['headphones']);

const kindOf = (node: DeviceNode): Kind => node.device.model.kind;
const names = (nodes: readonly DeviceNode[]): string =>
  [...new Set(nodes.map(({ device }) => device.name))].join(', ');

/** Threads with something in them: a picture that has not been stopped, a sound whose level is not dead. */
const isAlive = (measured: Measured, thread: Thread): boolean =>
  thread.signal === 'picture'
    ? measured.picture[thread.last.index]?.format !== null
    : !(measured.sound[thread.last.index]?.unknown ?? '').startsWith('phantom power');

interface Index {
  readonly measured: Measured;
  readonly bySource: ReadonlyMap<DeviceNode, readonly Thread[]>;
  readonly byEnd: ReadonlyMap<DeviceNode, readonly Thread[]>;
}

const indexed = (measured: Measured): Index => {
  const bySource = new Map<DeviceNode, Thread[]>();
  const byEnd = new Map<DeviceNode, Thread[]>();
  const put = (map: Map<DeviceNode, Thread[]>, node: DeviceNode, thread: Thread): void => {
    const threads = map.get(node);
    if (threads) threads.push(thread);
    else map.set(node, [thread]);
  };
  for (const thread of measured.traced.threads) {
    if (!isAlive(measured, thread)) continue;
    put(bySource, thread.source.device, thread);
    put(byEnd, thread.end.device, thread);
  }
  return { measured, bySource, byEnd };
};

const from = (
  { bySource }: Index,
  nodes: readonly DeviceNode[],
  signal: Signal,
  ends: ReadonlySet<Kind>,
): Thread[] =>
  nodes.flatMap((node) =>
    (bySource.get(node) ?? []).filter(
      (thread) => thread.signal === signal && ends.has(kindOf(thread.end.device)),
    ),
  );

const nodesWhere = ({ measured }: Index, test: (node: DeviceNode) => boolean): DeviceNode[] =>
  [...measured.graph.devices.values()].filter(test);

/**
 * What makes a recording: a recorder itself, or the machine whose program writes the file. Two
 * files of one machine are one recording.
 */
export const recordingMachine = (thread: Thread): DeviceNode => {
  const end = thread.end.device;
  if (kindOf(end) !== 'recording') return end;
  return stagesOf(thread.last).findLast((stage) => stage.at.device !== end)?.at.device ?? end;
};

/** Where a person's voice begins: microphones given to them that emit sound, or their call. */
export const voiceSources = (measured: Measured, personId: string): DeviceNode[] =>
  [...measured.graph.devices.values()].filter(
    (node) =>
      node.device.personId === personId &&
      node.ports.values().some(({ port }) => port.emits?.sound),
  );

const camerasOf = (index: Index, personId: string): DeviceNode[] => {
  const sights = index.measured.rig.brief?.sights ?? {};
  const own = nodesWhere(
    index,
    ({ device }) =>
      device.personId === personId &&
      (CAMERAS.has(device.model.kind) || device.model.kind === 'call'),
  );
  const shared = nodesWhere(
    index,
    ({ device }) =>
      device.sightId !== null &&
      (entry(sights, device.sightId)?.people.includes(personId) ?? false),
  );
  return [...own, ...shared];
};

const seen = (
  index: Index,
  personId: string,
  person: Person,
): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const cameras = camerasOf(index, personId);
  const [thread] = from(index, cameras, 'picture', DELIVERS);
  if (thread)
    return {
      verdict: 'met',
      says:
        `${thread.source.device.device.name}, ${person.shot ?? 'in the picture'}, reaches ` +
        `${thread.end.device.device.name}.`,
      by: [thread.source.device.id],
      thread,
    };
  const says = cameras.length
    ? `${names(cameras)} reaches no stream and no recording.`
    : person.where === 'remote'
      ? 'No call is given to them.'
      : 'No camera is given to them.';
  return { verdict: 'missing', says, by: [], thread: null };
};

const heard = (index: Index, personId: string): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const { measured } = index;
  const sources = voiceSources(measured, personId);
  const threads = from(index, sources, 'sound', DELIVERS);
  const [thread] = threads;
  if (!thread)
    return {
      verdict: 'missing',
      says: sources.length
        ? `${names(sources)} reaches no stream and no recording.`
        : 'No microphone is given to them.',
      by: [],
      thread: null,
    };
  const machines = [
    ...new Set(threads.filter(({ end }) => RECORDS.has(kindOf(end.device))).map(recordingMachine)),
  ];
  const wanted = measured.rig.houseRules.recordingsOfVoice;
  const by = [thread.source.device.id];
  const { name } = thread.source.device.device;
  if (machines.length >= wanted)
    return { verdict: 'met', says: `${name}, recorded by ${names(machines)}.`, by, thread };
  const where = machines.length === 0 ? 'recorded nowhere' : `recorded only by ${names(machines)}`;
  return {
    verdict: 'partly',
    says: `${name}, ${where}; the house rule asks for ${wanted} independent recordings.`,
    by,
    thread,
  };
};

const remotes = (rig: Rig): string[] =>
  inOrder(rig.people)
    .filter(([, { where, isHeard }]) => where === 'remote' && isHeard)
    .map(([id]) => id);

/** People whose voice does not arrive at a device, by name. */
const missingVoices = (
  index: Index,
  at: readonly DeviceNode[],
  people: readonly string[],
): string[] =>
  people
    .filter((id) => {
      const sources = new Set(voiceSources(index.measured, id));
      return !at.some((node) =>
        (index.byEnd.get(node) ?? []).some(
          (thread) => thread.signal === 'sound' && sources.has(thread.source.device),
        ),
      );
    })
    .map((id) => entry(index.measured.rig.people, id)?.name ?? id);

const hears = (
  index: Index,
  personId: string,
  person: Person,
): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const { rig } = index.measured;
  const guests = remotes(rig).filter((id) => id !== personId);
  if (person.where === 'remote') {
    const calls = nodesWhere(
      index,
      ({ device }) => device.personId === personId && device.model.kind === 'call',
    );
    const others = inOrder(rig.people)
      .filter(([id, { isHeard }]) => id !== personId && isHeard)
      .map(([id]) => id);
    const missing = missingVoices(index, calls, others);
    const [thread] = calls.flatMap((call) =>
      (index.byEnd.get(call) ?? []).filter(({ signal }) => signal === 'sound'),
    );
    const self = calls.some((call) =>
      (index.byEnd.get(call) ?? []).some(
        (own) => own.signal === 'sound' && own.source.device === call,
      ),
    );
    if (self)
      return {
        verdict: 'missing',
        says: 'They hear themself: what they are sent is no mix-minus.',
        by: [],
        thread: null,
      };
    if (missing.length === others.length && others.length > 0)
      return { verdict: 'missing', says: 'Nothing is sent to them.', by: [], thread: null };
    if (missing.length)
      return {
        verdict: 'partly',
        says: `They do not hear ${missing.join(', ')}.`,
        by: calls.map(({ id }) => id),
        thread: thread ?? null,
      };
    return {
      verdict: 'met',
      says: 'A mix of everyone but themself.',
      by: calls.map(({ id }) => id),
      thread: thread ?? null,
    };
  }
  if (rig.houseRules.monitoring === 'loudspeakers muted' && guests.length === 0)
    return {
      verdict: 'met',
      says: 'Nothing to wear, by house rule: loudspeakers, muted while microphones are open.',
      by: [],
      thread: null,
    };
  const ears = nodesWhere(
    index,
    ({ device }) => device.personId === personId && EARS.has(device.model.kind),
  );
  const fed = ears.filter((node) =>
    (index.byEnd.get(node) ?? []).some(({ signal }) => signal === 'sound'),
  );
  const [thread] = fed.flatMap((node) => index.byEnd.get(node) ?? []);
  if (!thread)
    return {
      verdict: 'missing',
      says: ears.length ? `${names(ears)}: no sound arrives.` : 'No headphones are given to them.',
      by: [],
      thread: null,
    };
  const missing = missingVoices(index, fed, guests);
  return missing.length
    ? {
        verdict: 'partly',
        says: `${names(fed)}, without ${missing.join(', ')}.`,
        by: fed.map(({ id }) => id),
        thread,
      }
    : { verdict: 'met', says: `${names(fed)}.`, by: fed.map(({ id }) => id), thread };
};

const sees = (
  index: Index,
  guests: readonly string[],
): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const { rig } = index.measured;
  const calls = nodesWhere(
    index,
    ({ device }) =>
      device.personId !== null && guests.includes(device.personId) && device.model.kind === 'call',
  );
  const wanted: ReadonlySet<Kind> =
    rig.houseRules.prompter === 'second display' ? new Set<Kind>(['prompter']) : SCREENS;
  const [thread] = from(index, calls, 'picture', wanted);
  if (thread)
    return {
      verdict: 'met',
      says: `The remote guest on ${thread.end.device.device.name}; put it near the lens.`,
      by: [thread.end.device.id],
      thread,
    };
  const elsewhere = from(index, calls, 'picture', SCREENS)[0];
  if (elsewhere)
    return {
      verdict: 'partly',
      says:
        `The remote guest on ${elsewhere.end.device.device.name}; the house rule asks for a ` +
        'prompter in front of the lens.',
      by: [elsewhere.end.device.id],
      thread: elsewhere,
    };
  return {
    verdict: 'missing',
    says: 'No screen shows them the remote guest.',
    by: [],
    thread: null,
  };
};

const shown = (index: Index, sightId: string): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const sources = nodesWhere(index, ({ device }) => device.sightId === sightId);
  const [thread] = from(index, sources, 'picture', DELIVERS);
  if (thread)
    return {
      verdict: 'met',
      says: `${thread.source.device.device.name} reaches ${thread.end.device.device.name}.`,
      by: [thread.source.device.id],
      thread,
    };
  return {
    verdict: 'missing',
    says: sources.length
      ? `${names(sources)} reaches no stream and no recording.`
      : 'Nothing shows it.',
    by: [],
    thread: null,
  };
};

/** Whether a picture comes to its end by itself, through no device that mixes or scales several into one. */
const isSeparate = (thread: Thread): boolean =>
  stagesOf(thread.last).every(
    ({ via, at }) => via.by !== 'route' || at.device.device.model.kind !== 'switcher',
  );

/**
 * Whether a device keeps each voice by itself: files of sound only. What a recorder gets from a
 * mixer's output is a mix.
 */
export const keepsTracks = (node: DeviceNode): boolean =>
  kindOf(node) === 'recording' &&
  node.ports.values().some(({ port }) => port.ends?.sound !== undefined) &&
  node.ports.values().every(({ port }) => port.ends?.picture === undefined);

/** Whether a voice arrives by itself: the last device on its way keeps its inputs apart. */
export const isTrack = (thread: Thread): boolean => {
  const last = stagesOf(thread.last).findLast(({ via }) => via.by === 'route');
  return last?.via.by === 'route' && last.via.route.route.sound?.keepsApart === true;
};

const withThreads = (index: Index, test: (thread: Thread) => boolean): Index => ({
  ...index,
  byEnd: new Map([...index.byEnd].map(([node, threads]) => [node, threads.filter(test)])),
});

/** Whether a picture is recorded by itself. */
export const isSeparateRecording = (thread: Thread): boolean =>
  RECORDS.has(kindOf(thread.end.device)) && isSeparate(thread);

const delivered = (
  index: Index,
  deliverable: Deliverable,
): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
  const { rig, graph } = index.measured;
  const all = [...graph.devices.values()];
  const voices = inOrder(rig.people)
    .filter(([, { isHeard }]) => isHeard)
    .map(([id]) => id);
  const gets = (node: DeviceNode, signal: Signal): Thread | undefined =>
    (index.byEnd.get(node) ?? []).find((thread) => thread.signal === signal);
  const takes = (node: DeviceNode, signal: Signal): boolean =>
    node.ports.values().some(({ port }) => port.ends?.[signal] !== undefined);
  const judge = (
    ends: readonly DeviceNode[],
    needsPicture: boolean,
    among: Index = index,
  ): Omit<CoverageLine, 'id' | 'subject' | 'need'> => {
    if (ends.length === 0)
      return { verdict: 'missing', says: 'Nothing in the rig makes it.', by: [], thread: null };
    const pictured = needsPicture ? ends.filter((node) => gets(node, 'picture')) : ends;
    const [end] = pictured;
    if (!end)
      return { verdict: 'missing', says: `${names(ends)} gets no picture.`, by: [], thread: null };
    const missing = missingVoices(among, pictured, voices);
    const thread = gets(end, needsPicture ? 'picture' : 'sound') ?? null;
    if (voices.length > 0 && missing.length === voices.length)
      return {
        verdict: 'missing',
        says: `${names(pictured)} gets no voice.`,
        by: [],
        thread: null,
      };
    if (missing.length)
      return {
        verdict: 'partly',
        says: `${names(pictured)}, without ${missing.join(', ')}.`,
        by: [end.id],
        thread,
      };
    const got = needsPicture && thread ? index.measured.picture[thread.last.index]?.format : null;
    const asked = deliverable.format === null ? null : parseFormat(deliverable.format);
    if (got && asked && got.height < asked.height)
      return {
        verdict: 'partly',
        says: `${end.device.name} gets ${formatName(got)}, and ${formatName(asked)} is to be delivered.`,
        by: [end.id],
        thread,
      };
    return {
      verdict: 'met',
      says: `${end.device.name}${got ? `, ${formatName(got)}` : ''}.`,
      by: [end.id],
      thread,
    };
  };
  switch (deliverable.what) {
    case 'stream':
      return judge(
        all.filter((node) => kindOf(node) === 'stream'),
        true,
      );
    case 'programme recording':
      return judge(
        all.filter(
          (node) => RECORDS.has(kindOf(node)) && takes(node, 'picture') && takes(node, 'sound'),
        ),
        all.some((node) => CAMERAS.has(kindOf(node))),
      );
    case 'voice tracks':
      return judge(all.filter(keepsTracks), false, withThreads(index, isTrack));
    case 'backup':
      return judge(
        all.filter((node) => kindOf(node) === 'recorder' && takes(node, 'sound')),
        false,
      );
    case 'camera recordings': {
      const cameras = all.filter((node) => CAMERAS.has(kindOf(node)));
      const separate = (node: DeviceNode): Thread | undefined =>
        (index.bySource.get(node) ?? []).find(
          (thread) => thread.signal === 'picture' && isSeparateRecording(thread),
        );
      const without = cameras.filter((node) => !separate(node));
      const [first] = cameras;
      const thread = (first && separate(first)) ?? null;
      if (cameras.length === 0 || without.length === cameras.length)
        return {
          verdict: 'missing',
          says: 'No camera has a recording of its own.',
          by: [],
          thread: null,
        };
      return without.length
        ? { verdict: 'partly', says: `No recording of its own: ${names(without)}.`, by: [], thread }
        : {
            verdict: 'met',
            says: 'Each camera by itself.',
            by: cameras.map(({ id }) => id),
            thread,
          };
    }
    case 'vertical clips': {
      const source = all.find((node) => RECORDS.has(kindOf(node)) && gets(node, 'picture'));
      return source
        ? {
            verdict: 'met',
            says: `Cut from ${source.device.name}.`,
            by: [source.id],
            thread: gets(source, 'picture') ?? null,
          }
        : {
            verdict: 'missing',
            says: 'Nothing with a picture is recorded to cut them from.',
            by: [],
            thread: null,
          };
    }
  }
};

const linesOf = (measured: Measured): readonly CoverageLine[] => {
  const { brief, people } = measured.rig;
  if (!brief) return [];
  const index = indexed(measured);
  const lines: CoverageLine[] = [];
  const add = (
    kind: CoverageLine['subject']['kind'],
    id: string,
    name: string,
    need: Need,
    line: Omit<CoverageLine, 'id' | 'subject' | 'need'>,
  ) => lines.push({ id: `${kind}:${id}:${need}`, subject: { kind, id, name }, need, ...line });
  const guests = inOrder(people)
    .filter(([, { where, shot }]) => where === 'remote' && shot !== null)
    .map(([id]) => id);
  for (const [id, person] of inOrder(people)) {
    if (person.shot !== null) add('person', id, person.name, 'seen', seen(index, id, person));
    if (person.isHeard) add('person', id, person.name, 'heard', heard(index, id));
    add('person', id, person.name, 'hears', hears(index, id, person));
    if (person.where === 'on site' && guests.length > 0)
      add('person', id, person.name, 'sees', sees(index, guests));
  }
  for (const [id, sight] of inOrder(brief.sights))
    add('sight', id, sight.name, 'shown', shown(index, id));
  for (const [id, deliverable] of inOrder(brief.deliverables))
    add('deliverable', id, deliverable.name, 'delivered', delivered(index, deliverable));
  return lines;
};

/** Everything the brief asks for, each with its verdict; none where there is no brief. */
export const coverage = perAnalysis(linesOf);
