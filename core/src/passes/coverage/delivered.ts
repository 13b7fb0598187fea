import type { DeviceNode, Signal, Thread } from '../../graph';
import { type Deliverable, inOrder } from '../../rig';
import { formatName, framesPerSecond, parseFormat } from '../../units';
import type { CoverageAnswer } from './line';
import { isSeparateRecording, keepsTracks, tracksOnly } from './recordings';
import type { Index } from './threads';
import {
  CAMERAS,
  delivers,
  from,
  kindOf,
  missingVoices,
  nameIn,
  names,
  nodesWhere,
  writesFile,
} from './threads';
import { waitsFor } from './waits';

/** Rates nearer than this are called the same. */
const RATE_NEAR = 0.99;

export const shown = (index: Index, sightId: string): CoverageAnswer => {
  const sources = nodesWhere(index, (node) => index.measured.device(node).sightId === sightId);
  const [thread] = from(index, sources, 'picture', delivers);
  if (thread)
    return {
      verdict: 'met',
      says: `${nameIn(index, thread.source.device)} reaches ${nameIn(index, thread.end.device)}.`,
      by: [thread.source.device.id],
      thread,
    };
  const waits = waitsFor(index, sources);
  if (waits) return waits;
  return {
    verdict: 'missing',
    says: sources.length
      ? `${names(index, sources)} reaches no stream and no recording.`
      : 'Nothing shows it.',
    by: [],
    there: sources.map(({ id }) => id),
    thread: null,
  };
};

export const delivered = (index: Index, deliverable: Deliverable): CoverageAnswer => {
  const { rig, graph } = index.measured;
  const all = [...graph.devices.values()];
  const voices = inOrder(rig.people)
    .filter(([, { isHeard }]) => isHeard)
    .map(([id]) => id);
  const gets = (node: DeviceNode, signal: Signal): Thread | undefined =>
    (index.byEnd.get(node) ?? []).find((thread) => thread.signal === signal);
  const takes = (node: DeviceNode, signal: Signal): boolean =>
    node.ports.values().some(({ port }) => port.ends?.[signal] !== undefined);
  const recordsItself = (node: DeviceNode): boolean =>
    node.ports.values().some(({ port }) => port.records !== undefined);
  const makesFiles = (node: DeviceNode): boolean => node.ports.values().some(writesFile);
  const judge = (
    ends: readonly DeviceNode[],
    needsPicture: boolean,
    among: Index = index,
  ): CoverageAnswer => {
    if (ends.length === 0)
      return { verdict: 'missing', says: 'Nothing in the rig makes it.', by: [], thread: null };
    const pictured = needsPicture ? ends.filter((node) => gets(node, 'picture')) : ends;
    const [end] = pictured;
    if (!end)
      return {
        verdict: 'missing',
        says: `${names(index, ends)} gets no picture.`,
        by: [],
        thread: null,
      };
    const missing = missingVoices(among, pictured, voices);
    const thread = gets(end, needsPicture ? 'picture' : 'sound') ?? null;
    if (voices.length > 0 && missing.length === voices.length)
      return {
        verdict: 'missing',
        says: `${names(index, pictured)} gets no voice.`,
        by: [],
        thread: null,
      };
    if (missing.length)
      return {
        verdict: 'partly',
        says: `${names(index, pictured)}, without ${missing.join(', ')}.`,
        by: [end.id],
        thread,
      };
    const got = needsPicture && thread ? index.measured.picture[thread.last.index]?.format : null;
    const asked = deliverable.format === null ? null : parseFormat(deliverable.format);
    // 59.94 for 60 slips a frame now and then, which is said elsewhere; 30 for 60 is not what was asked for.
    const isSlow = got && asked && framesPerSecond(got) < RATE_NEAR * framesPerSecond(asked);
    if (got && asked && (got.height < asked.height || isSlow))
      return {
        verdict: 'partly',
        says: `${nameIn(index, end)} gets ${formatName(got)}, and ${formatName(asked)} is to be delivered.`,
        by: [end.id],
        thread,
      };
    return {
      verdict: 'met',
      says: `${nameIn(index, end)}${got ? `, ${formatName(got)}` : ''}.`,
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
    case 'programme recording': {
      const files = all.filter(
        (node) =>
          makesFiles(node) &&
          // A guest's own file is of the guest alone.
          kindOf(node) !== 'call' &&
          takes(node, 'picture') &&
          takes(node, 'sound'),
      );
      // A camera's own file is the programme only where nothing else makes one.
      const others = files.filter((node) => !CAMERAS.has(kindOf(node)));
      const own = files.filter((node) => gets(node, 'picture') && gets(node, 'sound'));
      return judge(
        others.length > 0 ? others : own,
        all.some((node) => CAMERAS.has(kindOf(node))),
      );
    }
    case 'voice tracks':
      return judge(all.filter(keepsTracks), false, tracksOnly(index));
    case 'backup':
      return judge(
        all.filter(
          (node) =>
            takes(node, 'sound') &&
            (kindOf(node) === 'recorder' || (recordsItself(node) && gets(node, 'sound'))),
        ),
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
        ? {
            verdict: 'partly',
            says: `No recording of its own: ${names(index, without)}.`,
            by: [],
            thread,
          }
        : {
            verdict: 'met',
            says: 'Each camera by itself.',
            by: cameras.map(({ id }) => id),
            thread,
          };
    }
    case 'vertical clips': {
      const source = all.find((node) => makesFiles(node) && gets(node, 'picture'));
      return source
        ? {
            verdict: 'met',
            says: `Cut from ${nameIn(index, source)}.`,
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
