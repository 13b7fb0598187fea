import type { Measured } from '../passes/measured';
import { driveLoads } from '../passes/computer/lines';
import { pass } from '../passes/pass';
import { batteryOf, feedLoadings, upsMinutes } from '../passes/power';
import { gbPerHour } from '../passes/storage';
import { figure } from '../passes/sum';
import { inOrder, settingOf, switchSetting } from '../rig';

/** What comes to its end while a show runs: batteries, cards and drives, limits of recording. */

export const RUNS_OUT = ['battery', 'card', 'file', 'recording', 'sleep'] as const;

export interface RunsOut {
  /** `battery roaming-camera`: the same in every analysis of the rig */
  readonly id: string;
  readonly deviceId: string;
  readonly name: string;
  readonly what: (typeof RUNS_OUT)[number];
  /** From when it was put in fresh, emptied or started. @unit min */
  readonly afterMin: number;
  /** What happens then */
  readonly says: string;
  /** How it was reckoned */
  readonly sum: string;
}

/** Share of a card that is left free. @source handbook 4: 64 GB at 100 Mb/s are 85.3 min, with 5 % reserve 81.1 */
const RESERVE = 0.05;

const batteries = (measured: Measured): RunsOut[] =>
  inOrder(measured.rig.devices).flatMap(([deviceId, device]) => {
    const battery = batteryOf(device);
    return battery === null
      ? []
      : [
          {
            id: `battery ${deviceId}`,
            deviceId,
            name: device.name,
            what: 'battery' as const,
            afterMin: battery.lastsMin,
            says: 'Its battery is empty: change it before.',
            sum: `lasts ${figure(battery.lastsMin, 0)} min, fresh at the start`,
          },
        ];
  });

const drives = (measured: Measured): RunsOut[] =>
  driveLoads(measured).flatMap(({ node, storage, files, mbps, hours }) => {
    const { name } = measured.device(node);
    const about = { deviceId: node.id, name };
    const found: RunsOut[] = [];
    if (hours !== null && storage.capacityGb !== null)
      found.push({
        ...about,
        id: `card ${node.id}`,
        what: 'card',
        afterMin: hours * 60 * (1 - RESERVE),
        says: `Its ${storage.medium} is full: change it before.`,
        sum:
          `${figure(storage.capacityGb, 0)} GB ÷ (${figure(mbps)} Mb/s × 0.45) × 60 × 0.95 = ` +
          `${figure(hours * 60 * (1 - RESERVE))} min`,
      });
    const most = Math.max(0, ...files.map((file) => file.mbps));
    if (storage.maxFileGb !== undefined && most > 0)
      found.push({
        ...about,
        id: `file ${node.id}`,
        what: 'file',
        afterMin: (storage.maxFileGb / gbPerHour(most)) * 60,
        says: 'It begins a new file: the pieces are joined later.',
        sum: `${storage.maxFileGb} GB ÷ (${figure(most)} Mb/s × 0.45) × 60`,
      });
    return found;
  });

const cameras = (measured: Measured): RunsOut[] =>
  inOrder(measured.rig.devices).flatMap(([deviceId, device]) => {
    const { camera } = device.model;
    if (!camera) return [];
    const about = { deviceId, name: device.name };
    const found: RunsOut[] = [];
    // What its card does not write has no limit.
    const writes = driveLoads(measured).some(
      ({ node, files }) => node.id === deviceId && files.length > 0,
    );
    if (writes && camera.recordLimitMin !== undefined)
      found.push({
        ...about,
        id: `recording ${deviceId}`,
        what: 'recording',
        afterMin: camera.recordLimitMin,
        says: 'Its own recording stops: start it again.',
        sum: `its recording ends after ${figure(camera.recordLimitMin, 0)} min`,
      });
    if (camera.sleep && settingOf(device, camera.sleep.control) !== undefined)
      if (switchSetting(device, camera.sleep.control))
        found.push({
          ...about,
          id: `sleep ${deviceId}`,
          what: 'sleep',
          afterMin: camera.sleep.afterMin,
          says: 'It goes to sleep unless somebody touches it.',
          sum: `sleeps after ${figure(camera.sleep.afterMin, 0)} min`,
        });
    return found;
  });

/** Everything that runs out, the soonest first. */
export const runsOut = pass('runs out', (measured): readonly RunsOut[] =>
  [...batteries(measured), ...drives(measured), ...cameras(measured)].sort(
    (a, b) => a.afterMin - b.afterMin || (a.id < b.id ? -1 : 1),
  ),
);

/** How long the supplies that last carry on when the mains goes, by name. @unit min */
export const lastsWithoutMains = (
  measured: Measured,
): { readonly name: string; readonly minutes: number }[] =>
  feedLoadings(measured).flatMap(({ feed, typicalW }) =>
    feed.figures.is === 'ups'
      ? [
          {
            name: feed.name,
            minutes: upsMinutes(feed.figures.wh, feed.figures.efficiency, typicalW),
          },
        ]
      : [],
  );
