import { z } from 'zod';
import { anyId, anyOf, type Chance, newId } from '../chance';
import { deviceName } from '../devices/names';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone } from '../slice';
import { CABLES } from './cables';
import { mate, oneSocket, portAt, takesMany } from './mating';
import { heldPort, linksOf, plug, unplug } from './plugs';
import { linkProblems } from './problems';
import { type CableRun, type End, endSchema, MAX_LINKS, runSchema } from './schema';

export { blank, shape } from './shape';

/** What is plugged into what, and with which cable. */

const connectSchema = z.strictObject({
  linkId: idSchema,
  from: endSchema,
  to: endSchema,
  cable: runSchema,
});

/** @throws Refusal where the socket of a port holds a plug already */
const checkRoom = (rig: DraftRig, { deviceId, portId }: End): void => {
  const device = entry(rig.devices, deviceId);
  const port = device && entry(device.model.ports, portId);
  if (!device || !port || takesMany(port)) return;
  const held = heldPort(rig.links, deviceId, oneSocket(device.model.ports, portId));
  if (held === undefined) return;
  throw held === portId
    ? refusals.portHeld(device.name, port.name)
    : refusals.socketHeld(device.name, port.name, device.model.ports[held]?.name ?? held);
};

const connect = (rig: DraftRig, { linkId, from, to, cable }: z.infer<typeof connectSchema>) => {
  if (entry(rig.links, linkId)) throw refusals.idTaken(linkId);
  if (Object.keys(rig.links).length >= MAX_LINKS) throw refusals.tooMany('connections', MAX_LINKS);
  const device = ({ deviceId }: End) =>
    mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
  const [fromDevice, toDevice] = [device(from), device(to)];
  const fromPort = mustHave(portAt(rig, from), refusals.noPort(fromDevice.name, from.portId));
  const toPort = mustHave(portAt(rig, to), refusals.noPort(toDevice.name, to.portId));
  if (from.deviceId === to.deviceId) throw refusals.itself(fromDevice.name);
  const mating = mate(fromPort, toPort);
  if (!mating.can) {
    const fromName = `${fromDevice.name}, ${fromPort.name}`;
    throw refusals.cannotJoin(fromName, `${toDevice.name}, ${toPort.name}`, mating.why);
  }
  if (!mating.cables.includes(cable.kind)) throw refusals.cableMisfit(CABLES[cable.kind].name);
  checkRoom(rig, from);
  checkRoom(rig, to);
  const [sending, receiving] = mating.flipped ? [to, from] : [from, to];
  plug(rig.links, linkId, { from: { ...sending }, to: { ...receiving }, cable: { ...cable } });
};

const endName = (rig: Rig, end: End): string =>
  `${deviceName(rig, end.deviceId)} (${portAt(rig, end)?.name ?? end.portId})`;

const withCable = ({ kind, lengthM }: CableRun): string =>
  kind === 'inside' ? '' : ` with ${lengthM} m of ${CABLES[kind].name}`;

const endKey = ({ deviceId, portId }: End): string => `${deviceId}.${portId}`;

interface Joined {
  readonly from: End;
  readonly to: End;
  readonly cable: CableRun;
}

/** Sockets in which there is room for a plug. */
const freeEnds = (rig: Rig): End[] => {
  const ends = Object.values(rig.links).flatMap(({ from, to }) => [from, to]);
  const held = new Set(ends.map(endKey));
  return Object.entries(rig.devices).flatMap(([deviceId, { model }]) =>
    Object.entries(model.ports)
      .map(([portId, port]) => ({ end: { deviceId, portId }, port }))
      .filter(
        ({ end, port }) =>
          takesMany(port) ||
          oneSocket(model.ports, end.portId).every(
            (id) => !held.has(endKey({ deviceId, portId: id })),
          ),
      )
      .map(({ end }) => end),
  );
};

const TRIES = 8;

/** Two ends that a cable would join, found by trying some; any two where none was found. */
const anyEnds = (chance: Chance, rig: Rig): Joined | null => {
  const free = freeEnds(rig);
  let any: Joined | null = null;
  for (let tries = 0; tries < TRIES; tries++) {
    const from = anyOf(chance, free);
    const a = from && portAt(rig, from);
    if (!from || !a) return any;
    const mates = free.flatMap((to) => {
      const b = to.deviceId === from.deviceId ? undefined : portAt(rig, to);
      const mating = b && mate(a, b);
      return mating?.can ? [{ to, cables: mating.cables }] : [];
    });
    const far = anyOf(chance, mates);
    const kind = (far && anyOf(chance, far.cables)) ?? 'balanced';
    const lengthM = kind === 'inside' ? 0 : chance.integer(1, 60);
    any = { from, to: far?.to ?? from, cable: { kind, lengthM } };
    if (far) return any;
  }
  return any;
};

export const commands = {
  connect: command({
    schema: connectSchema,
    apply: connect,
    says: (rig, { from, to, cable }) =>
      `Connected ${endName(rig, from)} to ${endName(rig, to)}${withCable(cable)}.`,
    arbitrary: (chance, rig) => {
      const ends = anyEnds(chance, rig);
      return ends && { linkId: newId(chance, 'link'), ...ends };
    },
  }),
  disconnect: command({
    schema: z.strictObject({ linkId: idSchema }),
    apply: (rig, { linkId }) => {
      mustHave(entry(rig.links, linkId), refusals.noLink(linkId));
      unplug(rig.links, linkId);
    },
    says: (rig, { linkId }) => {
      const link = entry(rig.links, linkId);
      return link
        ? `Disconnected ${endName(rig, link.from)} from ${endName(rig, link.to)}.`
        : 'Disconnected a cable.';
    },
    arbitrary: (chance, rig) => {
      const linkId = anyId(chance, rig.links);
      return linkId === null ? null : { linkId };
    },
  }),
  setCable: command({
    schema: z.strictObject({ linkId: idSchema, cable: runSchema }),
    apply: (rig, { linkId, cable }) => {
      const link = mustHave(entry(rig.links, linkId), refusals.noLink(linkId));
      const [from, to] = [portAt(rig, link.from), portAt(rig, link.to)];
      const mating = from && to && mate(from, to);
      if (!mating?.can || !mating.cables.includes(cable.kind))
        throw refusals.cableMisfit(CABLES[cable.kind].name);
      link.cable = { ...cable };
    },
    says: (rig, { linkId, cable }) => {
      const link = entry(rig.links, linkId);
      const where = link ? ` from ${endName(rig, link.from)} to ${endName(rig, link.to)}` : '';
      return `Made the cable${where} ${cable.lengthM} m of ${CABLES[cable.kind].name}.`;
    },
    arbitrary: (chance, rig) => {
      const linkId = anyId(chance, rig.links);
      const link = linkId === null ? undefined : entry(rig.links, linkId);
      if (linkId === null || !link) return null;
      return { linkId, cable: { kind: link.cable.kind, lengthM: chance.integer(0, 150) } };
    },
  }),
};

export const problems = linkProblems;

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  if (kind === 'device') for (const linkId of linksOf(rig.links, id)) unplug(rig.links, linkId);
};

export const limits = { links: MAX_LINKS };
