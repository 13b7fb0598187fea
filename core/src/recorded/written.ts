import type { PortNode } from '../graph';
import {
  type DriveLoad,
  driveLoads,
  fileName,
  type FileOnDrive,
  fileOwner,
} from '../passes/computer/lines';
import type { Measured } from '../passes/measured';
import { deviceName } from '../passes/names';
import { pass } from '../passes/pass';
import { gbPerHour } from '../passes/storage';
import type { Format } from '../units';

/** What one show leaves on every drive and card. Gigabytes are 10⁹ bytes. @source handbook 4, worked F */

/** One file that a show should leave. */
export interface PlannedFile {
  readonly key: string;
  /** The drive or card it is on */
  readonly deviceId: string;
  /** `Cameras: Camera 3` */
  readonly name: string;
  /** What is recorded in it, without where: `Camera 3` */
  readonly of: string;
  /** The camera, microphone or player that is seen or heard in it, where it is one */
  readonly sourceId: string | null;
  readonly signal: 'picture' | 'sound';
  /** @unit Mb/s */
  readonly mbps: number;
  /** Of its picture; null for sound, and where it is not known */
  readonly format: Format | null;
  /** @unit GB */
  readonly gb: number;
}

export interface DriveOfShow {
  readonly deviceId: string;
  readonly files: readonly PlannedFile[];
  readonly gbPerHour: number;
  readonly gbPerShow: number;
  readonly capacityGb: number | null;
  /** Whole shows until it is full, empty at the start; null where its capacity is not known */
  readonly shows: number | null;
}

export interface ShowOnDrives {
  /** @unit min; null where the brief does not say */
  readonly lengthMin: number | null;
  readonly drives: readonly DriveOfShow[];
  readonly gbPerHour: number;
  readonly gbPerShow: number;
}

/** @unit GB */
const gbIn = (mbps: number, lengthMin: number): number => (gbPerHour(mbps) * lengthMin) / 60;

const keyOf = ({ id, device }: PortNode): readonly string[] => [device.id, id];

const sourceOf = ({ of, source }: FileOnDrive): string | null => {
  const [alone, ...others] = of;
  return (alone && others.length === 0 ? alone.id : source?.device.id) ?? null;
};

/** A drive of the show as a pass has it: its files with what they are named by, in place of their names. */
interface DriveById extends Omit<DriveOfShow, 'files'> {
  readonly load: DriveLoad;
  readonly files: readonly FileById[];
}

interface FileById {
  readonly file: FileOnDrive;
  readonly planned: Omit<PlannedFile, 'name' | 'of'>;
}

const driveOf = (load: DriveLoad, lengthMin: number): DriveById => {
  const gbPerShow = gbIn(load.mbps, lengthMin);
  const { capacityGb } = load.storage;
  return {
    load,
    deviceId: load.node.id,
    files: load.files.map((file) => ({
      file,
      planned: {
        key: [load.node.id, ...keyOf(file.end), ...(file.source ? keyOf(file.source) : [])].join(
          ' ',
        ),
        deviceId: load.node.id,
        sourceId: sourceOf(file),
        signal: file.isSound ? 'sound' : 'picture',
        mbps: file.mbps,
        format: file.format,
        gb: gbIn(file.mbps, lengthMin),
      },
    })),
    gbPerHour: load.gbPerHour,
    gbPerShow,
    capacityGb,
    shows: capacityGb === null || gbPerShow === 0 ? null : Math.floor(capacityGb / gbPerShow),
  };
};

const drivesById = pass('show on drives', (measured): readonly DriveById[] =>
  driveLoads(measured)
    .filter(({ files }) => files.length > 0)
    .map((load) => driveOf(load, measured.rig.brief?.lengthMin ?? 0)),
);

/** A file of a drive by what it is of, however much it is. */
interface FileOfDrive {
  readonly load: DriveLoad;
  readonly file: FileOnDrive;
  readonly sourceId: string | null;
}

/** Files by the drives they are on. What is set of a camera changes none of them. */
export const filesOfDrives = pass(
  'files of drives',
  (measured): readonly { readonly driveId: string; readonly files: readonly FileOfDrive[] }[] =>
    driveLoads(measured)
      .filter(({ files }) => files.length > 0)
      .map((load) => ({
        driveId: load.node.id,
        files: load.files.map((file) => ({ load, file, sourceId: sourceOf(file) })),
      })),
  (before, after) =>
    before.length === after.length &&
    before.every(
      ({ driveId, files }, index) =>
        driveId === after[index]?.driveId &&
        files.length === after[index].files.length &&
        files.every(({ load, file, sourceId }, at) => {
          const now = after[index]?.files[at];
          return (
            sourceId === now?.sourceId &&
            load.node === now.load.node &&
            file.end === now.file.end &&
            file.source === now.file.source &&
            fileOwner(load, file) === fileOwner(now.load, now.file)
          );
        }),
    ),
);

/** What a file is called, and what is recorded in it. */
export const toldFile = (
  measured: Measured,
  { load, file }: Pick<FileOfDrive, 'load' | 'file'>,
): Pick<PlannedFile, 'name' | 'of'> => {
  const owner = fileOwner(load, file);
  const name = fileName(measured, load, file);
  return { name, of: owner ? deviceName(measured, owner) : name };
};

/** How much a show leaves, and on which drives, without what its files are called. */
export const bytesOfShow = (
  measured: Measured,
): Pick<ShowOnDrives, 'gbPerHour' | 'gbPerShow'> & { readonly driveIds: ReadonlySet<string> } => {
  const drives = drivesById(measured);
  const sum = (of: 'gbPerHour' | 'gbPerShow'): number =>
    drives.reduce((total, drive) => total + drive[of], 0);
  return {
    gbPerHour: sum('gbPerHour'),
    gbPerShow: sum('gbPerShow'),
    driveIds: new Set(drives.map(({ deviceId }) => deviceId)),
  };
};

/** What a show of the length in the brief leaves; one of no length leaves nothing. */
export const showOnDrives = (measured: Measured): ShowOnDrives => {
  const drives = drivesById(measured).map(({ load, files, ...drive }): DriveOfShow => ({
    ...drive,
    files: files.map(({ file, planned }) => ({
      ...planned,
      ...toldFile(measured, { load, file }),
    })),
  }));
  const { gbPerHour, gbPerShow } = bytesOfShow(measured);
  return { lengthMin: measured.rig.brief?.lengthMin ?? null, drives, gbPerHour, gbPerShow };
};
