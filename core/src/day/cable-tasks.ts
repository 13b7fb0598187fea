import { entry, type Rig } from '../rig';
import type { Estimated } from './change-task';
import { CABLE_MIN, estimate } from './estimates';
import { deviceNamed } from './names';
import { phantomPorts } from './phantom';
import { settingsIn } from './settings-in';

/** Cables that are plugged anew at a change-over. */

export interface CableTask extends Estimated {
  /** Devices at either end */
  readonly touches: ReadonlySet<string>;
}

interface Cables {
  readonly after: Set<string>;
  readonly touches: Set<string>;
  /** Devices that have phantom power on at an end of one of them */
  readonly liveIds: Set<string>;
  count: number;
  lengthM: number;
}

/**
 * Cables between things that do not move together are plugged anew, those of one device by one person.
 * @param fromSetId null: everything is put away, and nothing is on
 * @param moved the tasks that move a device
 */
export const cableTasks = (
  rig: Rig,
  fromSetId: string | null,
  moved: (deviceId: string) => readonly string[],
): CableTask[] => {
  const bySource = new Map<string, Cables>();
  for (const { from, to, cable } of Object.values(rig.links)) {
    if (cable.kind === 'inside' || cable.kind === 'radio') continue;
    const [a, b] = [moved(from.deviceId), moved(to.deviceId)];
    if (a.length === 0 && b.length === 0) continue;
    if (a.join() === b.join() && a.every((id) => id.startsWith('support '))) continue;
    const known: Cables = bySource.get(from.deviceId) ?? {
      after: new Set(),
      touches: new Set(),
      liveIds: new Set(),
      count: 0,
      lengthM: 0,
    };
    for (const id of [...a, ...b]) known.after.add(id);
    for (const { deviceId } of [from, to]) known.touches.add(deviceId);
    const end = entry(rig.devices, to.deviceId);
    if (fromSetId !== null && end) {
      const set = settingsIn(rig, fromSetId, to.deviceId, end);
      if (phantomPorts(set).has(to.portId)) known.liveIds.add(to.deviceId);
    }
    known.count += 1;
    known.lengthM += cable.lengthM;
    bySource.set(from.deviceId, known);
  }
  return [...bySource].map(([deviceId, { after, touches, liveIds, count, lengthM }]) => {
    const { minutes, sum } = estimate(CABLE_MIN * count, lengthM, 0);
    return {
      id: `cables ${deviceId}`,
      minutes,
      people: 1,
      after: [...after],
      touches,
      tell: (now) => {
        const live = [...new Set([...liveIds].map((id) => deviceNamed(now, id)))];
        return {
          what: `Plug ${count === 1 ? 'the cable' : `${count} cables`} of ${deviceNamed(now, deviceId)}`,
          where:
            'as the patch sheet says' +
            (live.length === 0
              ? ''
              : `; first phantom power off at ${live.join(', ')}, and wait ten seconds`),
          sum: sum(),
        };
      },
    };
  });
};
