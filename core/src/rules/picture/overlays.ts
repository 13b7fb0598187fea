import { stageOf } from '../../passes/stages';
import { atStage } from '../about';
import type { Rule } from '../rule';
import { sourcesOnAir } from './flags';
import { sourceSwitch } from './formats';

const CODE = 'picture.overlays';

export const overlays: Rule = {
  code: CODE,
  area: 'picture',
  looksFor:
    'A camera whose output shows its menus, focus frames or battery, on its way to the air or a recording.',
  why: 'The audience sees the focus box walk over the face.',
  remedy: 'Switch the camera to clean output, or use a camera that has one.',
  source: 'handbook 3-picture, clean output',
  find: (measured) =>
    sourcesOnAir(measured, (figures) => !figures.clean).map(({ source, end, endIsScreen }) => ({
      code: CODE,
      area: 'picture',
      level: endIsScreen ? 'note' : 'stop',
      about: atStage(source, {
        deviceId: source.at.device.id,
        portId: source.at.id,
        linkId: source.at.links[0]?.id,
      }),
      title: 'Overlays on the output',
      says:
        `${measured.device(source.at.device).name} shows its overlays on ${source.at.port.name}, and ` +
        `they reach ${end}. ` +
        `${endIsScreen ? 'Fine for a confidence monitor.' : 'Switch the camera to clean output.'}`,
    })),
  fixes: (measured, { about }) => {
    const source = stageOf(measured, about.stage);
    return source
      ? sourceSwitch(
          measured,
          source,
          source.at.port.emits?.picture?.clean,
          true,
          `Switch ${measured.device(source.at.device).name} to clean output`,
        )
      : [];
  },
};
