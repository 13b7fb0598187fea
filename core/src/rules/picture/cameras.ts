import type { Measured } from '../../passes/measure';
import { pass } from '../../passes/pass';
import { choiceSetting } from '../../rig';
import type { CameraInShow } from '../rule-of';

/** Cameras with a plug in a picture output, whose figures are known. */
export const cameraDevices = pass('camera devices', (measured): readonly CameraInShow[] =>
  find(measured),
);

const find = (measured: Measured): CameraInShow[] =>
  [...measured.graph.devices.values()].flatMap((node) => {
    const { camera } = node.model;
    const out =
      camera &&
      node.ports.values().find(({ port, links }) => port.emits?.picture && links.length > 0);
    if (!camera || !out?.port.emits?.picture) return [];
    return [
      {
        node,
        camera,
        showMin: measured.rig.brief?.lengthMin ?? null,
        format: choiceSetting(measured.device(node), out.port.emits.picture.formatControl) ?? null,
      },
    ];
  });
