import isDeepEqual from 'fast-deep-equal';
import type { Stage } from '../../graph';
import { keptOf } from './kept';
import {
  type CameraFigures,
  type Device,
  entry,
  fitsOn,
  inOrder,
  type Lens,
  numberSetting,
  type Rig,
  type Shot,
  type ShotPlan,
  switchSetting,
} from '../../rig';
import { type Format, parseFormat } from '../../units';
import type { Measured } from '../measured';
import { withLight } from '../light';
import { haveSameItems, pass, passFor } from '../pass';
import { withPlan } from '../place';
import {
  backgroundBlurPercent,
  circleOfConfusionMm,
  croppedMm,
  depthOfField,
  distanceForM,
  eyeLineDeg,
  fieldM,
  focalForMm,
  fullFrameFocalMm,
  lightNeededLux,
  panRangeDeg,
  stopsOver,
  travelToLoseM,
} from './optics';

export * from './optics';

/**
 * Framed height of each shot, m. A two-shot goes by width and a whole thing by what it is. @source
 * handbook 3-picture, framing
 */
export const SHOT_HEIGHT_M: Readonly<Partial<Record<Shot, number>>> = {
  face: 0.4,
  'head and shoulders': 0.65,
  waist: 1,
  knee: 1.4,
  full: 2.1,
  close: 0.6,
};
/** How far a frame may be from what is wanted before it is another shot, as a share. */
export const FRAME_TOLERANCE = 0.15;
/** What two seats need beside their distance, m */
const TWO_SHOT_MARGIN_M = 0.6;
/** Eyes below the crown of a head, m */
const CROWN_TO_EYES_M = 0.11;

/** What is wanted of a frame: so much height, or so much width. */
export interface Wanted {
  readonly of: 'height' | 'width';
  readonly m: number;
}

/** A shot with every figure that can be told. null = not known, or nothing of the kind. */
export interface Framing {
  readonly shotId: string;
  /** What was typed of it, and what the plan says where nothing was */
  readonly shot: ShotPlan;
  readonly camera: CameraFigures | null;
  /** The lens of the rig that is on it; null where its lens is built in, or nobody has said which */
  readonly lens: Lens | null;
  readonly exposure: Exposure;
  /** What the camera sends, where that is known */
  readonly format: Format | null;
  readonly crop: number;
  /** Active area once the mode has cropped it, mm */
  readonly sensorWidthMm: number | null;
  readonly sensorHeightMm: number | null;
  readonly focalMm: number | null;
  readonly fullFrameFocalMm: number | null;
  readonly fNumber: number | null;
  readonly widthM: number | null;
  readonly heightM: number | null;
  readonly wanted: Wanted | null;
  /** Framed over wanted, less one: +0.2 shows a fifth too much */
  readonly misfit: number | null;
  readonly distanceForWantedM: number | null;
  readonly focalForWantedMm: number | null;
  readonly sharp: { readonly nearM: number; readonly farM: number } | null;
  readonly blurPercent: number | null;
  readonly eyeLineDeg: number | null;
  /**
   * Space above the head with the eyes a third down, as a share of the frame's height; null where
   * nobody's face is in it
   */
  readonly headroomShare: number | null;
  readonly deliveredHeightPx: number | null;
  /** Lines of its picture that are left where it is recorded or delivered. @unit px */
  readonly capturedPx: number | null;
  /** The device that takes lines away on the way there; null where all arrive */
  readonly pixelsLostAtId: string | null;
  /** How much tighter it can be cut before pixels are made up */
  readonly punchInMost: number | null;
  readonly lightNeededLux: number | null;
  /** Above 0: too much light, the stops of grey filter; below 0: too little */
  readonly stopsOver: number | null;
  readonly panRangeDeg: number | null;
  readonly travelToLoseM: number | null;
  /** What must be told before the frame can be */
  readonly asks: readonly string[];
}

/** The camera of a shot, as it is called and set. */
export const framedBy = (
  measured: Pick<Measured, 'device'>,
  { shot }: Pick<Framing, 'shot'>,
): Device => measured.device({ id: shot.deviceId });

/** A shot with the camera that takes it, as it is in one analysis: for whoever asks, never for a result. */
export interface Framed extends Framing {
  readonly device: Device;
}

export const withCamera = (measured: Pick<Measured, 'device'>, framing: Framing): Framed => ({
  ...framing,
  device: framedBy(measured, framing),
});

/** Every shot with its camera. */
export const framed = (measured: Measured): Framed[] =>
  framings(measured).map((framing) => withCamera(measured, framing));

/** Where pictures begin, one stage an output; kept as long as the analysis is. */
export const pictureSources = pass('picture sources', (measured): readonly Stage[] =>
  measured.traced.stages.filter((stage) => stage.parent === null && stage.signal === 'picture'),
);

