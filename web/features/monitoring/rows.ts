import {
  ears,
  entry,
  figure,
  inOrder,
  isMuted,
  type Analysis,
  type Ears,
  type Finding,
  hasToDoWith,
} from '@echo-loom/core';

/** A person on site or elsewhere, and what reaches their ears. */
export interface ListenerRow {
  readonly personId: string;
  readonly name: string;
  readonly isRemote: boolean;
  readonly ears: readonly Ears[];
  /** Who or what is heard, by name */
  readonly hears: string;
  /** Others with the same sounds from the same box: a change for one is a change for all */
  readonly sharesWith: readonly string[];
}

/** Whose voice a sound is, or which device makes it. */
const voiceName = (analysis: Analysis, { device }: Ears['heard'][number]['source']): string => {
  const { personId, name } = analysis.device(device);
  return (personId === null ? undefined : entry(analysis.rig.people, personId)?.name) ?? name;
};

/**
 * What makes two pairs of headphones one mix: the same sounds from the same box. A box with a level
 * of its own for somebody may still mix alike for all.
 */
const mixOf = ({ heard, node }: Ears): string =>
  `${node.links[0]?.from.device.id ?? ''}: ${heard
    .map(({ source }) => source.index)
    .sort((a, b) => a - b)
    .join(' ')}`;

/** Everybody in the show, in order, with their headphones or what they are sent. */
export const listenerRows = (analysis: Analysis): ListenerRow[] =>
  inOrder(analysis.rig.people).map(([personId, { name, where }]): ListenerRow => {
    const own = ears(analysis).filter((pair) => pair.personId === personId);
    const sent =
      where === 'remote'
        ? analysis.traced.threads
            .filter(
              ({ signal, end }) =>
                signal === 'sound' &&
                end.device.model.kind === 'call' &&
                analysis.device(end.device).personId === personId,
            )
            .map(({ source }) => voiceName(analysis, source))
        : [];
    const heard = [
      ...own.flatMap(({ heard: sounds }) =>
        sounds.map(({ source }) => voiceName(analysis, source)),
      ),
      ...sent,
    ];
    const mixes = own.map(mixOf);
    const sharesWith = ears(analysis)
      .filter(
        (pair) =>
          pair.personId !== null && pair.personId !== personId && mixes.includes(mixOf(pair)),
      )
      .map((pair) => entry(analysis.rig.people, pair.personId ?? '')?.name ?? '');
    return {
      personId,
      name,
      isRemote: where === 'remote',
      ears: own,
      hears: [...new Set(heard)].join(', ') || 'nothing',
      sharesWith: [...new Set(sharesWith)],
    };
  });

/** How long a level may be heard, in words. */
export const timeText = (hours: number | null): string =>
  hours === null
    ? 'not known'
    : hours >= 24
      ? 'all day'
      : hours >= 1
        ? `${figure(hours)} h`
        : `${figure(hours * 60, 0)} min`;

/** Findings about what people hear. */
export const findingsOfEars = ({ findings }: Analysis): Finding[] =>
  findings.filter((finding) => hasToDoWith(finding, 'ears'));

/** Somebody off air who can speak, and into whose headphones. */
export interface TalkbackRow {
  readonly deviceId: string;
  readonly name: string;
  readonly person: string;
  readonly reaches: readonly string[];
}

/** Talkback and intercom: every voice that is not part of the show, and who hears it. */
export const talkbackRows = (analysis: Analysis): TalkbackRow[] =>
  [...analysis.graph.devices.values()].flatMap((node): TalkbackRow[] => {
    const { rig, traced } = analysis;
    const { model } = node;
    const { personId, name } = analysis.device(node);
    const person = personId === null ? undefined : entry(rig.people, personId);
    const speaks =
      Object.values(model.ports).some(({ emits }) => emits?.sound) &&
      (model.kind === 'headphones' || person?.isHeard === false);
    if (!person || !speaks) return [];
    const reached = traced.threads.filter(
      ({ signal, source, end }) =>
        signal === 'sound' &&
        source.device === node &&
        end.device !== node &&
        end.device.model.kind === 'headphones',
    );
    const names = reached.map(({ end }) => {
      const ears = analysis.device(end.device);
      return (
        (ears.personId === null ? undefined : entry(rig.people, ears.personId)?.name) ?? ears.name
      );
    });
    return [{ deviceId: node.id, name, person: person.name, reaches: [...new Set(names)] }];
  });

/** A loudspeaker and what it plays. */
export interface LoudspeakerRow {
  readonly deviceId: string;
  readonly name: string;
  readonly plays: readonly string[];
  /** Its switch; null where it has none */
  readonly muteControl: string | null;
  readonly isMuted: boolean;
}

/** Every loudspeaker that is plugged in. */
export const loudspeakerRows = (analysis: Analysis): LoudspeakerRow[] =>
  analysis.graph.ports.flatMap((node): LoudspeakerRow[] => {
    const { port, device, links } = node;
    if (device.model.kind !== 'loudspeaker' || links.length === 0 || port.family !== 'analogue')
      return [];
    const plays = analysis.traced.threads
      .filter(({ signal, end }) => signal === 'sound' && end === node)
      .map(({ source }) => voiceName(analysis, source));
    return [
      {
        deviceId: device.id,
        name: analysis.device(device).name,
        plays: [...new Set(plays)],
        muteControl: port.speakerMuteControl ?? null,
        isMuted: isMuted(analysis, node),
      },
    ];
  });
