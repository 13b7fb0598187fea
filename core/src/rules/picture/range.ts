import { choiceSetting } from '../../rig';
import type { Stage } from '../../graph';
import type { Measured } from '../../measure';
import { nameOf, sourceOf } from '../places';
import { pictureRule, setFix } from '../rule-of';

/** Arrivals of a picture at an input that is told to read it in the other range, once for each cable. */
const misread = (measured: Measured): { stage: Stage; sent: string; read: string; control: string }[] => {
  const seen = new Set<string>();
  return measured.traced.stages.flatMap((stage) => {
    const { port, device } = stage.at;
    const sent = measured.picture[stage.index]?.coding?.range;
    if (stage.via.by !== 'link' || port.family !== 'picture' || !port.rangeControl || !sent || seen.has(stage.via.link.id)) return [];
    const read = choiceSetting(device.device, port.rangeControl);
    if (read === undefined || read === 'as signalled' || read === sent) return [];
    seen.add(stage.via.link.id);
    return [{ stage, sent, read, control: port.rangeControl }];
  });
};

export const rangeMisread = pictureRule('picture.range', {
  looksFor: 'A picture in full range at an input that is told to read limited range, or the other way round.',
  why: 'Full read as limited loses the darkest and the brightest tones; limited read as full is grey and flat.',
  remedy: 'Let the input read what is signalled, or set both to the same range.',
  source: 'handbook 3-picture, formats; ITU-R BT.709: 16 to 235 of 255',
}, (measured) => misread(measured).map(({ stage, sent, read }) => ({
  level: 'warn', about: { deviceId: stage.at.device.id, portId: stage.at.id, ...(stage.via.by === 'link' ? { linkId: stage.via.link.id } : {}), stage: stage.index }, title: `${sent} range read as ${read}`,
  says: `${sourceOf(stage).at.device.device.name} sends ${sent} range and ${nameOf(stage.at)} reads it as ${read}: ${sent === 'full' ? 'shadows and highlights are cut off' : 'blacks turn grey and whites dull'}. Let the input read what is signalled.`,
})), {
  sums: (measured, { about }) => misread(measured).filter(({ stage }) => stage.index === about.stage).map(({ sent }) => ({
    label: sent === 'full' ? 'Tones lost' : 'Contrast left', formula: sent === 'full' ? '1 − 219 ÷ 255' : '219 ÷ 255', inputs: [{ name: 'steps of limited range', value: 219, unit: '' }, { name: 'steps of full range', value: 255, unit: '' }],
    result: sent === 'full' ? 100 * (1 - 219 / 255) : (100 * 219) / 255, unit: '%', source: 'ITU-R BT.709',
  })),
  fixes: (measured, { about }) => misread(measured).filter(({ stage }) => stage.index === about.stage).map(({ stage, control }) => setFix(`Let ${stage.at.device.device.name} read what is signalled`, stage.at.device.id, control, 'as signalled')),
});
