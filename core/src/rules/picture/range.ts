import type { LinkEdge, Stage } from '../../graph';
import { sourceOf } from '../../graph';
import { nameOf } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { choiceSetting } from '../../rig';
import { eachPicture } from '../../passes/stages';
import { atStage } from '../about';
import { pictureRule, setFix } from '../rule-of';

interface Misread {
  readonly stage: Stage;
  readonly sent: string;
  readonly read: string;
  readonly control: string;
}

/** Arrivals of a picture at an input that is told to read it in the other range, once for each cable. */
const misread = (measured: Measured): Misread[] => {
  const found = new Map<LinkEdge, Misread>();
  eachPicture(measured, (stage, { coding }) => {
    if (stage.via.by !== 'link') return;
    const { port, device } = stage.at;
    if (port.family !== 'picture' || port.rangeControl === undefined || found.has(stage.via.link))
      return;
    const sent = coding?.range;
    const read = choiceSetting(measured.device(device), port.rangeControl);
    if (sent && read !== undefined && read !== 'as signalled' && read !== sent)
      found.set(stage.via.link, { stage, sent, read, control: port.rangeControl });
  });
  return [...found.values()];
};

export const rangeMisread = pictureRule(
  'picture.range',
  {
    looksFor:
      'A picture in full range at an input that is told to read limited range, or the other way round.',
    why: 'Full read as limited loses the darkest and the brightest tones; limited read as full is grey and flat.',
    remedy: 'Let the input read what is signalled, or set both to the same range.',
    source: 'handbook 3-picture, formats; ITU-R BT.709: 16 to 235 of 255',
  },
  (measured) =>
    misread(measured).map(({ stage, sent, read }) => ({
      level: 'warn',
      about: atStage(stage, {
        deviceId: stage.at.device.id,
        portId: stage.at.id,
        ...(stage.via.by === 'link' ? { linkId: stage.via.link.id } : {}),
      }),
      title: `${sent} range read as ${read}`,
      says:
        `${measured.device(sourceOf(stage).at.device).name} sends ${sent} range and ${nameOf(measured, stage.at)} ` +
        `reads it as ${read}: ` +
        `${sent === 'full' ? 'shadows and highlights are cut off' : 'blacks turn grey and whites dull'}. ` +
        'Let the input read what is signalled.',
    })),
  {
    sums: (measured, { about }) =>
      misread(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .map(({ sent }) => ({
          label: sent === 'full' ? 'Tones lost' : 'Contrast left',
          formula: sent === 'full' ? '1 − 219 ÷ 255' : '219 ÷ 255',
          inputs: [
            { name: 'steps of limited range', value: 219, unit: '' },
            { name: 'steps of full range', value: 255, unit: '' },
          ],
          result: sent === 'full' ? 100 * (1 - 219 / 255) : (100 * 219) / 255,
          unit: '%',
          source: 'ITU-R BT.709',
        })),
    fixes: (measured, { about }) =>
      misread(measured)
        .filter(({ stage }) => stage.index === about.stage)
        .map(({ stage, control }) =>
          setFix(
            `Let ${measured.device(stage.at.device).name} read what is signalled`,
            stage.at.device.id,
            control,
            'as signalled',
          ),
        ),
  },
);
