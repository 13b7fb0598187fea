import type { Fix } from '../../edits/fix';
import type { DeviceNode, Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { parseFormat } from '../../units';
import { formatChoice } from '../picture/formats';
import { devices, houseRule, one } from './house-rule';

/** Where each device's picture begins that is plugged in, found in one walk. */
const pluggedSources = ({ traced }: Measured): ReadonlyMap<DeviceNode, Stage> => {
  const sources = new Map<DeviceNode, Stage>();
  for (const stage of traced.stages)
    if (
      stage.via.by === 'source' &&
      stage.signal === 'picture' &&
      stage.at.links.length > 0 &&
      !sources.has(stage.at.device)
    )
      sources.set(stage.at.device, stage);
  return sources;
};

export const captureSize = houseRule(
  'captureSize',
  'brief.capture-size',
  {
    matters: ['size'],
    looksFor:
      'Cameras that give a smaller or a larger picture than the school of capture size asks for.',
    why: 'Larger pictures load every link for nothing; smaller ones leave no pixels to punch in with.',
    remedy: 'Set the camera’s format.',
  },
  (measured) => {
    const sources = pluggedSources(measured);
    return devices(measured, 'camera', 'webcam', 'phone').flatMap((node) => {
      const stage = sources.get(node);
      const format = stage && measured.picture[stage.index]?.format;
      if (!format) return [];
      const { captureSize: school } = measured.rig.houseRules;
      if (school === '1080p everywhere')
        return format.height > 1080
          ? [
              one(
                'note',
                node,
                'Larger than delivered',
                `${measured.device(node).name} gives ${format.width}×${format.height}; the house rule is 1080p ` +
                  'everywhere. It loads every link for nothing.',
              ),
            ]
          : [];
      return format.height < 2160
        ? [
            one(
              'warn',
              node,
              `${format.height} lines, 2160 asked for`,
              `${measured.device(node).name} gives ${format.width}×${format.height}; the house rule asks for ` +
                '2160p ' +
                `${school === '2160p throughout' ? 'throughout' : 'at the camera, to punch in'}. Set ` +
                'it to 2160p, or use a camera that has it.',
            ),
          ]
        : [];
    });
  },
  {
    fixes: (measured, finding): Fix[] => {
      const node =
        finding.about.deviceId === undefined
          ? undefined
          : measured.graph.devices.get(finding.about.deviceId);
      const stage = node && pluggedSources(measured).get(node);
      const choice = stage && formatChoice(measured, stage);
      const wanted = measured.rig.houseRules.captureSize === '1080p everywhere' ? 1080 : 2160;
      const option = choice?.options
        .filter(
          ({ value }) => parseFormat(value).height === wanted && parseFormat(value).scan === 'p',
        )
        .at(-1);
      return stage && choice && option
        ? [
            {
              label: `Set ${measured.device(stage.at.device).name} to ${option.label}`,
              command: {
                type: 'setControl',
                deviceId: stage.at.device.id,
                control: choice.control,
                value: option.value,
              },
            },
          ]
        : [];
    },
  },
);
