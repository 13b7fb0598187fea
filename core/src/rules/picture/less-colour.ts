import { pictureSources } from '../../passes/framing';
import { BEST_THAT_FITS, choiceSetting, CODINGS, entry } from '../../rig';
import { atStage } from '../about';
import { pictureRule, setFix } from '../rule-of';

export const lessColour = pictureRule(
  'picture.less-colour',
  {
    looksFor:
      'A picture that is sent with a quarter of its colour, 4:2:0, into a switcher or a capture device.',
    why: 'Edges of saturated colour fray, and a key cut out of it is ragged.',
    remedy: 'Send 4:2:2 or RGB where the link carries it.',
    source: 'handbook 3-picture, formats: chroma',
  },
  (measured) =>
    pictureSources(measured)
      .filter(
        (stage) =>
          stage.at.links.length > 0 && measured.picture[stage.index]?.coding?.chroma === '4:2:0',
      )
      .map((stage) => ({
        level: 'note',
        about: atStage(stage, { deviceId: stage.at.device.id, portId: stage.at.id }),
        title: 'A quarter of the colour',
        says:
          `${measured.device(stage.at.device).name} sends 4:2:0. Fine for a talking head, ragged for a ` +
          'key or small coloured text. Send 4:2:2 or RGB if the link carries it.',
      })),
  {
    fixes: (measured, { about }) => {
      const node =
        about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
      const control =
        node && about.portId
          ? node.ports.get(about.portId)?.port.emits?.picture?.codingControl
          : undefined;
      const choice =
        node && control !== undefined ? entry(node.model.controls, control) : undefined;
      if (
        !node ||
        control === undefined ||
        choice?.type !== 'choice' ||
        choiceSetting(measured.device(node), control) === BEST_THAT_FITS
      )
        return [];
      const option = choice.options.find(
        ({ value }) => CODINGS[value] && CODINGS[value].chroma !== '4:2:0',
      );
      return option
        ? [
            setFix(
              `Send ${option.label} from ${measured.device(node).name}`,
              node.id,
              control,
              option.value,
            ),
          ]
        : [];
    },
  },
);
