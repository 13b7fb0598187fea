import { unplug } from '../../edits/unplug';
import { type LinkEdge, stagesOf, type Thread } from '../../graph';
import type { Measured } from '../../passes/measured';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

/** Ways of sound to an audience. */
const toAudience = ({ traced }: Measured): Thread[] =>
  traced.threads.filter(
    ({ signal, end }) =>
      signal === 'sound' && ['stream', 'recording', 'recorder'].includes(end.device.model.kind),
  );

const isTalk = ({ source }: Thread): boolean => source.device.model.kind === 'headphones';

/** Intercom packs and headsets whose talk reaches an audience, once for each. */
const onAir = (measured: Measured): Thread[] => {
  if (
    !measured.graph.ports.some(
      ({ port, device }) => port.emits?.sound && device.model.kind === 'headphones',
    )
  )
    return [];
  const found = new Map<string, Thread>();
  for (const thread of toAudience(measured))
    if (isTalk(thread) && !found.has(thread.source.device.id))
      found.set(thread.source.device.id, thread);
  return [...found.values()];
};

const cablesOf = ({ last }: Thread): LinkEdge[] =>
  stagesOf(last).flatMap(({ via }) => (via.by === 'link' ? [via.link] : []));

/** Cables that take talk to an audience and nothing else, the one that all talk comes by first. */
const talksAlone = (measured: Measured, thread: Thread): LinkEdge[] => {
  const wanted = new Set(
    toAudience(measured)
      .filter((other) => !isTalk(other))
      .flatMap(cablesOf),
  );
  return cablesOf(thread)
    .filter((edge) => !wanted.has(edge))
    .reverse();
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
    fixes: (thread, measured) => talksAlone(measured, thread).map((edge) => unplug(measured, edge)),
    judge: ({ source, end }, measured) => ({
      level: 'stop',
      title: 'The audience hears the intercom',
      says:
        `What is said into ${measured.device(source.device).name} reaches ${measured.device(end.device).name}. ` +
        'Keep the intercom on lines of its own, or take its channel out of the mix.',
    }),
  },
);
