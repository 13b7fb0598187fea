import { ears, entry, figure, inOrder, type Analysis, type Ears, type Finding } from '@echo-loom/core';

/** A person on site or elsewhere, and what reaches their ears. */
export interface ListenerRow {
  readonly personId: string;
  readonly name: string;
  readonly isRemote: boolean;
  readonly ears: readonly Ears[];
  /** Who or what is heard, by name */
  readonly hears: string;
}

/** Whose voice a sound is, or which device makes it. */
const voiceName = (analysis: Analysis, { device }: Ears['heard'][number]['source']): string => {
  const { personId, name } = device.device;
  return (personId === null ? undefined : entry(analysis.rig.people, personId)?.name) ?? name;
};

/** Everybody in the show, in order, with their headphones or what they are sent. */
export const listenerRows = (analysis: Analysis): ListenerRow[] =>
  inOrder(analysis.rig.people).map(([personId, { name, where }]): ListenerRow => {
    const own = ears(analysis).filter((pair) => pair.personId === personId);
    const sent = where === 'remote' ? analysis.traced.threads.filter(({ signal, end }) => signal === 'sound' && end.device.device.model.kind === 'call' && end.device.device.personId === personId).map(({ source }) => voiceName(analysis, source)) : [];
    const heard = [...own.flatMap(({ heard: sounds }) => sounds.map(({ source }) => voiceName(analysis, source))), ...sent];
    return { personId, name, isRemote: where === 'remote', ears: own, hears: [...new Set(heard)].join(', ') || 'nothing' };
  });

/** How long a level may be heard, in words. */
export const timeText = (hours: number | null): string =>
  hours === null ? 'not known' : hours >= 24 ? 'all day' : hours >= 1 ? `${figure(hours)} h` : `${figure(hours * 60, 0)} min`;

const CODES: ReadonlySet<string> = new Set(['sound.ears-loud', 'sound.ears-late', 'sound.mix-minus', 'sound.loudspeaker-open', 'brief.cannot-hear']);

/** Findings about what people hear. */
export const findingsOfEars = ({ findings }: Analysis): Finding[] => findings.filter(({ code }) => CODES.has(code));
