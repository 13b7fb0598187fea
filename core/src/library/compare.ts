import type { Analysis, Verdict } from '../analyse';
import { reanalyse } from '../analyse';
import { voices } from '../passes/sound/ladder';
import { voiceFigures } from '../passes/sound/voice-figures';
import {
  apply,
  type Device,
  entry,
  mate,
  type Model,
  oneSocket,
  Refusal,
  type Rig,
  type SimpleCommand,
  suggestedCable,
  takesMany,
} from '../rig';
import { linksOf } from '../rig/links/plugs';
import { type Finding, findingKey } from '../rules';

/** Models side by side in one place of a rig: each is put there, plugged in again, and the whole rig computed. */

/** The voice that stands least above its noise. */
export interface WorstVoice {
  readonly name: string;
  readonly snrDb: number;
}

/** What a rig comes to with a model in a device's place. */
export interface Compared {
  readonly model: Model;
  /** Why it cannot stand there: a cable would hang loose; null where it can */
  readonly why: string | null;
  readonly verdict: Verdict | null;
  /** Findings that are not there with the device as it is, stops first; and those that go */
  readonly brings: readonly Finding[];
  readonly takes: readonly Finding[];
  /** Signal over noise of the worst voice of the rig. @unit dB; null where none is known */
  readonly worst: WorstVoice | null;
  /** Sockets that nothing is in, of those a cable goes into */
  readonly freeSockets: number;
  /** The edit that puts it there */
  readonly commands: readonly SimpleCommand[];
}

/** Most models that are told side by side. */
export const MOST_COMPARED = 4;

/** @returns null where no voice has figures */
export const worstVoice = (analysis: Analysis): WorstVoice | null => {
  const all = voices(analysis).flatMap((stage) => {
    const figures = voiceFigures(analysis, stage);
    const snrDb = figures?.snrDb ?? null;
    return figures && snrDb !== null
      ? [{ name: analysis.device({ id: figures.sourceId }).name, snrDb }]
      : [];
  });
  return all.reduce<WorstVoice | null>(
    (worst, one) => (worst === null || one.snrDb < worst.snrDb ? one : worst),
    null,
  );
};

interface Moved {
  readonly linkId: string;
  readonly command: SimpleCommand;
}

/** The cables of a device in the sockets of another model: each in the one of its name, or in the first that fits. */
const plugged = (rig: Rig, device: Device, deviceId: string, model: Model): Moved[] | string => {
  const held = new Set<string>();
  const moved: Moved[] = [];
  for (const linkId of linksOf(rig.links, deviceId)) {
    const link = entry(rig.links, linkId);
    if (!link) continue;
    const isFrom = link.from.deviceId === deviceId;
    const [own, far] = isFrom ? [link.from, link.to] : [link.to, link.from];
    const other = entry(rig.devices, far.deviceId)?.model.ports[far.portId];
    const was = device.model.ports[own.portId];
    if (!other || !was) continue;
    const ids = [own.portId, ...Object.keys(model.ports)];
    const portId = ids.find((id) => {
      const port = entry(model.ports, id);
      if (!port || (held.has(id) && !takesMany(port)) || port.direction !== was.direction)
        return false;
      const mating = isFrom ? mate(port, other) : mate(other, port);
      return mating.can && !mating.flipped;
    });
    const port = portId === undefined ? undefined : entry(model.ports, portId);
    const [a, b] = isFrom ? [port, other] : [other, port];
    const cable = a && b && suggestedCable(a, b);
    if (portId === undefined || !cable)
      return `${model.name} has no socket left for the cable in “${was.name}”.`;
    for (const id of oneSocket(model.ports, portId)) held.add(id);
    const end = { deviceId, portId };
    const mating = a && b ? mate(a, b) : null;
    // The cable that is there stays where it still fits.
    const stays = mating?.can && mating.cables.includes(link.cable.kind);
    moved.push({
      linkId,
      command: {
        type: 'connect',
        linkId,
        from: isFrom ? end : far,
        to: isFrom ? far : end,
        cable: { ...link.cable, kind: stays ? link.cable.kind : cable.kind },
      },
    });
  }
  return moved;
};

const freeSockets = (rig: Rig, deviceId: string): number => {
  const ports = entry(rig.devices, deviceId)?.model.ports ?? {};
  const held = new Set(
    Object.values(rig.links)
      .flatMap(({ from, to }) => [from, to])
      .filter((end) => end.deviceId === deviceId)
      .flatMap(({ portId }) => oneSocket(ports, portId)),
  );
  const sockets = new Set(
    Object.entries(ports)
      .filter(([id, port]) => !held.has(id) && !takesMany(port))
      .map(([id, port]) => port.socket ?? id),
  );
  return sockets.size;
};

const WORST_FIRST = ['stop', 'warn', 'note'] as const;
const byLevel = (a: Finding, b: Finding): number =>
  WORST_FIRST.indexOf(a.level) - WORST_FIRST.indexOf(b.level);

const without = (findings: readonly Finding[], others: readonly Finding[]): Finding[] => {
  const keys = new Set(others.map(findingKey));
  return findings.filter((finding) => !keys.has(findingKey(finding))).sort(byLevel);
};

const tryOne = (analysis: Analysis, deviceId: string, model: Model): Compared => {
  const { rig } = analysis;
  const device = entry(rig.devices, deviceId);
  const cannot = (why: string): Compared => ({
    model,
    why,
    verdict: null,
    brings: [],
    takes: [],
    worst: null,
    freeSockets: 0,
    commands: [],
  });
  if (!device) return cannot('The device is no longer there.');
  const moved = plugged(rig, device, deviceId, model);
  if (typeof moved === 'string') return cannot(moved);
  const commands: SimpleCommand[] = [
    ...moved.map(({ linkId }) => ({ type: 'disconnect' as const, linkId })),
    { type: 'replaceModel', deviceId, model },
    ...moved.map(({ command }) => command),
  ];
  try {
    const after = reanalyse(
      analysis,
      apply(rig, { type: 'batch', label: `Made ${device.name} a ${model.name}`, commands }),
    );
    return {
      model,
      why: null,
      verdict: after.verdict,
      brings: without(after.findings, analysis.findings),
      takes: without(analysis.findings, after.findings),
      worst: worstVoice(after),
      freeSockets: freeSockets(after.rig, deviceId),
      commands,
    };
  } catch (error) {
    if (error instanceof Refusal) return cannot(error.message);
    throw error;
  }
};

/** Each model in a device's place, as the engine finds it there. @param models up to four count */
export const compareIn = (
  analysis: Analysis,
  deviceId: string,
  models: readonly Model[],
): Compared[] => models.slice(0, MOST_COMPARED).map((model) => tryOne(analysis, deviceId, model));
