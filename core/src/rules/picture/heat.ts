import { type CameraFigures, entry } from '../../rig';
import { isFormatText, nominalRate, parseFormat, sameRate } from '../../units';
import { cameraRule, setFix } from '../rule-of';

/** How long it lasts in a format, looked up at its nominal rate: 29.97 heats as 30 does. @unit min */
const heatMinAt = ({ heatMin = {} }: CameraFigures, format: string | null): number | undefined => {
  if (format === null || !isFormatText(format)) return undefined;
  const exact = entry(heatMin, format);
  if (exact !== undefined) return exact;
  const sent = parseFormat(format);
  return Object.entries(heatMin).find(([text]) => {
    const stated = isFormatText(text) ? parseFormat(text) : null;
    return (
      stated !== null &&
      stated.width === sent.width &&
      stated.height === sent.height &&
      stated.scan === sent.scan &&
      nominalRate(stated.rate, sent.rate)
    );
  })?.[1];
};

export const heat = cameraRule(
  'picture.heat',
  {
    matters: ['size'],
    looksFor: 'A camera that gets too hot in the format it is set to before the show is over.',
    why: 'It switches itself off, and does not come back until it is cool.',
    remedy:
      'Use a lighter format, open the screen, take the battery out, or use a camera made to run all day.',
    source: 'handbook 3-picture, continuous run; typical figures at 25 °C',
  },
  ({ node, camera, showMin, format }, measured) => {
    const lastsMin = heatMinAt(camera, format);
    if (lastsMin === undefined || showMin === null || lastsMin >= showMin) return null;
    return {
      level: 'warn',
      title: `Too hot after ${lastsMin} min`,
      says:
        `${measured.device(node).name} gets too hot after about ${lastsMin} min in this format and the ` +
        `show lasts ${showMin} min. Use a lighter format, or a camera made to run all day.`,
    };
  },
  ({ node, camera, format, formatControl: control, showMin }, measured) => {
    const choice = entry(node.model.controls, control);
    if (choice?.type !== 'choice' || format === null || !isFormatText(format)) return [];
    const present = parseFormat(format);
    const cool = choice.options.find(
      ({ value }) =>
        isFormatText(value) &&
        parseFormat(value).height < present.height &&
        parseFormat(value).height >= 1080 &&
        sameRate(parseFormat(value).rate, present.rate) &&
        (heatMinAt(camera, value) ?? Infinity) >= (showMin ?? 0),
    );
    return cool
      ? [setFix(`Set ${measured.device(node).name} to ${cool.label}`, node.id, control, cool.value)]
      : [];
  },
);
