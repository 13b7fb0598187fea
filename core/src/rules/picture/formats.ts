import type { Fix } from '../../edits/fix';
import type { Stage } from '../../graph';
import { sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import { measure } from '../../passes/measure';
import { pass } from '../../passes/pass';
import type { PictureStop } from '../../passes/picture';
import { eachPicture } from '../../passes/stages';
import { apply, choiceSetting, type Control, entry, settingOf } from '../../rig';
import {
  type Format,
  framesPerSecond,
  isFormatText,
  parseFormat,
  type Rate,
  sameRate,
} from '../../units';
import { type About, atStage } from '../about';
import type { Finding } from '../rule';

/** The control with which a source's format is chosen, and the formats it offers. */
export const formatChoice = (
  measured: Measured,
  source: Stage,
): {
  control: string;
  options: Extract<Control, { type: 'choice' }>['options'];
  value: string | undefined;
} | null => {
  const picture = source.at.port.emits?.picture;
  const device = measured.device(source.at.device);
  const control = picture && entry(device.model.controls, picture.formatControl);
  return picture && control?.type === 'choice'
    ? {
        control: picture.formatControl,
        options: control.options.filter(({ value }) => isFormatText(value)),
        value: choiceSetting(device, picture.formatControl),
      }
    : null;
};

const weight = (format: Format): number => format.width * format.height * framesPerSecond(format);

/**
 * Options of a choice of formats in the order they are tried: those at the rate of the house first, and of
 * these the best picture that is no heavier than the present one; then the heavier ones, the lightest first.
 */
const formatsInOrder = (
  options: readonly { value: string; label: string }[],
  present: string | undefined,
  houseRate: Rate,
): { value: string; label: string }[] => {
  const limit =
    present === undefined || !isFormatText(present) ? Infinity : weight(parseFormat(present));
  const rank = (value: string): number => {
    const format = parseFormat(value);
    return (sameRate(format.rate, houseRate) ? 0 : 2) + (weight(format) <= limit ? 0 : 1);
  };
  return options
    .filter(({ value }) => value !== present)
    .sort((a, b) => {
      const heavier = weight(parseFormat(b.value)) - weight(parseFormat(a.value));
      return rank(a.value) - rank(b.value) || (rank(a.value) % 2 === 0 ? heavier : -heavier);
    });
};

/**
 * A fix that sets a source to the best format with which a finding goes away, found by trying them in turn.
 * @param find the rule's own search
 */
export const workingFormat = (
  measured: Measured,
  finding: Finding,
  source: Stage,
  find: (measured: Measured) => readonly Finding[],
): Fix[] => {
  const choice = formatChoice(measured, source);
  if (!choice) return [];
  const { id } = source.at.device;
  const device = measured.device(source.at.device);
  const { rate } = parseFormat(measured.rig.houseRules.chosenFormat);
  for (const option of formatsInOrder(choice.options, choice.value, rate)) {
    const command = {
      type: 'setControl',
      deviceId: id,
      control: choice.control,
      value: option.value,
    } as const;
    const remains = find(measure(apply(measured.rig, command), measured)).some(
      (other) =>
        other.about.linkId === finding.about.linkId &&
        other.about.deviceId === finding.about.deviceId,
    );
    if (!remains) return [{ label: `Set ${device.name} to ${option.label}`, command }];
  }
  return [];
};

const allStops = pass('all stops', (measured): readonly Stage[] => {
  const seen = new Set<string>();
  const { picture } = measured;
  const stops: Stage[] = [];
  eachPicture(measured, (stage, { stop }) => {
    if (!stop || (stage.parent && picture[stage.parent.index]?.stop)) return;
    const key =
      stage.via.by === 'link'
        ? stage.via.link.id
        : `${stage.parent?.at.index ?? ''} ${stage.at.device.id}`;
    if (seen.has(key)) return;
    seen.add(key);
    stops.push(stage);
  });
  return stops;
});

/** The stage where a picture is stopped, once for each link or device. */
export const stoppedAt = (measured: Measured, kinds: readonly PictureStop['by'][]): Stage[] =>
  allStops(measured).filter((stage) => {
    const stop = measured.picture[stage.index]?.stop;
    return stop && kinds.includes(stop.by);
  });

export const aboutStage = (stage: Stage): About => {
  const near = stage.via.by === 'link' ? stage : (stage.parent ?? stage);
  const linkId = near.via.by === 'link' ? near.via.link.id : undefined;
  return atStage(stage, { deviceId: near.at.device.id, portId: near.at.id, linkId });
};

/** A fix that flips a switch of the source, where the source has one. */
export const sourceSwitch = (
  measured: Measured,
  stage: Stage,
  control: boolean | string | undefined,
  value: boolean,
  label: string,
): Fix[] =>
  typeof control === 'string' &&
  settingOf(measured.device(sourceOf(stage).at.device), control) !== value
    ? [
        {
          label,
          command: { type: 'setControl', deviceId: sourceOf(stage).at.device.id, control, value },
        },
      ]
    : [];
