import { isIdle } from '../../graph';
import {
  AS_RECEIVED,
  BEST_THAT_FITS,
  choiceSetting,
  type Device,
  entry,
  FIRST_CONNECTED,
  numberSetting,
  type Rig,
  type SimpleCommand,
} from '../../rig';
import { type Format, isFormatText, parseFormat, rateToHz } from '../../units';

/** Sizes a whole rig is thought of in. */
export const SIZES = [1080, 2160] as const;
export type Size = (typeof SIZES)[number];

/** A format as the document writes it, of a size and with the scan and rate of another. */
const text = (width: number, height: number, { scan, rate }: Format): string =>
  `${width}x${height}${scan}${rate.num}${rate.den === 1 ? '' : `/${rate.den}`}`;
const WIDTHS: Readonly<Record<Size, number>> = { 1080: 1920, 2160: 3840 };

/** Controls of a device that name a format: of a card, while it records. */
const formatControls = (device: Device): string[] => {
  const { model } = device;
  const found = new Set<string>();
  for (const port of Object.values(model.ports))
    if (port.emits?.picture && !isIdle(device, port)) found.add(port.emits.picture.formatControl);
  for (const route of Object.values(model.routes))
    if (route.picture && route.picture.does !== 'pass') found.add(route.picture.formatControl);
  return [...found];
};

/**
 * The option of a size whose rate is nearest to the present one, not faster. @returns undefined
 * where the control does not offer the size
 */
const optionAt = (
  options: readonly { readonly value: string }[],
  present: Format,
  size: Size,
): string | undefined =>
  options
    .filter(
      ({ value }) =>
        isFormatText(value) &&
        parseFormat(value).height === size &&
        parseFormat(value).scan === 'p' &&
        rateToHz(parseFormat(value).rate) <= rateToHz(present.rate) + 1e-9,
    )
    .sort((a, b) => misfit(a.value, present) - misfit(b.value, present))[0]?.value;

const misfit = (value: string, present: Format): number => {
  const ratio = rateToHz(present.rate) / rateToHz(parseFormat(value).rate);
  return Math.abs(ratio - Math.round(ratio)) * 1000 + ratio;
};

/** A control of a device that names a format and has none of a size. */
export interface TooSmall {
  readonly deviceId: string;
  readonly control: string;
  /** What it is set to */
  readonly present: Format;
  /** That, at the size */
  readonly wanted: string;
}

const isFixedFormat = (value: string | undefined): value is string =>
  value !== undefined &&
  value !== AS_RECEIVED &&
  value !== BEST_THAT_FITS &&
  value !== FIRST_CONNECTED;

/** What cannot be set to a size, of everything that makes a picture. */
export const tooSmall = (rig: Rig, size: Size): TooSmall[] =>
  Object.entries(rig.devices).flatMap(([deviceId, device]) =>
    formatControls(device).flatMap((control) => {
      const value = choiceSetting(device, control);
      const choice = entry(device.model.controls, control);
      if (choice?.type !== 'choice' || !isFixedFormat(value)) return [];
      const present = parseFormat(value);
      return present.height < size && optionAt(choice.options, present, size) === undefined
        ? [{ deviceId, control, present, wanted: text(WIDTHS[size], size, present) }]
        : [];
    }),
  );

/**
 * Takes the whole rig to a size: every source, switcher, capture and programme that offers it, and
 * what is delivered, at the same bits per pixel.
 * @returns the commands; none where everything stands at that size already
 */
export const atSize = (rig: Rig, size: Size): SimpleCommand[] => {
  const commands: SimpleCommand[] = [];
  const wanted = parseFormat(rig.houseRules.chosenFormat);
  // Bitrates of recorders grow with the pixels, so that a picture keeps what it has now.
  const grows = (WIDTHS[size] * size) / (wanted.width * wanted.height);
  for (const [deviceId, device] of Object.entries(rig.devices))
    for (const controlId of formatControls(device)) {
      const control = entry(device.model.controls, controlId);
      const value = choiceSetting(device, controlId);
      if (control?.type !== 'choice' || !isFixedFormat(value)) continue;
      const option = optionAt(control.options, parseFormat(value), size);
      if (option !== undefined && parseFormat(value).height !== size)
        commands.push({ type: 'setControl', deviceId, control: controlId, value: option });
    }
  for (const [deviceId, device] of Object.entries(rig.devices)) {
    if (Object.values(device.model.ports).some((port) => isIdle(device, port))) continue;
    const control = device.model.storage?.bitrateControl;
    const range = control === undefined ? undefined : entry(device.model.controls, control);
    const present = control === undefined ? undefined : numberSetting(device, control);
    if (control === undefined || range?.type !== 'amount' || present === undefined) continue;
    const value = Math.min(range.max, Math.max(range.min, present * grows));
    if (value !== present) commands.push({ type: 'setControl', deviceId, control, value });
  }
  for (const [deliverableId, deliverable] of Object.entries(rig.brief?.deliverables ?? {})) {
    if (deliverable.format === null) continue;
    const present = parseFormat(deliverable.format);
    const isUpright = present.height > present.width;
    if ((isUpright ? present.width : present.height) === size) continue;
    const format = isUpright
      ? text(size, WIDTHS[size], present)
      : text(WIDTHS[size], size, present);
    const times = (WIDTHS[size] * size) / (present.width * present.height);
    commands.push({
      type: 'changeDeliverable',
      deliverableId,
      deliverable: {
        format,
        ...(deliverable.bitrateMbps === null
          ? {}
          : { bitrateMbps: Number((deliverable.bitrateMbps * times).toFixed(2)) }),
      },
    });
  }
  const school = size === 2160 ? '2160p throughout' : '1080p everywhere';
  if (wanted.height !== size || rig.houseRules.captureSize !== school)
    commands.push({
      type: 'setHouseRules',
      rules: { chosenFormat: text(WIDTHS[size], size, wanted), captureSize: school },
    });
  return commands;
};
