import { explainStream } from '../../passes/picture/sums';
import { stageOf } from '../../passes/stages';
import { eachPicture } from '../../passes/stages';
import type { Stage } from '../../graph';
import { atStage } from '../about';
import type { Rule } from '../rule';

const CODE = 'picture.compressed';

export const compressed: Rule = {
  code: CODE,
  area: 'picture',
  looksFor: 'A capture device that compresses the picture on its way over USB.',
  why:
    'It saves bandwidth and costs sharpness and delay; worth knowing when one camera ' +
    'looks softer or later than the rest.',
  remedy:
    'Use an uncompressed encoding on a port that carries it, or leave it and set the delays by measurement.',
  source: 'handbook 3-picture, into the computer',
  find: (measured) => {
    const seen = new Set<string>();
    const captured: Stage[] = [];
    eachPicture(measured, (stage, { encoding }) => {
      if (
        encoding === 'compressed' &&
        stage.via.by === 'route' &&
        stage.at.port.family === 'usb' &&
        stage.via.route.route.picture?.does === 'capture'
      )
        captured.push(stage);
    });
    return captured.flatMap((stage) => {
      const { id } = stage.at.device;
      const device = measured.device(stage.at.device);
      if (seen.has(id)) return [];
      seen.add(id);
      return [
        {
          code: CODE,
          area: 'picture',
          level: 'note',
          about: atStage(stage, {
            deviceId: id,
            portId: stage.at.id,
            linkId: stage.at.links[0]?.id,
          }),
          title: 'Compressed on its way in',
          says:
            `${device.name} sends its picture compressed. It fits a slow port and costs some ` +
            'sharpness and delay. Leave it, or use an uncompressed encoding where the port ' +
            'carries it.',
        },
      ];
    });
  },
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage ? explainStream(measured, stage) : [];
  },
};
