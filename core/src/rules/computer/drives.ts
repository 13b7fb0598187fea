import type { Fix } from '../../edits/fix';
import { type DriveLoad, driveLoads } from '../../passes/computer/lines';
import type { Measured } from '../../passes/measured';
import { entry, inOrder, type SimpleCommand } from '../../rig';

/** Loads of drives, and the edits that make them lighter: shared by the rules of drives. */

export const loadOf = (measured: Measured, deviceId: string | undefined): DriveLoad | undefined =>
  driveLoads(measured).find(({ node }) => node.id === deviceId);

/**
 * Lowers what a drive writes to a share of what it writes now: the bitrate of its own control, or
 * of the deliverables it holds.
 * @param share 0 to 1 @returns none where no bitrate can be set so low
 */
export const lighter = (measured: Measured, load: DriveLoad, share: number): Fix[] => {
  const { node, storage } = load;
  if (storage.bitrateControl !== undefined) {
    const control = entry(node.model.controls, storage.bitrateControl);
    const present = load.files[0]?.mbps ?? 0;
    if (control?.type !== 'amount') return [];
    const value =
      control.min + Math.floor((present * share - control.min) / control.step) * control.step;
    return value < control.min
      ? []
      : [
          {
            label: `Record at ${value} Mb/s on ${measured.device(node).name}`,
            command: {
              type: 'setControl',
              deviceId: node.id,
              control: storage.bitrateControl,
              value,
            },
          },
        ];
  }
  const commands = inOrder(measured.rig.brief?.deliverables ?? {}).flatMap(
    ([deliverableId, { what, bitrateMbps }]): SimpleCommand[] =>
      bitrateMbps !== null && (what === 'programme recording' || what === 'camera recordings')
        ? [
            {
              type: 'changeDeliverable',
              deliverableId,
              deliverable: { bitrateMbps: Math.floor(bitrateMbps * share * 100) / 100 },
            },
          ]
        : [],
  );
  const label = `Record at ${Math.floor(share * 100)} % of the bitrate`;
  return commands.length ? [{ label, command: { type: 'batch', label, commands } }] : [];
};
