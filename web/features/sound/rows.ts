import {
  bleedDb,
  channelLoads,
  entry,
  FARTHER_M,
  ifItWere,
  inOrder,
  loopDb,
  microphonesInRoom,
  FREE_PATTERNS,
  type Analysis,
  type MicrophoneInRoom,
  type Pattern,
  type PickedUp,
  hasToDoWith,
} from '@echo-loom/core';

/** A microphone in its room, against the house rules. */
export interface MicrophoneRow {
  readonly id: string;
  readonly name: string;
  readonly person: string;
  readonly microphone: MicrophoneInRoom;
  /** The loudest other voice, and how far it stands under the own. @unit dB, below 0 */
  readonly worst: { readonly other: PickedUp; readonly db: number } | null;
  readonly loopDb: number | null;
  readonly level: 'stop' | 'warn' | 'well';
}

/** Findings about what the room does to a microphone. */
export const findingsOfRoom = ({ findings }: Analysis, deviceId: string) =>
  findings.filter(
    (finding) => finding.about.deviceId === deviceId && hasToDoWith(finding, 'microphone in room'),
  );

const worstOf = (microphone: MicrophoneInRoom): MicrophoneRow['worst'] =>
  microphone.bleed.reduce<MicrophoneRow['worst']>((worst, other) => {
    const db = bleedDb(microphone, other);
    return db !== null && db > (worst?.db ?? -Infinity) ? { other, db } : worst;
  }, null);

/** Every microphone that is plugged in, in the order of the rig. */
export const microphoneRows = (analysis: Analysis): MicrophoneRow[] =>
  microphonesInRoom(analysis).map((microphone) => {
    const { id } = microphone.node.device;
    const device = analysis.device(microphone.node.device);
    const findings = findingsOfRoom(analysis, id);
    return {
      id,
      name: device.name,
      person:
        (device.personId === null
          ? undefined
          : entry(analysis.rig.people, device.personId)?.name) ?? 'nobody',
      microphone,
      worst: worstOf(microphone),
      loopDb: loopDb(microphone),
      level: findings.some(({ level }) => level === 'stop')
        ? 'stop'
        : findings.some(({ level }) => level === 'warn')
          ? 'warn'
          : 'well',
    };
  });

/** One noise at one microphone, now and as it would be. @unit dB(A) */
export interface NoiseRow {
  readonly noise: PickedUp;
  /** Voice over this noise alone. @unit dB */
  readonly underDb: number | null;
  readonly fartherSpl: number | null;
}

export const noiseRows = (analysis: Analysis, microphone: MicrophoneInRoom): NoiseRow[] =>
  microphone.noises.map((noise) => ({
    noise,
    underDb: microphone.ownSpl === null ? null : microphone.ownSpl - noise.spl,
    fartherSpl:
      ifItWere(analysis, microphone, {
        farther: { noiseId: noise.id, byM: FARTHER_M },
      })?.noises.find(({ id }) => id === noise.id)?.spl ?? null,
  }));

/** The same microphone with each pattern there is. @unit dB; the one it has among them */
export interface PatternRow {
  readonly pattern: Pattern;
  readonly isPresent: boolean;
  readonly overRoomDb: number | null;
  readonly worstDb: number | null;
  readonly directToReverberantDb: number | null;
}

export const patternRows = (analysis: Analysis, microphone: MicrophoneInRoom): PatternRow[] =>
  FREE_PATTERNS.map((pattern) => {
    const there = ifItWere(analysis, microphone, { pattern });
    return {
      pattern,
      isPresent: pattern === microphone.pattern,
      overRoomDb: there?.overRoomDb ?? null,
      worstDb: (there && worstOf(there)?.db) ?? null,
      directToReverberantDb: there?.directToReverberantDb ?? null,
    };
  });

/** The bleed matrix: every talker on site at every microphone, under the microphone's own voice. */
export interface BleedMatrix {
  readonly talkers: readonly { readonly personId: string; readonly name: string }[];
  /** By talker. @unit dB; `own` where it is their microphone, null where it is not known */
  readonly lines: readonly {
    readonly id: string;
    readonly name: string;
    readonly at: readonly (number | 'own' | null)[];
  }[];
}

export const bleedMatrix = ({ rig }: Analysis, rows: readonly MicrophoneRow[]): BleedMatrix => {
  const talkers = inOrder(rig.people)
    .filter(([, { where, isHeard }]) => where === 'on site' && isHeard)
    .map(([personId, { name }]) => ({ personId, name }));
  const lines = rows.map(({ id, name, microphone }) => ({
    id,
    name,
    at: talkers.map(({ personId }) => {
      const other = microphone.bleed.find((sound) => sound.id === personId);
      return microphone.personId === personId ? 'own' : other ? bleedDb(microphone, other) : null;
    }),
  }));
  return { talkers, lines };
};

/** Inputs of a stage box, mixer or interface that hold something, or channels of a cable that carry something. */
export interface CountRow {
  readonly id: string;
  readonly where: string;
  readonly used: number;
  /** null = not limited there */
  readonly most: number | null;
}

/** Microphone inputs of every box that has some plugged in, in the rig's order. */
export const inputCounts = (analysis: Analysis): CountRow[] =>
  [...analysis.graph.devices.values()].flatMap((node): CountRow[] => {
    const inputs = [...node.ports.values()].filter(
      ({ port }) =>
        port.family === 'analogue' && port.direction === 'in' && port.nominal === 'microphone',
    );
    const used = inputs.filter(({ links }) => links.length > 0).length;
    return used === 0 || inputs.length < 2
      ? []
      : [{ id: node.id, where: analysis.device(node).name, used, most: inputs.length }];
  });

/** Channels on every digital and network cable that carries sound. */
export const channelCounts = (analysis: Analysis): CountRow[] =>
  channelLoads(analysis).map(({ from, to, sources, most }) => ({
    id: `${to.device.id}.${to.id}`,
    where: `${analysis.device(from.device).name} → ${analysis.device(to.device).name}`,
    used: sources.length,
    most,
  }));
