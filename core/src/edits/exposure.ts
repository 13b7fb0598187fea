import { type Framed, withCamera } from '../passes/framing';
import { type Exposed, exposures } from '../passes/exposure';
import { framesOf, isSteady, longerThanFrame } from '../passes/framing/shutters';
import type { Measured } from '../passes/measured';
import { type Device, entry, numberSetting, type SimpleCommand } from '../rig';
import { onControl } from './light';

/** Camera settings that cure an exposure, as edits. */

/** A camera with what it can be set to. */
export interface Cured {
  readonly deviceId: string;
  readonly name: string;
  readonly fNumber: number;
  readonly iso: number;
  readonly greyStops: number;
  readonly shutter: number;
  /** What is left over, or under. @unit stops */
  readonly leftStops: number;
}

/** So far from right an exposure is let be. @unit stops */
export const EXPOSURE_WITHIN = 0.5;
/** Smallest aperture that still is sharp. */
const MOST_F = 11;
/** Sensitivities people can choose. */
const ISOS = [100, 200, 400, 800, 1600, 3200, 6400];

/** What a camera stands at now. */
const nowOf = ({ device, camera, fNumber }: Framed) => {
  if (!camera || fNumber === null) return null;
  const shutter = numberSetting(device, camera.shutterControl);
  const iso = numberSetting(device, camera.isoControl);
  const grey =
    camera.greyControl === undefined ? 0 : (numberSetting(device, camera.greyControl) ?? 0);
  return shutter === undefined || iso === undefined
    ? null
    : { camera, fNumber, shutter, iso, grey };
};

/**
 * What would expose a shot rightly at a shutter: sensitivity first, within what is clean; then grey
 * filter; then the aperture.
 * @param cleanIso highest clean sensitivity @returns null where nothing of the camera is known
 */
export const cureOf = (
  measured: Measured,
  exposed: Exposed,
  shutter: number,
  cleanIso: number,
): Cured | null => {
  const framing = withCamera(measured, exposed.framing);
  const { device, lens } = framing;
  const now = nowOf(framing);
  if (!now || exposed.stopsOver === null || exposed.framing.exposure !== 'set') return null;
  // How far over it is at ISO 100, without a filter, at this shutter and aperture.
  const base =
    exposed.stopsOver + Math.log2(100 / now.iso) + Math.log2(now.shutter / shutter) + now.grey;
  const control = entry(device.model.controls, now.camera.isoControl);
  const lowest = control?.type === 'amount' ? control.min : 100;
  const highest = Math.min(cleanIso, control?.type === 'amount' ? control.max : cleanIso);
  const filter = now.camera.greyControl;
  const mostGrey = filter === undefined ? 0 : (mostOf(device, filter) ?? 0);
  const widest = Math.max(lens?.widest ?? 0, leastOf(device, now.camera.fNumberControl) ?? 1);
  const apertures = [0, 1 / 3, 2 / 3, 1, 4 / 3, 5 / 3, 2, 3, 4]
    .flatMap((stops) => (stops === 0 ? [0] : [stops, -stops]))
    .flatMap((stops) => {
      const f = Math.round(10 * now.fNumber * 2 ** (stops / 2)) / 10;
      return f >= widest && f <= Math.max(MOST_F, now.fNumber) ? [f] : [];
    });
  const isos = ISOS.filter((iso) => iso >= lowest && iso <= highest);
  const options = apertures.flatMap((fNumber) =>
    isos.flatMap((iso) =>
      Array.from({ length: mostGrey + 1 }, (_, greyStops) => ({
        fNumber,
        iso,
        greyStops,
        left: base + Math.log2(iso / 100) - greyStops - 2 * Math.log2(fNumber / now.fNumber),
      })),
    ),
  );
  const cost = ({ fNumber, iso, greyStops, left }: (typeof options)[number]): number =>
    (Math.abs(left) > EXPOSURE_WITHIN ? 100 * Math.abs(left) : Math.abs(left)) +
    3 * Math.abs(2 * Math.log2(fNumber / now.fNumber)) +
    0.5 * Math.abs(Math.log2(iso / now.iso)) +
    0.6 * Math.abs(greyStops - now.grey);
  const best = options.reduce<(typeof options)[number] | null>(
    (least, option) => (least === null || cost(option) < cost(least) - 1e-9 ? option : least),
    null,
  );
  return (
    best && {
      deviceId: exposed.framing.shot.deviceId,
      name: device.name,
      fNumber: best.fNumber,
      iso: best.iso,
      greyStops: best.greyStops,
      shutter,
      leftStops: best.left,
    }
  );
};

