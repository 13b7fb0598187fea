import { eachPicture } from '../../passes/stages';
import type { About } from '../about';
import { aboutStage } from './formats';
import type { Stage } from '../../graph';
import type { Measured } from '../../passes/measured';
import { pass } from '../../passes/pass';
import { type Format, formatName } from '../../units';

/** A place where a device takes one format and sends another. */
export interface Conversion {
  readonly stage: Stage;
  readonly from: Format;
  readonly to: Format;
}

/**
 * Every change of format on the way of a picture, once for each input and format it leaves in; kept
 * as long as the analysis is.
 */
export const conversions = pass('conversions', (measured): readonly Conversion[] =>
  findConversions(measured),
);

/** A conversion as a finding names it: the input, whose picture, and what is made of it. */
export const aboutConversion = ({ stage, to }: Conversion): About => ({
  ...aboutStage(stage),
  made: formatName(to),
});

/** A screen of a computer shows what it is given at its own size: nothing of it goes on. */
const isOwnScreen = ({ at: { device, port } }: Stage): boolean =>
  device.model.kind === 'computer' && port.family === 'picture';

const findConversions = (measured: Measured): readonly Conversion[] => {
  const seen = new Set<string>();
  const found: Conversion[] = [];
  const { picture } = measured;
  eachPicture(measured, (stage, { format: to }) => {
    if (stage.via.by !== 'route' || !stage.parent || isOwnScreen(stage)) return;
    const from = picture[stage.parent.index]?.format;
    if (!from || !to || from === to || (stage.at.links.length === 0 && !stage.at.port.ends)) return;
    const key = `${stage.parent.at.index} ${stage.at.device.id} ${formatName(to)}`;
    if (seen.has(key)) return;
    seen.add(key);
    found.push({ stage, from, to });
  });
  return found;
};
