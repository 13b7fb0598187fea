import { cable } from '../catalogue/cables';
import type { PortNode, Stage, Traced } from '../graph';
import { AS_RECEIVED, choiceSetting, ENCODING_BITS_PER_PIXEL, switchSetting, type Device } from '../rig';
import { formatName, isSameFormat, linkPayloadGbps, parseFormat, streamMBps, type Format } from '../units';

/** Why a picture gets no further than a stage. */
export interface PictureStop {
  readonly by: 'port' | 'cable' | 'input' | 'no scaler';
  readonly says: string;
}

/** What a picture thread carries at a stage. */
export interface PictureFigures {
  /** null where the picture has been lost */
  readonly format: Format | null;
  /** Load on the link it arrived by. @unit Gb/s; null where the link has none or it cannot be told */
  readonly payloadGbps: number | null;
  /** Data rate once it travels as a stream. @unit MB/s */
  readonly streamMBps: number | null;
  /** How the stream is coded, once it is one */
  readonly encoding: string | null;
  /** No overlays, menus or focus marks on it */
  readonly clean: boolean;
  readonly copyProtected: boolean;
  readonly stop: PictureStop | null;
}

const flag = (device: Device, value: boolean | string): boolean => (typeof value === 'string' ? switchSetting(device, value) : value);

const formatSetting = (device: Device, control: string): Format | null => {
  const value = choiceSetting(device, control);
  return value === undefined || value === AS_RECEIVED ? null : parseFormat(value);
};

/** Bits per pixel of a device's encoding control. @returns null where the encoding is not one we know */
const bitsPerPixel = (device: Device, control: string): { encoding: string; bits: number } | null => {
  const encoding = choiceSetting(device, control);
  const bits = encoding === undefined || !Object.hasOwn(ENCODING_BITS_PER_PIXEL, encoding) ? undefined : ENCODING_BITS_PER_PIXEL[encoding];
  return encoding === undefined || bits === undefined ? null : { encoding, bits };
};

const stream = (device: Device, control: string, format: Format | null): Pick<PictureFigures, 'encoding' | 'streamMBps'> => {
  const coded = bitsPerPixel(device, control);
  return { encoding: coded?.encoding ?? null, streamMBps: coded && format ? streamMBps(format, coded.bits) : null };
};

const atSource = ({ device, port }: PortNode): PictureFigures | null => {
  const source = port.emits?.picture;
  if (!source) return null;
  const format = formatSetting(device.device, source.formatControl);
  return {
    format,
    payloadGbps: null,
    ...(source.encodingControl ? stream(device.device, source.encodingControl, format) : { encoding: null, streamMBps: null }),
    clean: flag(device.device, source.clean),
    copyProtected: flag(device.device, source.copyProtected),
    stop: null,
  };
};

/** The formats of a port's list. Models are immutable, so each list is read once. */
const acceptedFormats = new WeakMap<readonly string[], readonly Format[]>();
const formatsOf = (list: readonly string[]): readonly Format[] => {
  const known = acceptedFormats.get(list);
  if (known) return known;
  const formats = list.map(parseFormat);
  acceptedFormats.set(list, formats);
  return formats;
};

const accepts = ({ port }: PortNode, format: Format): boolean =>
  port.family !== 'picture' || port.accepts === undefined || formatsOf(port.accepts).some((accepted) => accepted === format || isSameFormat(accepted, format));

/** What stops a format on a link, the narrowest place first. */
const stopOnLink = (stage: Stage, format: Format, payloadGbps: number | null): PictureStop | null => {
  if (stage.via.by !== 'link') return null;
  const { from, to, link } = stage.via.link;
  const name = formatName(format);
  if (from.port.family !== 'picture' || to.port.family !== 'picture') return null;
  if (payloadGbps !== null) {
    const load = `${name} loads it with ${payloadGbps.toFixed(3)} Gb/s`;
    for (const node of [from, to] as const)
      if (node.port.family === 'picture' && payloadGbps > node.port.maxPayloadGbps)
        return { by: 'port', says: `${node.device.device.name}, ${node.port.name} carries ${node.port.maxPayloadGbps} Gb/s and ${load}` };
    const kind = cable(link.cable.kind);
    if (kind.maxGbps !== undefined && payloadGbps > kind.maxGbps) return { by: 'cable', says: `${kind.name} carries ${kind.maxGbps} Gb/s and ${load}` };
  }
  return accepts(to, format) ? null : { by: 'input', says: `${to.device.device.name}, ${to.port.name} does not take ${name}` };
};

/** The same figures where nothing changes: thousands of stages share them. */
const withoutPayload = (before: PictureFigures): PictureFigures => (before.payloadGbps === null ? before : { ...before, payloadGbps: null });

const overLink = (before: PictureFigures, stage: Stage): PictureFigures => {
  const { port } = stage.at;
  if (before.format === null || port.family !== 'picture') return withoutPayload(before);
  const payloadGbps = linkPayloadGbps(before.format, port.standard);
  const stop = before.stop ?? stopOnLink(stage, before.format, payloadGbps);
  return { ...before, payloadGbps, stop };
};

const throughRoute = (before: PictureFigures, stage: Stage): PictureFigures => {
  if (stage.via.by !== 'route' || !stage.via.route.route.picture) return before;
  const does = stage.via.route.route.picture;
  const device = stage.at.device.device;
  if (before.stop) return { ...before, format: null, payloadGbps: null };
  if (does.does === 'pass' || before.format === null) return withoutPayload(before);
  const set = formatSetting(device, does.formatControl);
  if (does.does === 'capture') {
    const format = set ?? before.format;
    return { ...before, format, payloadGbps: null, ...stream(device, does.encodingControl, format) };
  }
  const house = set ?? before.format;
  if (!does.scaler && !isSameFormat(house, before.format))
    return {
      ...before, format: null, payloadGbps: null,
      stop: { by: 'no scaler', says: `${device.name} runs at ${formatName(house)} and this input has no scaler for ${formatName(before.format)}` },
    };
  if (before.format === house && before.streamMBps === null && before.encoding === null) return withoutPayload(before);
  // Inside a program the picture is no longer a stream on a cable.
  return { ...before, format: house, payloadGbps: null, streamMBps: null, encoding: null };
};

/**
 * The picture pass: what every picture thread carries at every stage.
 * @returns figures by stage index; undefined for stages of sound
 */
export const picturePass = ({ stages }: Traced): readonly (PictureFigures | undefined)[] => {
  const figures: (PictureFigures | undefined)[] = new Array(stages.length);
  for (const stage of stages) {
    if (stage.signal !== 'picture') continue;
    const before = stage.parent ? figures[stage.parent.index] : undefined;
    if (stage.via.by === 'source') figures[stage.index] = atSource(stage.at) ?? undefined;
    else if (before) figures[stage.index] = stage.via.by === 'link' ? overLink(before, stage) : throughRoute(before, stage);
  }
  return figures;
};
