import type { Draft } from 'immer';
import { fitsOn } from '../lenses/schema';
import { CABLES } from '../links/cables';
import { mate } from '../links/mating';
import { linksOf } from '../links/plugs';
import { asItStands, entry } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import type { Model } from './model';
import type { Device } from './schema';
import { settingProblem } from './settings';

/**
 * Puts another model in a device's place. Cables stay in the ports of the same id; settings the new
 * model knows stay as they are.
 * @throws Refusal where a cable would hang loose or no longer fit
 */
export const replaceModel = (
  rig: Draft<Rig>,
  device: Draft<Device>,
  deviceId: string,
  model: Model,
): void => {
  for (const id of linksOf(rig.links, deviceId)) {
    const link = entry(rig.links, id);
    if (!link) continue;
    for (const [own, far] of [
      [link.from, link.to],
      [link.to, link.from],
    ] as const) {
      if (own.deviceId !== deviceId) continue;
      const port = entry(model.ports, own.portId);
      const other = entry(rig.devices, far.deviceId)?.model.ports[far.portId];
      if (!port)
        throw refusals.modelMisfit(
          device.name,
          `${model.name} has no port "${own.portId}", and a cable is in it`,
        );
      const mating =
        other &&
        (own === link.from ? mate(port, asItStands(other)) : mate(asItStands(other), port));
      if (!mating?.can || mating.flipped)
        throw refusals.modelMisfit(
          device.name,
          `the cable in "${own.portId}" does not fit ${model.name}`,
        );
      if (!mating.cables.includes(link.cable.kind))
        throw refusals.cableMisfit(CABLES[link.cable.kind].name);
    }
  }
  device.model = model;
  const lens = device.lensId === null ? undefined : entry(rig.lenses, device.lensId);
  if (lens && !fitsOn(lens, model.camera?.mount)) device.lensId = null;
  for (const [control, value] of Object.entries(device.settings))
    if (settingProblem(model, control, value)) delete device.settings[control];
};
