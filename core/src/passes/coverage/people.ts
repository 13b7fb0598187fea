import type { DeviceNode, PortNode } from '../../graph';
import { entry, inOrder, type Person } from '../../rig';
import type { CoverageAnswer } from './line';
import { recordingMachine } from './recordings';
import type { Index } from './threads';
import {
  CAMERAS,
  delivers,
  EARS,
  from,
  givenTo,
  kindOf,
  missingVoices,
  nameIn,
  names,
  nodesWhere,
  remotes,
  isScreen,
  voiceSources,
  writesFile,
} from './threads';
import { waitsFor } from './waits';

const camerasOf = (index: Index, personId: string): DeviceNode[] => {
  const sights = index.measured.rig.brief?.sights ?? {};
  const own = givenTo(index.measured, personId).filter(
    ({ model }) => CAMERAS.has(model.kind) || model.kind === 'call',
  );
  const shared = nodesWhere(index, (node) => {
    const { sightId } = index.measured.device(node);
    return sightId !== null && (entry(sights, sightId)?.people.includes(personId) ?? false);
  });
  return [...own, ...shared];
};

export const seen = (index: Index, personId: string, person: Person): CoverageAnswer => {
  const cameras = camerasOf(index, personId);
  const [thread] = from(index, cameras, 'picture', delivers);
  if (thread)
    return {
      verdict: 'met',
      says:
        `${nameIn(index, thread.source.device)}, ${person.shot ?? 'in the picture'}, reaches ` +
        `${nameIn(index, thread.end.device)}.`,
      by: [thread.source.device.id],
      thread,
    };
  const waits = waitsFor(index, cameras);
  if (waits) return waits;
  const says = cameras.length
    ? `${names(index, cameras)} reaches no stream and no recording.`
    : person.where === 'remote'
      ? 'No call is given to them.'
      : 'No camera is given to them.';
  return { verdict: 'missing', says, by: [], there: cameras.map(({ id }) => id), thread: null };
};

export const heard = (index: Index, personId: string): CoverageAnswer => {
  const { measured } = index;
  const sources = voiceSources(measured, personId);
  const threads = from(index, sources, 'sound', delivers);
  const [thread] = threads;
  if (!thread)
    return {
      verdict: 'missing',
      says: sources.length
        ? `${names(index, sources)} reaches no stream and no recording.`
        : 'No microphone is given to them.',
      by: [],
      there: sources.map(({ id }) => id),
      thread: null,
    };
  const machines = [...new Set(threads.filter(({ end }) => writesFile(end)).map(recordingMachine))];
  const wanted = measured.rig.houseRules.recordingsOfVoice;
  const by = [thread.source.device.id];
  const { name } = measured.device(thread.source.device);
  if (machines.length >= wanted)
    return { verdict: 'met', says: `${name}, recorded by ${names(index, machines)}.`, by, thread };
  const where =
    machines.length === 0 ? 'recorded nowhere' : `recorded only by ${names(index, machines)}`;
  return {
    verdict: 'partly',
    says: `${name}, ${where}; the house rule asks for ${wanted} independent recordings.`,
    by,
    thread,
  };
};

export const hears = (index: Index, personId: string, person: Person): CoverageAnswer => {
  const { rig } = index.measured;
  const guests = remotes(rig).filter((id) => id !== personId);
  if (person.where === 'remote') {
    const calls = givenTo(index.measured, personId).filter(({ model }) => model.kind === 'call');
    const others = inOrder(rig.people)
      .filter(([id, { isHeard }]) => id !== personId && isHeard)
      .map(([id]) => id);
    const missing = missingVoices(index, calls, others);
    const [thread] = calls.flatMap((call) =>
      (index.byEnd.get(call) ?? []).filter(({ signal }) => signal === 'sound'),
    );
    const self = calls.some((call) =>
      (index.byEnd.get(call) ?? []).some(
        (own) => own.signal === 'sound' && own.source.device === call && !own.end.port.records,
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
  const ears = givenTo(index.measured, personId).filter(({ model }) => EARS.has(model.kind));
  const fed = ears.filter((node) =>
    (index.byEnd.get(node) ?? []).some(({ signal }) => signal === 'sound'),
  );
  const [thread] = fed.flatMap((node) => index.byEnd.get(node) ?? []);
  if (!thread)
    return {
      verdict: 'missing',
      says: ears.length
        ? `${names(index, ears)}: no sound arrives.`
        : 'No headphones are given to them.',
      by: [],
      thread: null,
    };
  const missing = missingVoices(index, fed, guests);
  return missing.length
    ? {
        verdict: 'partly',
        says: `${names(index, fed)}, without ${missing.join(', ')}.`,
        by: fed.map(({ id }) => id),
        thread,
      }
    : { verdict: 'met', says: `${names(index, fed)}.`, by: fed.map(({ id }) => id), thread };
};

export const sees = (index: Index, guests: readonly string[]): CoverageAnswer => {
  const { rig } = index.measured;
  const calls = nodesWhere(index, (node) => {
    const owner = index.measured.device(node).personId;
    return owner !== null && guests.includes(owner) && node.model.kind === 'call';
  });
  const wanted = (end: PortNode): boolean =>
    rig.houseRules.prompter === 'second display'
      ? kindOf(end.device) === 'prompter'
      : isScreen(end);
  const [thread] = from(index, calls, 'picture', wanted);
  if (thread)
    return {
      verdict: 'met',
      says: `The remote guest on ${nameIn(index, thread.end.device)}; put it near the lens.`,
      by: [thread.end.device.id],
      thread,
    };
  const elsewhere = from(index, calls, 'picture', isScreen)[0];
  if (elsewhere)
    return {
      verdict: 'partly',
      says:
        `The remote guest on ${nameIn(index, elsewhere.end.device)}; the house rule asks for a ` +
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
