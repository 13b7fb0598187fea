import {
  analyse,
  type Analysis,
  type Area,
  filePlan,
  type Level,
  readRig,
  type Rig,
  type RigDays,
  type RigLeaves,
  rigDays,
  type Use,
  usesIn,
  type Verdict,
} from '@echo-loom/core';
import { type SmallPicture, smallPicture } from '../../layout/small-picture';

/** What a visit asks of a rig without opening it: worked out once for each document, and kept. */

/** What is found, as a line. */
export interface FoundLine {
  readonly area: Area;
  readonly level: Level;
  readonly title: string;
  readonly says: string;
}

export type RigDigest =
  | {
      readonly is: 'read';
      readonly name: string;
      readonly tags: readonly string[];
      readonly verdict: Verdict;
      readonly devices: number;
      readonly cables: number;
      readonly people: number;
      /** The worst of each area first */
      readonly found: readonly FoundLine[];
      readonly picture: SmallPicture;
      readonly days: RigDays;
      readonly uses: readonly Use[];
      /** What a show leaves on drives; null where the rig has no show */
      readonly leaves: RigLeaves | null;
    }
  | { readonly is: 'unreadable'; readonly why: string };

/** Most findings of one area that are told. */
const TOLD = 8;

const foundIn = ({ causes }: Analysis): FoundLine[] => {
  const told = new Map<Area, number>();
  return causes.flatMap(({ title, finding: { area, level, says } }) => {
    const before = told.get(area) ?? 0;
    told.set(area, before + 1);
    return before < TOLD ? [{ area, level, title, says }] : [];
  });
};

/** Of a rig that can be read. */
export const digestOfRig = (id: string, rig: Rig): RigDigest => {
  const analysis = analyse(rig);
  const hasShow = Object.keys(rig.shows).length > 0;
  return {
    is: 'read',
    name: rig.name,
    tags: rig.tags,
    verdict: analysis.verdict,
    devices: analysis.graph.devices.size,
    cables: Object.keys(rig.links).length,
    people: Object.values(rig.people).filter(({ is }) => is === 'person').length,
    found: foundIn(analysis),
    picture: smallPicture(analysis),
    days: rigDays({ id, rig }),
    uses: usesIn({ id, rig }),
    leaves: hasShow
      ? {
          rig: { shows: rig.shows, fileRules: rig.fileRules },
          gbPerShow: filePlan(analysis).gbPerShow,
        }
      : null,
  };
};

/** Of a document as it stands in the database. One that cannot be read, or computed, says so and harms no other. */
export const digestOf = (id: string, document: string): RigDigest => {
  const read = readRig(JSON.parse(document));
  if (!read.ok) {
    const [first] = read.problems;
    return { is: 'unreadable', why: first ? `${first.path}: ${first.says}` : 'It is empty.' };
  }
  try {
    return digestOfRig(id, read.rig);
  } catch (error) {
    console.error(error);
    return {
      is: 'unreadable',
      why: 'It could not be computed; the reason has been logged.',
    };
  }
};
