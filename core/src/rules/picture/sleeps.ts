import { switchSetting } from '../../rig';
import { cameraRule, setFix } from '../rule-of';

export const sleeps = cameraRule(
  'picture.sleeps',
  {
    looksFor: 'A camera whose sleep timer is on and shorter than the show.',
    why: 'It switches itself off although its output is on air, since nobody touches it.',
    remedy: 'Switch the sleep timer off.',
    source: 'handbook 3-picture, continuous run',
  },
  ({ node, camera, showMin }, measured) => {
    if (
      !camera.sleep ||
      showMin === null ||
      !switchSetting(measured.device(node), camera.sleep.control) ||
      camera.sleep.afterMin >= showMin
    )
      return null;
    return {
      level: 'stop',
      title: `Sleeps after ${camera.sleep.afterMin} min`,
      says:
        `${measured.device(node).name} goes to sleep when nobody touches it for ` +
        `${camera.sleep.afterMin} min, and the show lasts ${showMin} min. Switch the sleep ` +
        'timer off.',
    };
  },
  ({ node, camera }, measured) =>
    camera.sleep
      ? [
          setFix(
            `Switch the sleep timer of ${measured.device(node).name} off`,
            node.id,
            camera.sleep.control,
            false,
          ),
        ]
      : [],
);
