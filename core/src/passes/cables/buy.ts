import { cablePrice, type CableRun, entry, inOrder, type Rig } from '../../rig';
import { type CableId, JOIN_PRICE, stockFor } from '../../rig/links/cables';

/** What cables are there, which of them serve, and what is to be bought. Lengths in metres. */

/** One line of the list to buy. */
export interface ToBuy extends CableRun {
  readonly count: number;
  readonly linkIds: readonly string[];
  /** Of all of them, in the studio's currency, typical */
  readonly price: number;
}

/** What joins lengths of one kind to runs that are longer than any that is sold. */
export interface Joins {
  readonly kind: CableId;
  readonly count: number;
  readonly linkIds: readonly string[];
  readonly price: number;
}

export interface CableStock {
  /** The owned cable that serves each link */
  readonly own: ReadonlyMap<string, string>;
  /** By kind, then by length */
  readonly toBuy: readonly ToBuy[];
  /** Runs longer than any length that is sold: what joins the lengths, by kind */
  readonly joins: readonly Joins[];
  /** Cables in the box that nothing needs, by their id */
  readonly left: ReadonlyMap<string, number>;
}

type Cabled = Pick<Rig, 'links' | 'devices' | 'ownCables'>;

/** What comes with a device, and what is no cable, is neither bought nor taken from the box. */
export const isBought = ({ devices }: Cabled, { to, cable }: Rig['links'][string]): boolean =>
  cable.kind !== 'inside' &&
  cable.kind !== 'radio' &&
  entry(devices, to.deviceId)?.model.kind !== 'headphones';

/**
 * Takes owned cables first, then what is sold. Of each kind the longest runs are served first, each by
 * the shortest of the box that does: no choice leaves less to pay, because whatever serves a longer
 * run serves a shorter one too.
 */
export const cableStock = (rig: Cabled): CableStock => {
  const box = inOrder(rig.ownCables)
    .map(([id, cable]) => ({ id, kind: cable.kind, lengthM: cable.lengthM, left: cable.count }))
    .sort((a, b) => a.lengthM - b.lengthM);
  const runs = Object.entries(rig.links)
    .filter(([, link]) => isBought(rig, link))
    .sort(([a, one], [b, other]) =>
      other.cable.lengthM === one.cable.lengthM
        ? a < b
          ? -1
          : 1
        : other.cable.lengthM - one.cable.lengthM,
    );
  const own = new Map<string, string>();
  const joins = new Map<CableId, Pick<Joins, 'count' | 'linkIds'>>();
  const lines = new Map<string, { kind: CableId; lengthM: number; linkIds: string[] }>();
  for (const [linkId, { cable }] of runs) {
    const found = box.find(
      ({ kind, lengthM, left }) => left > 0 && kind === cable.kind && lengthM >= cable.lengthM,
    );
    if (found) {
      found.left -= 1;
      own.set(linkId, found.id);
      continue;
    }
    const lengths = stockFor(cable.lengthM);
    for (const lengthM of lengths) {
      const key = `${cable.kind} ${lengthM}`;
      const line = lines.get(key);
      if (line) line.linkIds.push(linkId);
      else lines.set(key, { kind: cable.kind, lengthM, linkIds: [linkId] });
    }
    const wanted = lengths.length - 1;
    if (wanted > 0) {
      const known = joins.get(cable.kind);
      joins.set(cable.kind, {
        count: (known?.count ?? 0) + wanted,
        linkIds: [...(known?.linkIds ?? []), linkId],
      });
    }
  }
  return {
    own,
    toBuy: [...lines.values()]
      .map((line) => ({
        ...line,
        count: line.linkIds.length,
        price: line.linkIds.length * cablePrice(line),
      }))
      .sort((a, b) => (a.kind === b.kind ? a.lengthM - b.lengthM : a.kind < b.kind ? -1 : 1)),
    joins: [...joins].map(([kind, { count, linkIds }]) => ({
      kind,
      count,
      linkIds,
      price: count * JOIN_PRICE,
    })),
    left: new Map(box.filter(({ left }) => left > 0).map(({ id, left }) => [id, left])),
  };
};
