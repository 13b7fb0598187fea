import { isMuted } from '../../passes/room/loudspeakers';
import { at } from '../about';
import type { Rule } from '../rule';
import { setFix } from '../rule-of';

export const loudspeakerOpen: Rule = {
  code: 'sound.loudspeaker-open',
  area: 'sound',
  matters: ['ears'],
  looksFor: 'A caller heard over a loudspeaker while microphones in the room go back to a caller.',
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
    if (!toCaller) return [];
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