const amountOf = ({ model }: Device, controlId: string) => {
  const control = entry(model.controls, controlId);
  return control?.type === 'amount' ? control : null;
};
const mostOf = (device: Device, controlId: string): number | null =>
  amountOf(device, controlId)?.max ?? null;
const leastOf = (device: Device, controlId: string): number | null =>
  amountOf(device, controlId)?.min ?? null;

/** What sets a camera so. */
export const setCamera = (measured: Measured, cured: Cured): SimpleCommand[] => {
  const device = entry(measured.rig.devices, cured.deviceId);
  const camera = device?.model.camera;
  if (!device || !camera) return [];
  const set = (controlId: string | undefined, value: number): SimpleCommand[] => {
    const to = controlId === undefined ? null : onControl(device, controlId, value);
    return controlId === undefined || to === null || numberSetting(device, controlId) === to
      ? []
      : [{ type: 'setControl', deviceId: cured.deviceId, control: controlId, value: to }];
  };
  return [
    ...set(camera.fNumberControl, cured.fNumber),
    ...set(camera.shutterControl, cured.shutter),
    ...set(camera.isoControl, cured.iso),
    ...set(camera.greyControl, cured.greyStops),
  ];
};

/** Whether a shutter holds whole cycles of the mains, and is not longer than a frame. */
const suits = ({ framing }: Exposed, shutter: number, mainsHz: number | null): boolean => {
  const frames = framesOf(framing);
  return (
    (mainsHz === null || isSteady(shutter, mainsHz)) &&
    (frames === null || !longerThanFrame(shutter, frames))
  );
};

/** The first shot of each camera whose exposure somebody has set, and whose light is known. */
const setByHand = (measured: Measured): Exposed[] => {
  const seen = new Set<string>();
  return exposures(measured).filter(({ stopsOver, framing: { exposure, shot } }) => {
    if (stopsOver === null || exposure !== 'set' || seen.has(shot.deviceId)) return false;
    seen.add(shot.deviceId);
    return true;
  });
};

/** One shutter for all, and settings of each camera at it. */
export interface CureForAll {
  readonly shutter: number;
  readonly cameras: readonly Cured[];
  readonly commands: readonly SimpleCommand[];
}

/**
 * One cure for every camera of the set together: the same shutter on all, steady under the mains where
 * that is known, each at a clean sensitivity.
 * @returns null where no exposure is known, or no settings bring them all right
 */
export const cureForAll = (measured: Measured): CureForAll | null => {
  const all = setByHand(measured);
  if (all.length === 0) return null;
  const hz = measured.rig.mains?.hz ?? null;
  const usual = hz === 60 ? [60, 120] : [50, 100];
  const now = all.flatMap((exposed) => nowOf(withCamera(measured, exposed.framing))?.shutter ?? []);
  const alike = now.filter((one) => all.every((exposed) => suits(exposed, one, hz)));
  const tries = [...new Set([...alike, ...usual])].filter((one) =>
    all.every((exposed) => suits(exposed, one, hz)),
  );
  const { cleanIso } = measured.rig.lightRules;
  const cures = tries.flatMap((shutter) => {
    const cameras = all.flatMap((exposed) => cureOf(measured, exposed, shutter, cleanIso) ?? []);
    return cameras.length === all.length &&
      cameras.every(({ leftStops }) => Math.abs(leftStops) <= EXPOSURE_WITHIN)
      ? [{ shutter, cameras, commands: cameras.flatMap((one) => setCamera(measured, one)) }]
      : [];
  });
  return cures.sort((a, b) => a.commands.length - b.commands.length)[0] ?? null;
};
