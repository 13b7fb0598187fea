import type { DeviceNode, PortNode, Thread } from '../../graph';
import { numberSetting } from '../../rig';
import { powerSumDb, soundMps } from '../../units';
import { isKeptApart } from '../coverage/recordings';
import { pass } from '../pass';
import type { SoundFigures } from '../sound';

/** One microphone as it arrives in a mix. */
export interface OpenInMix {
  readonly source: PortNode;
  readonly personId: string | null;
  readonly last: Thread['last'];
  readonly levelDb: number;
  readonly noise: SoundFigures['noise'];
  /** From the mouth to its end: the air and the devices. @unit ms; null where a part is not known */
  readonly delayMs: number | null;
}

/** A stream or a file in which several microphones are put together. */
export interface Mix {
  readonly end: DeviceNode;
  readonly open: readonly OpenInMix[];
  /** @unit dBFS or dBu, as its levels */
  readonly unit: SoundFigures['unit'];
}

/** Every mix of two microphones or more whose levels are known, in the order of the rig. */
export const mixes = pass('mixes', (measured): readonly Mix[] => {
  const byEnd = new Map<
    DeviceNode,
    { unit: SoundFigures['unit']; open: Map<PortNode, OpenInMix> }
  >();
  for (const thread of measured.traced.threads) {
    const { signal, source, last, end } = thread;
    const emits = source.port.emits?.sound;
    const { kind } = end.device.model;
    if (
      signal !== 'sound' ||
      emits?.type !== 'microphone' ||
      (kind !== 'stream' && kind !== 'recording') ||
      isKeptApart(thread)
    )
      continue;
    const figures = measured.sound[last.index];
    if (!figures || figures.levelDb === null) continue;
    const device = measured.device(source.device);
    const distanceM = numberSetting(device, emits.distanceControl);
    const delay = measured.delay[last.index];
    const open: OpenInMix = {
      source,
      personId: device.personId,
      last,
      levelDb: figures.levelDb,
      noise: figures.noise,
      delayMs:
        distanceM === undefined || !delay || delay.unknown > 0
          ? null
          : delay.knownMs + (1000 * distanceM) / soundMps(measured.rig.room.temperatureC),
    };
    let mix = byEnd.get(end.device);
    if (!mix) byEnd.set(end.device, (mix = { unit: figures.unit, open: new Map() }));
    const known = mix.open.get(source);
    if (!known || known.levelDb < open.levelDb) mix.open.set(source, open);
  }
  return [...byEnd]
    .map(([end, { unit, open }]) => ({ end, unit, open: [...open.values()] }))
    .filter(({ open }) => open.length > 1);
});

/**
 * Signal-to-noise ratio of a mix: people take turns, so its level is the mean of their powers, and the
 * noise of everything that is open adds. @unit dB; null where a noise is not known
 */
export const mixSnrDb = ({ open }: Mix): number | null => {
  const noises = open.map(({ noise }) => noise?.unweightedDb ?? null);
  if (noises.includes(null)) return null;
  return (
    powerSumDb(...open.map(({ levelDb }) => levelDb)) -
    10 * Math.log10(open.length) -
    powerSumDb(...noises.map((db) => db ?? 0))
  );
};
