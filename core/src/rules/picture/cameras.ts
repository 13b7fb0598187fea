import type { Measured } from '../../measure';
import { choiceSetting } from '../../rig';
import type { CameraInShow } from '../rule-of';

const known = new WeakMap<Measured['traced'], readonly CameraInShow[]>();

/** Cameras with a plug in a picture output, whose figures are known. */
export const cameraDevices = (measured: Measured): readonly CameraInShow[] => {
  const made = known.get(measured.traced) ?? find(measured);
  known.set(measured.traced, made);
  return made;
};

const find = (measured: Measured): CameraInShow[] =>
  [...measured.graph.devices.values()].flatMap((node) => {
    const { camera } = node.device.model;
    const out = camera && node.ports.values().find(({ port, links }) => port.emits?.picture && links.length > 0);
    if (!camera || !out?.port.emits?.picture) return [];
    return [{ node, camera, showMin: measured.rig.brief?.lengthMin ?? null, format: choiceSetting(node.device, out.port.emits.picture.formatControl) ?? null }];
  });
