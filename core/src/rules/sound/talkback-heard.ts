import type { Thread } from '../../graph';
import type { Measured } from '../../passes/measure';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** Intercom packs and headsets whose talk reaches an audience, once for each. */
const onAir = ({ traced, graph }: Measured): Thread[] => {
  if (
    !graph.ports.some(({ port, device }) => port.emits?.sound && device.model.kind === 'headphones')
  )
    return [];
  const found = new Map<string, Thread>();
  for (const thread of traced.threads)
    if (
      thread.signal === 'sound' &&
      thread.source.device.model.kind === 'headphones' &&
      ['stream', 'recording', 'recorder'].includes(thread.end.device.model.kind) &&
      !found.has(thread.source.device.id)
    )
      found.set(thread.source.device.id, thread);
  return [...found.values()];
};

export const talkbackHeard = eachSoundRule<Thread>(
  'sound.talkback-heard',
  {
    matters: ['ears'],
    looksFor: 'Talkback or intercom that reaches a stream or a recording.',
    why: 'The director’s “camera two, closer” goes out to everyone.',
    remedy: 'Keep the intercom on lines of its own, or take its channel out of the mix.',
    source: 'handbook 2-sound, monitoring',
  },
  {
    all: onAir,
    about: ({ source }) => at({ deviceId: source.device.id, portId: source.id }),
    judge: ({ source, end }, measured) => ({
      level: 'stop',
      title: 'The audience hears the intercom',
      says:
        `What is said into ${measured.device(source.device).name} reaches ${measured.device(end.device).name}. ` +
        'Keep the intercom on lines of its own, or take its channel out of the mix.',
    }),
  },
);
