import type { Measured } from '../../passes/measure';
import { perAnalysis } from '../../passes/per-analysis';
import { choiceSetting } from '../../rig';
import type { CameraInShow } from '../rule-of';

/** Cameras with a plug in a picture output, whose figures are known. */
export const cameraDevices = perAnalysis((measured): readonly CameraInShow[] => find(measured));

const find = (measured: Measured): CameraInShow[] =>
  [...measured.graph.devices.values()].flatMap((node) => {
    const { camera } = node.device.model;
    const out =
      camera &&
      node.ports.values().find(({ port, links }) => port.emits?.picture && links.length > 0);
    if (!camera || !out?.port.emits?.picture) return [];
    return [
      {
        node,
        camera,
        showMin: measured.rig.brief?.lengthMin ?? null,
        format: choiceSetting(node.device, out.port.emits.picture.formatControl) ?? null,
      },
    ];
  });
