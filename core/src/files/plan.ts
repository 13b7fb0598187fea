import type { Measured } from '../passes/measured';
import { pass } from '../passes/pass';
import { driveLoads } from '../passes/computer/lines';
import {
  bytesOfShow,
  filesOfDrives,
  type PlannedFile,
  showOnDrives,
  toldFile,
} from '../recorded/written';
import { entry, inOrder, type Store } from '../rig';
import type { Format } from '../units';
import { nameTemplate } from './names';

/** What a show leaves, what becomes of it, and how long that takes. Gigabytes are 10⁹ bytes. @source handbook 4 */

/** What the names of one show have in common. */
export interface Episode {
  /** `2026-12-03` */
  readonly date: string;
  readonly episode: number;
  readonly take: number;
}

export interface NamedFile {
  readonly key: string;
  readonly driveId: string;
  /** What it is called on the drive, without its ending */
  readonly name: string;
  /** What is in it: `Cameras: Camera 3` */
  readonly of: string;
  /** The camera, microphone or player that is seen or heard in it; null where it is several */
  readonly sourceId: string | null;
  /** Of its picture; null for sound, and where it is not known */
  readonly format: Format | null;
  readonly gb: number;
  /** Into so many pieces the recorder cuts it; they are joined later */
  readonly pieces: number;
}

const two = (value: number): string => String(value).padStart(2, '0');

/** What names the files of a drive by the template of the rig, in their order. */
const namerOf = (
  measured: Measured,
  { date, episode, take }: Episode,
): ((driveId: string) => (file: Pick<PlannedFile, 'of' | 'sourceId'>, at: number) => string) => {
  const { rig } = measured;
  const nameOf = nameTemplate(rig.fileRules.template);
  const { name: show, people } = rig;
  return (driveId) => {
    const drive = measured.device({ id: driveId });
    return ({ of, sourceId }, at) => {
      const source = sourceId === null ? null : measured.device({ id: sourceId });
      const person = entry(people, source?.personId ?? drive.personId ?? '');
      // Field by field: thousands of names are made, and a spread costs more than all the rest of one.
      return nameOf({
        show,
        date,
        episode: two(episode),
        take: two(take),
        source: of,
        person: person?.name ?? '',
        track: two(at + 1),
        drive: drive.name,
      });
    };
  };
};

/** Every file of a show by its name. */
export const namedFiles = (measured: Measured, episode: Episode): NamedFile[] => {
  const namer = namerOf(measured, episode);
  const most = new Map(
    driveLoads(measured).map(({ node, storage }) => [node.id, storage.maxFileGb]),
  );
  return showOnDrives(measured).drives.flatMap(({ deviceId, files }) => {
    const nameOf = namer(deviceId);
    return files.map((file, at) => {
      const maxFileGb = most.get(deviceId);
      return {
        key: file.key,
        driveId: deviceId,
        name: nameOf(file, at),
        of: file.name,
        sourceId: file.sourceId,
        format: file.format,
        gb: file.gb,
        pieces: maxFileGb === undefined ? 1 : Math.max(1, Math.ceil(file.gb / maxFileGb)),
      };
    });
  });
};

export interface CopyTo {
  readonly storeId: string;
  readonly store: Store;
  /** How long a show takes to copy: the slowest of the drives it comes from and where it goes. @unit min */
  readonly minutes: number;
  /** Whole shows that fit; null where its capacity is not known */
  readonly shows: number | null;
}

export interface FilePlan {
  readonly gbPerHour: number;
  readonly gbPerShow: number;
  readonly gbPerMonth: number;
  readonly gbPerYear: number;
  /** What lies there at once, as long as files are kept; null where they are kept for ever */
  readonly gbKept: number | null;
  /** What an edit adds to a show: working files and the master. @unit GB */
  readonly workingGb: number;
  readonly masterGb: number;
  /** How long the master takes up the line. @unit h; null where the line was not measured */
  readonly uploadH: number | null;
  readonly copies: readonly CopyTo[];
  /** Until when there is one copy only: after the end of the show, the first that is away done. @unit min */
  readonly aloneMin: number | null;
  /** Kinds of medium that all of it is on */
  readonly kinds: number;
  /** What three copies on two kinds with one away lack; empty where nothing */
  readonly lacks: readonly string[];
}

const MONTHS = 12;
const MB_PER_GB = 1000;
const BITS = 8;

/** How long a transfer takes. @param mbytesPerS MB/s @unit min */
export const copyMinutes = (gb: number, mbytesPerS: number): number =>
  (gb * MB_PER_GB) / mbytesPerS / 60;

/** How long an upload takes. @param mbps Mb/s @unit h */
export const uploadHours = (gb: number, mbps: number): number =>
  (gb * MB_PER_GB * BITS) / mbps / 3600;

/** The names that one show has: any day and number do to compare them. */
export const comparedNames = pass(
  'names of files',
  (measured): readonly Pick<NamedFile, 'driveId' | 'name' | 'of'>[] => {
    const namer = namerOf(measured, { date: '2026-01-01', episode: 1, take: 1 });
    return filesOfDrives(measured).flatMap(({ driveId, files }) => {
      const nameOf = namer(driveId);
      return files.map((file, at) => {
        const { name, of } = toldFile(measured, file);
        return { driveId, name: nameOf({ of, sourceId: file.sourceId }, at), of: name };
      });
    });
  },
);

const makePlan = (measured: Measured): FilePlan => {
  const { fileRules, stores, brief } = measured.rig;
  const { driveIds, gbPerShow, gbPerHour: anHour } = bytesOfShow(measured);
  const gbPerYear = gbPerShow * fileRules.showsAYear;
  const masterGb = gbPerShow * fileRules.masterFactor;
  const speeds = driveLoads(measured).flatMap(({ node, storage }) =>
    driveIds.has(node.id) && storage.writeMBps !== null ? [storage.writeMBps] : [],
  );
  const copies = inOrder(stores).map(([storeId, store]) => ({
    storeId,
    store,
    minutes: copyMinutes(gbPerShow, Math.min(store.mbytesPerS, ...speeds)),
    shows:
      store.capacityGb === null || gbPerShow === 0
        ? null
        : Math.floor(store.capacityGb / gbPerShow),
  }));
  const media = new Set([
    ...driveLoads(measured).flatMap(({ storage, files }) =>
      files.length > 0 ? [storage.medium] : [],
    ),
    ...copies.map(({ store }) => store.kind),
  ]);
  const uplink = brief?.uplinkMbps ?? null;
  return {
    gbPerHour: anHour,
    gbPerShow,
    gbPerMonth: gbPerYear / MONTHS,
    gbPerYear,
    gbKept: fileRules.keepMonths === null ? null : (gbPerYear * fileRules.keepMonths) / MONTHS,
    workingGb: gbPerShow * fileRules.workingFactor,
    masterGb,
    uploadH: uplink === null || uplink === 0 ? null : uploadHours(masterGb, uplink),
    copies,
    aloneMin: copies.length === 0 ? null : Math.min(...copies.map(({ minutes }) => minutes)),
    kinds: media.size,
    lacks:
      gbPerShow === 0
        ? []
        : [
            ...(copies.length < 2
              ? [
                  `${copies.length + 1} of 3 copies: add ${copies.length === 1 ? 'a place' : 'two places'} for copies.`,
                ]
              : []),
            ...(media.size < 2 ? ['All copies are on one kind of medium.'] : []),
            ...(copies.some(({ store }) => store.isAway)
              ? []
              : ['No copy is in another building.']),
          ],
  };
};

export const filePlan = pass('file plan', makePlan);