/** The stage where a device's picture begins: of several outputs, the one with a plug in it, or its card. */
export const pictureSource = (measured: Measured, deviceId: string): Stage | undefined => {
  const sources = pictureSources(measured).filter((stage) => stage.at.device.id === deviceId);
  return (
    sources.find((stage) => stage.at.links.length > 0) ??
    sources.find((stage) => stage.at.port.records !== undefined) ??
    sources[0]
  );
};

/** Tallest picture that is delivered lying down. @unit px */
export const deliveredHeightPx = (measured: Measured): number | null => {
  const heights = Object.values(measured.rig.brief?.deliverables ?? {}).flatMap(({ format }) => {
    const parsed = format === null ? null : parseFormat(format);
    return parsed && parsed.width >= parsed.height ? [parsed.height] : [];
  });
  return heights.length ? Math.max(...heights) : null;
};

const wantedOf = ({ wanted, seatSpacingM }: ShotPlan): Wanted | null => {
  if (wanted === 'two-shot')
    return seatSpacingM === null ? null : { of: 'width', m: seatSpacingM + TWO_SHOT_MARGIN_M };
  const m = SHOT_HEIGHT_M[wanted];
  return m === undefined ? null : { of: 'height', m };
};

const asksOf = (
  shot: ShotPlan,
  camera: CameraFigures | null,
  sensorMm: number | null,
): string[] => [
  ...(camera ? [] : ['what sensor and lens the camera has']),
  ...(camera && sensorMm === null ? ['the size of the sensor'] : []),
  ...(shot.distanceM === null ? ['how far the lens is from the subject'] : []),
  ...(shot.wanted === 'two-shot' && shot.seatSpacingM === null
    ? ['how far apart the seats are']
    : []),
];

/** Every figure of one shot. @param measured the rig it stands in */
export const framingOf = (measured: Measured, shotId: string, shot: ShotPlan): Framing | null => {
  const device = entry(measured.rig.devices, shot.deviceId);
  if (!device) return null;
  const camera = device.model.camera ?? null;
  const source = pictureSource(measured, shot.deviceId);
  const format = (source && measured.picture[source.index]?.format) ?? null;
  const lens = lensOn(measured.rig, device);
  const crop = camera ? (format ? cropAt(camera, format) : 1) * stabiliserCrop(device, camera) : 1;
  const whole = { width: camera?.sensorWidthMm ?? null, height: camera?.sensorHeightMm ?? null };
  const sensorWidthMm = whole.width === null ? null : croppedMm(whole.width, crop);
  const sensorHeightMm = whole.height === null ? null : croppedMm(whole.height, crop);
  const setFocalMm = camera ? (numberSetting(device, camera.focalControl) ?? null) : null;
  const setFNumber = camera ? (numberSetting(device, camera.fNumberControl) ?? null) : null;
  const focalMm = setFocalMm !== null && lens ? focalOf(lens, setFocalMm) : setFocalMm;
  const fNumber = setFNumber !== null && lens ? Math.max(lens.widest, setFNumber) : setFNumber;
  const { distanceM, backgroundM, eyeLine, travelM, lightLux } = shot;
  const wanted = wantedOf(shot);
  const sensorMm = wanted?.of === 'width' ? sensorWidthMm : sensorHeightMm;
  const hasOptics = sensorWidthMm !== null && sensorHeightMm !== null && focalMm !== null;
  const widthM = hasOptics && distanceM !== null ? fieldM(distanceM, sensorWidthMm, focalMm) : null;
  const heightM =
    hasOptics && distanceM !== null ? fieldM(distanceM, sensorHeightMm, focalMm) : null;
  const framed = wanted?.of === 'width' ? widthM : heightM;
  const delivered = deliveredHeightPx(measured);
  const kept = keptOf(measured, shot.deviceId);
  const capturedPx = kept?.heightPx ?? format?.height ?? null;
  const exposure = camera ? exposureOf(device, camera) : 'unknown';
  const needed = exposureLux(device, camera, exposure, fNumber);
  return {
    shotId,
    shot,
    camera,
    lens,
    exposure,
    format,
    crop,
    sensorWidthMm,
    sensorHeightMm,
    focalMm,
    fNumber,
    widthM,
    heightM,
    wanted,
    fullFrameFocalMm: hasOptics ? fullFrameFocalMm(focalMm, sensorWidthMm) : null,
    misfit: wanted && framed !== null ? framed / wanted.m - 1 : null,
    distanceForWantedM:
      wanted && hasOptics && sensorMm !== null ? distanceForM(focalMm, wanted.m, sensorMm) : null,
    focalForWantedMm:
      wanted && sensorMm !== null && distanceM !== null
        ? focalForMm(distanceM, wanted.m, sensorMm)
        : null,
    sharp:
      hasOptics && fNumber !== null && distanceM !== null
        ? depthOfField(focalMm, fNumber, circleOfConfusionMm(sensorWidthMm), distanceM)
        : null,
    blurPercent:
      hasOptics && fNumber !== null && distanceM !== null && backgroundM !== null
        ? backgroundBlurPercent(focalMm, fNumber, distanceM, distanceM + backgroundM, sensorWidthMm)
        : null,
    eyeLineDeg: eyeLine ? eyeLineDeg(eyeLine.offsetM, eyeLine.distanceM) : null,
    headroomShare:
      heightM === null || (shot.personId === null && shot.wanted !== 'two-shot')
        ? null
        : Math.max(0, 1 / 3 - CROWN_TO_EYES_M / heightM),
    deliveredHeightPx: delivered,
    punchInMost: capturedPx !== null && delivered !== null ? capturedPx / delivered : null,
    capturedPx,
    pixelsLostAtId: kept?.lostAt?.at.device.id ?? null,
    lightNeededLux: needed,
    stopsOver:
      needed !== null && lightLux !== null && lightLux > 0
        ? // What sets itself is never too bright, only too dark.
          Math.min(exposure === 'automatic' ? 0 : Infinity, stopsOver(lightLux, needed))
        : null,
    panRangeDeg: travelM !== null && distanceM !== null ? panRangeDeg(travelM, distanceM) : null,
    travelToLoseM: travelM !== null && widthM !== null ? travelToLoseM(widthM) : null,
    asks: asksOf(shot, camera, sensorWidthMm),
  };
};

