import type { PortNode, Thread } from '../../graph';
import { numberSetting, switchSetting } from '../../rig';
import type { Measured } from '../measured';
import { middleM, type Somewhere, stoodAt } from '../place';
import { pass } from '../pass';

/** Something that sounds, and where. */
export interface Sounding {
  readonly id: string;
  readonly name: string;
  readonly at: Somewhere | null;
  /** @unit dB SPL at 1 m */
  readonly splAt1m: number;
}

/** What each loudspeaker makes of each source at 1 m. @unit dB SPL */
interface Loudspeaker {
  readonly node: PortNode;
  readonly at: Somewhere;
  readonly splBySource: ReadonlyMap<PortNode, number>;
}

/** Whether a loudspeaker is muted while microphones are open. */
export const isMuted = (measured: Measured, { port, device }: PortNode): boolean =>
  port.family === 'analogue' &&
  port.speakerMuteControl !== undefined &&
  switchSetting(measured.device(device), port.speakerMuteControl);

export const loudspeakers = pass('loudspeakers', (measured): readonly Loudspeaker[] => {
  const byEnd = new Map<PortNode, Thread[]>();
  for (const thread of measured.traced.threads) {
    if (thread.signal !== 'sound' || thread.end.device.model.kind !== 'loudspeaker') continue;
    const threads = byEnd.get(thread.end);
    if (threads) threads.push(thread);
    else byEnd.set(thread.end, [thread]);
  }
  return [...byEnd].flatMap(([node, threads]) => {
    const { port } = node;
    const there = stoodAt(measured, node.device.id);
    if (
      port.family !== 'analogue' ||
      port.splAt0Dbu === undefined ||
      port.splAt0Dbu === null ||
      !there ||
      isMuted(measured, node)
    )
      return [];
    const volumeDb =
      port.speakerVolumeControl === undefined
        ? 0
        : (numberSetting(measured.device(node.device), port.speakerVolumeControl) ?? 0);
    const splBySource = new Map<PortNode, number>();
    for (const { source, last } of threads) {
      const figures = measured.sound[last.index];
      if (figures?.unit === 'dBu' && figures.levelDb !== null)
        splBySource.set(
          source,
          Math.max(
            splBySource.get(source) ?? -Infinity,
            figures.levelDb + port.splAt0Dbu + volumeDb,
          ),
        );
    }
    return [{ node, at: { ...there.spot, zM: middleM(there) }, splBySource }];
  });
});

export const throughLoudspeakers = (measured: Measured, source: PortNode): Sounding[] =>
  loudspeakers(measured).flatMap(({ node, at, splBySource }) => {
    const splAt1m = splBySource.get(source);
    return splAt1m === undefined
      ? []
      : [{ id: node.device.id, name: measured.device(node.device).name, at, splAt1m }];
  });
