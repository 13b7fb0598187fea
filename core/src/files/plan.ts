import type { Measured } from '../passes/measure';
import { pass } from '../passes/pass';
import { driveLoads } from '../passes/computer/lines';
import { showOnDrives } from '../recorded/written';
import { entry, inOrder, type Store } from '../rig';
import type { Format } from '../units';
import { type NameValues, renderName } from './names';

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

/** Every file of a show by its name. */
export const namedFiles = (measured: Measured, { date, episode, take }: Episode): NamedFile[] => {
  const { rig } = measured;
  const most = new Map(
    driveLoads(measured).map(({ node, storage }) => [node.id, storage.maxFileGb]),
  );
  return showOnDrives(measured).drives.flatMap(({ deviceId, files }) =>
    files.map((file, at) => {
      const drive = entry(rig.devices, deviceId);
      const source = entry(rig.devices, file.sourceId ?? '');
      const person = entry(rig.people, source?.personId ?? drive?.personId ?? '');
      const values: NameValues = {
        show: rig.name,
        date,
        episode: two(episode),
        take: two(take),
        source: file.name.replace(/^[^:]*: /, ''),
        person: person?.name ?? '',
        track: two(at + 1),
        drive: drive?.name ?? deviceId,
      };
      const maxFileGb = most.get(deviceId);
      return {
        key: file.key,
        driveId: deviceId,
        name: renderName(rig.fileRules.template, values),
        of: file.name,
        sourceId: file.sourceId,
        format: file.format,
        gb: file.gb,
        pieces: maxFileGb === undefined ? 1 : Math.max(1, Math.ceil(file.gb / maxFileGb)),
      };
    }),
  );
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

const makePlan = (measured: Measured): FilePlan => {
  const { fileRules, stores, brief } = measured.rig;
  const { drives, gbPerShow, gbPerHour: anHour } = showOnDrives(measured);
  const gbPerYear = gbPerShow * fileRules.showsAYear;
  const masterGb = gbPerShow * fileRules.masterFactor;
  const speeds = driveLoads(measured).flatMap(({ node, storage }) =>
    drives.some(({ deviceId }) => deviceId === node.id) && storage.writeMBps !== null
      ? [storage.writeMBps]
      : [],
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
