import { classById } from '../../catalogue';
import type { RigDraft } from '../../catalogue/draft';
import type { Model } from '../../rig';

/** A model whose gains have few steps, so that every combination can be read from the whole rig. */
export const coarse = (classId: string, stepDb: number): Model => {
  const model = classById(classId);
  return {
    ...model,
    controls: Object.fromEntries(
      Object.entries(model.controls).map(([id, control]) => [
        id,
        control.type === 'gain' ? { ...control, stepDb } : control,
      ]),
    ),
  };
};

/** A model of one's own, put into a draft. */
export const add = (
  draft: RigDraft,
  deviceId: string,
  model: Model,
  settings: Record<string, number | boolean> = {},
): RigDraft =>
  draft.do({
    type: 'addDevice',
    deviceId,
    name: deviceId,
    model,
    settings,
    personId: null,
    placeId: null,
  });
