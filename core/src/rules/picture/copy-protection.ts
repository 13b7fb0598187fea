import { type Stage, stagesOf } from '../../graph';
import type { Kind } from '../../rig';
import { stageOf } from '../../passes/stages';
import { atStage } from '../about';
import type { Rule } from '../rule';
import { sourcesOnAir } from './flags';
import { sourceSwitch } from './formats';

const CODE = 'picture.copy-protection';

/** What takes no protected picture, and shows black to whatever stands behind it. */
const REFUSING: readonly Kind[] = ['switcher', 'capture', 'converter', 'recorder'];

const isRefusedOnWay = (last: Stage): boolean =>
  stagesOf(last).some(({ at }) => REFUSING.includes(at.device.model.kind));

export const copyProtection: Rule = {
  code: CODE,
  area: 'picture',
  looksFor:
    'A console, player or computer with copy protection on, on its way through capture, or to a ' +
    'screen behind a switcher or converter.',
  why: 'A capture device or switcher shows black where the picture should be.',
  remedy: 'Switch protection off at the source where its maker and the content allow it.',
  source: 'handbook 3-picture, copy-protected sources',
  find: (measured) =>
    sourcesOnAir(measured, (figures) => figures.copyProtected)
      .filter(({ endIsScreen, last }) => !endIsScreen || isRefusedOnWay(last))
      .map(({ source, end, endIsScreen }) => ({
        code: CODE,
        area: 'picture',
        level: endIsScreen ? 'warn' : 'stop',
        about: atStage(source, {
          deviceId: source.at.device.id,
          portId: source.at.id,
          linkId: source.at.links[0]?.id,
        }),
        title: 'Copy protection blacks it out',
        says:
          `${measured.device(source.at.device).name} protects its picture, so ${end} gets black. Switch ` +
          'protection off at the source, where the content allows it.',
      })),
  fixes: (measured, { about }) => {
    const source = stageOf(measured, about.stage);
    return source
      ? sourceSwitch(
          measured,
          source,
          source.at.port.emits?.picture?.copyProtected,
          false,
          `Switch protection off on ${measured.device(source.at.device).name}`,
        )
      : [];
  },
};
