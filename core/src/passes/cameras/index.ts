import { type DeviceNode, isIdle, type PortNode } from '../../graph';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { type CameraFigures, choiceSetting, type Device, type PictureSource } from '../../rig';
import { formatText, isFormatText, parseFormat, pixelsPerSecond } from '../../units';

/** A camera that is plugged in, and how long the show is. */
export interface CameraInShow {
  readonly node: DeviceNode;
  readonly camera: CameraFigures;
  /** @unit min; null where there is no brief */
  readonly showMin: number | null;
  /** How long it stands switched on before it. @unit min */
  readonly setUpMin: number;
  /** The format it sends or records, as the document writes it; what fits best where it is left to choose */
  readonly format: string | null;
  /** The control that format was set by */
  readonly formatControl: string;
  /** Whether it makes a file on a card of its own */
  readonly isRecording: boolean;
}

/** Cameras with a plug in a picture output, or with a recording of their own, whose figures are known. */
export const cameraDevices = pass('camera devices', (measured): readonly CameraInShow[] =>
  find(measured),
);

/** Whether a picture leaves the camera here, or is written on its card. */
const isInUse = (device: Device, { port, links }: PortNode): boolean =>
  port.records ? !isIdle(device, port) : links.length > 0;

const pixelsOf = (format: string | undefined): number => {
  if (format === undefined || !isFormatText(format)) return 0;
  const { width, height } = parseFormat(format);
  return width * height;
};

/** The picture that asks most of the camera, of those it sends and records. */
const mostAsked = (device: Device, ports: readonly PortNode[]): PictureSource | undefined =>
  ports
    .flatMap(({ port }) => port.emits?.picture ?? [])
    .reduce<PictureSource | undefined>(
      (most, picture) =>
        most === undefined ||
        pixelsOf(choiceSetting(device, picture.formatControl)) >
          pixelsOf(choiceSetting(device, most.formatControl))
          ? picture
          : most,
      undefined,
    );

/** What a camera is set to; where it is to send the best that fits, what that came to. */
const formatOf = (
  measured: Measured,
  device: Device,
  node: DeviceNode,
  { formatControl }: PictureSource,
): string | null => {
  const set = choiceSetting(device, formatControl);
  if (set !== undefined && isFormatText(set)) return set;
  const sent = measured.traced.stages.flatMap(({ signal, via, at, index }) =>
    signal === 'picture' && via.by === 'source' && at.device.id === node.id
      ? (measured.picture[index]?.format ?? [])
      : [],
  );
  const [largest] = sent.sort((a, b) => pixelsPerSecond(b) - pixelsPerSecond(a));
  return largest ? formatText(largest) : (set ?? null);
};

const find = (measured: Measured): CameraInShow[] =>
  [...measured.graph.devices.values()].flatMap((node) => {
    const { camera } = node.model;
    const device = measured.device(node);
    const inUse = node.ports
      .values()
      .filter((port) => port.port.emits?.picture && isInUse(device, port))
      .sort((a, b) => (a.id < b.id ? -1 : 1));
    const picture = camera && mostAsked(device, inUse);
    if (!camera || !picture) return [];
    return [
      {
        node,
        camera,
        showMin: measured.rig.brief?.lengthMin ?? null,
        setUpMin: measured.rig.brief?.setUpMin ?? 0,
        format: formatOf(measured, device, node, picture),
        formatControl: picture.formatControl,
        isRecording: inUse.some(({ port }) => port.records !== undefined),
      },
    ];
  });
