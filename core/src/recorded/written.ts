import type { PortNode } from '../graph';
import { type DriveLoad, driveLoads, fileName, type FileOnDrive } from '../passes/computer/lines';
import type { Measured } from '../passes/measure';
import { pass } from '../passes/pass';
import { gbPerHour } from '../passes/storage';
import type { Format } from '../units';

/** What one show leaves on every drive and card. Gigabytes are 10⁹ bytes. @source handbook 4, worked F */

/** One file that a show should leave. */
export interface PlannedFile {
  readonly key: string;
  /** The drive or card it is on */
  readonly deviceId: string;
  readonly name: string;
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

const driveOf = (measured: Measured, load: DriveLoad, lengthMin: number): DriveOfShow => {
  const gbPerShow = gbIn(load.mbps, lengthMin);
  const { capacityGb } = load.storage;
  return {
    deviceId: load.node.id,
    files: load.files.map((file) => ({
      key: [load.node.id, ...keyOf(file.end), ...(file.source ? keyOf(file.source) : [])].join(' '),
      deviceId: load.node.id,
      name: fileName(measured, load, file),
      sourceId: sourceOf(file),
      signal: file.isSound ? 'sound' : 'picture',
      mbps: file.mbps,
      format: file.format,
      gb: gbIn(file.mbps, lengthMin),
    })),
    gbPerHour: load.gbPerHour,
    gbPerShow,
    capacityGb,
    shows: capacityGb === null || gbPerShow === 0 ? null : Math.floor(capacityGb / gbPerShow),
  };
};

/** What a show of the length in the brief leaves; one of no length leaves nothing. */
export const showOnDrives = pass('show on drives', (measured): ShowOnDrives => {
  const lengthMin = measured.rig.brief?.lengthMin ?? null;
  const drives = driveLoads(measured)
    .filter(({ files }) => files.length > 0)
    .map((load) => driveOf(measured, load, lengthMin ?? 0));
  const sum = (of: 'gbPerHour' | 'gbPerShow'): number =>
    drives.reduce((total, drive) => total + drive[of], 0);
  return { lengthMin, drives, gbPerHour: sum('gbPerHour'), gbPerShow: sum('gbPerShow') };
});