/** Crop of the mode in which a camera sends a format; formats are compared as documents write them. */
export const cropAt = (camera: CameraFigures, format: Format): number => {
  for (const [text, crop] of Object.entries(camera.crops))
    if (parseFormat(text) === format) return crop;
  return 1;
};

/** The lens of the rig that is on a camera. */
const lensOn = ({ lenses }: Rig, { lensId, model }: Device): Lens | null => {
  const lens = lensId === null ? undefined : entry(lenses, lensId);
  // One whose mount has been typed over fits no more.
  return lens && fitsOn(lens, model.camera?.mount) ? lens : null;
};

/** The focal length a lens has that is nearest to the one asked for. @unit mm */
const focalOf = ({ focal: { shortestMm, longestMm } }: Lens, askedMm: number): number =>
  Math.min(longestMm, Math.max(shortestMm, askedMm));

/** How much a stabiliser that is on takes off the picture. */
const stabiliserCrop = (device: Device, { stabiliser }: CameraFigures): number =>
  stabiliser && switchSetting(device, stabiliser.control) ? stabiliser.crop : 1;

/**
 * Whether anybody has set a camera's exposure: by hand it is known once one of aperture, shutter and
 * sensitivity has been typed.
 */
export type Exposure = 'unknown' | 'automatic' | 'set';

const exposureOf = (device: Device, camera: CameraFigures): Exposure => {
  if (camera.autoExposureControl && switchSetting(device, camera.autoExposureControl))
    return 'automatic';
  const { settings } = device;
  return [camera.fNumberControl, camera.shutterControl, camera.isoControl].some((control) =>
    Object.hasOwn(settings, control),
  )
    ? 'set'
    : 'unknown';
};

/** A camera that sets itself goes so far before its noise shows. */
export const ISO_CLEAN = 3200;

const exposureLux = (
  device: Device,
  camera: CameraFigures | null,
  exposure: Exposure,
  fNumber: number | null,
): number | null => {
  if (!camera || exposure === 'unknown' || fNumber === null) return null;
  const shutter = numberSetting(device, camera.shutterControl);
  const iso = exposure === 'automatic' ? ISO_CLEAN : numberSetting(device, camera.isoControl);
  const greyStops =
    camera.greyControl === undefined ? 0 : (numberSetting(device, camera.greyControl) ?? 0);
  return shutter === undefined || iso === undefined
    ? null
    : lightNeededLux(fNumber, shutter, iso) * 2 ** greyStops;
};

/** Every shot of the rig, in the order they were planned. */
export const framings = pass(
  'framings',
  (measured): readonly Framing[] =>
    inOrder(measured.rig.shots).flatMap(([id]) => framingById(measured, id) ?? []),
  haveSameItems,
);

/** One of them, by its shot. */
export const framingById = passFor(
  'framing',
  (measured, id: string): Framing | null => {
    const shot = entry(measured.rig.shots, id);
    return shot
      ? framingOf(measured, id, withLight(measured, id, withPlan(measured, id, shot)))
      : null;
  },
  isDeepEqual,
);
