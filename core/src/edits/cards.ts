import { type DeviceNode, isIdle } from '../graph';
import type { Measured } from '../passes/measured';
import { entry, numberSetting, type SimpleCommand, type Storage } from '../rig';

/** Edits that let a camera record on its own card. */

/** GB an hour for a megabit a second. @source handbook 4-time-storage */
const GB_PER_MBPS_HOUR = 0.45;

/** The highest bitrate with which a show fits on a card. @unit Mb/s; null where its size is not known */
export const fittingMbps = ({ capacityGb }: Storage, showMin: number): number | null =>
  capacityGb === null || showMin <= 0 ? null : capacityGb / (GB_PER_MBPS_HOUR * (showMin / 60));

/** A lower bitrate, where the present one would fill the card before the show is over. */
const lowered = (measured: Measured, { id, model }: DeviceNode): SimpleCommand[] => {
  const { storage } = model;
  const control = storage?.bitrateControl;
  const range = control === undefined ? undefined : entry(model.controls, control);
  const showMin = measured.rig.brief?.lengthMin ?? 0;
  const fits = storage ? fittingMbps(storage, showMin) : null;
  const present =
    control === undefined ? undefined : numberSetting(measured.device({ id }), control);
  if (control === undefined || range?.type !== 'amount' || fits === null) return [];
  if (present === undefined || present <= fits) return [];
  const value = range.min + Math.floor((fits - range.min) / range.step) * range.step;
  return value < range.min ? [] : [{ type: 'setControl', deviceId: id, control, value }];
};

/**
 * Starts the card of a camera, at a bitrate with which the show fits on it.
 * @returns none where it has none, where it records already, or where its recording ends before the show
 */
export const startCard = (measured: Measured, node: DeviceNode): SimpleCommand[] => {
  const { recordLimitMin = Infinity } = node.model.camera ?? {};
  if (recordLimitMin < (measured.rig.brief?.lengthMin ?? 0)) return [];
  return node.ports.values().flatMap(({ port }): SimpleCommand[] => {
    const control = port.emits?.picture ? port.records?.control : null;
    return control && isIdle(measured.device(node), port)
      ? [
          { type: 'setControl', deviceId: node.id, control, value: true },
          ...lowered(measured, node),
        ]
      : [];
  });
};
