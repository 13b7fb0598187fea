import type { DeviceNode, Thread } from '../../graph';
import type { Measured } from '../../passes/measured';
import { loops } from '../../passes/room';
import { isMuted } from '../../passes/room/loudspeakers';
import { at } from '../about';
import type { Finding, Rule } from '../rule';
import { setFix } from '../rule-of';

/**
 * Loudspeakers that play open microphones beside them, where nobody has said where they stand: those
 * whose places are known are judged by their loops.
 */
const besideMicrophones = (measured: Measured, sound: readonly Thread[]): Finding[] => {
  const judged = new Set(
    loops(measured).flatMap(({ loudspeakers }) => loudspeakers.map(({ id }) => id)),
  );
  const open = new Map<DeviceNode, Thread[]>();
  for (const thread of sound) {
    const { source, end } = thread;
    const [there, here] = [source, end].map(({ device }) => measured.device(device).placeId);
    if (
      end.device.model.kind !== 'loudspeaker' ||
      source.port.emits?.sound?.type !== 'microphone' ||
      isMuted(measured, end) ||
      judged.has(end.device.id) ||
      // In another room it hears nothing of it.
      (there && here && there !== here)
    )
      continue;
    open.set(end.device, [...(open.get(end.device) ?? []), thread]);
  }
  return [...open].map(([device, threads]) => ({
    code: 'sound.loudspeaker-open',
    area: 'sound',
    level: 'warn',
    about: at({ deviceId: device.id, portId: threads[0]?.end.id }),
    title: 'Open loudspeaker beside open microphones',
    says:
      `${measured.device(device).name} plays microphones that are open, and nobody has said where they and ` +
      'it stand: it may ring or howl. Say where they are on the plan, mute it while microphones are ' +
      'open, or use headphones.',
  }));
};

export const loudspeakerOpen: Rule = {
  code: 'sound.loudspeaker-open',
  area: 'sound',
  matters: ['ears'],
  looksFor:
    'A caller heard over a loudspeaker while microphones in the room go back to a caller; or a loudspeaker ' +
    'that plays open microphones, where nobody has said where they stand.',
  why: 'The microphones pick the caller up and send them back to themself.',
  remedy: 'Give everyone headphones, or mute the loudspeaker while microphones are open.',
  source: 'handbook 2-sound, hearing',
  find: (measured) => {
    if (![...measured.graph.devices.values()].some(({ model }) => model.kind === 'loudspeaker'))
      return [];
    const sound = measured.traced.threads.filter((thread) => thread.signal === 'sound');
    const toCaller = sound.find(
      (thread) =>
        thread.source.port.emits?.sound?.type === 'microphone' &&
        thread.end.device.model.kind === 'call',
    );
    const loudspeakers = sound.filter(
      (thread) =>
        thread.source.device.model.kind === 'call' &&
        thread.end.device.model.kind === 'loudspeaker' &&
        !isMuted(measured, thread.end),
    );
    if (!toCaller) return besideMicrophones(measured, sound);
    return loudspeakers.map((thread) => ({
      code: 'sound.loudspeaker-open',
      area: 'sound',
      level: 'stop',
      about: at({ deviceId: thread.end.device.id, portId: thread.end.id }),
      title: 'Open loudspeaker with open microphones',
      says:
        `${measured.device(thread.source.device).name} is heard over ${measured.device(thread.end.device).name}, ` +
        `and ${measured.device(toCaller.source.device).name} sends the room back to ` +
        `${measured.device(toCaller.end.device).name}: they will hear themself. Use headphones, or mute ` +
        'the loudspeaker while microphones are open.',
    }));
  },
  fixes: (measured, { about }) => {
    const node =
      about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
    if (!node) return [];
    const mutes = [...node.ports.values()].flatMap(({ port }) =>
      port.family === 'analogue' && port.speakerMuteControl !== undefined
        ? [
            setFix(
              `Mute ${measured.device(node).name} while microphones are open`,
              node.id,
              port.speakerMuteControl,
              true,
            ),
          ]
        : [],
    );
    const edge = [...node.ports.values()].flatMap((port) => port.links)[0];
    return [
      ...mutes,
      ...(edge
        ? [
            {
              label: `Disconnect ${measured.device(node).name}`,
              command: { type: 'disconnect' as const, linkId: edge.id },
            },
          ]
        : []),
    ];
  },
};
