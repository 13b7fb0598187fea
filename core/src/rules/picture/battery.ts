import { switchSetting } from '../../rig';
import { cameraRule, setFix } from '../rule-of';

export const battery = cameraRule(
  'picture.battery',
  {
    looksFor: 'A camera on a battery that does not last set-up and show.',
    why: 'It stops in the middle of a take, and changing the battery moves the shot.',
    remedy: 'Use a mains adapter, or change batteries in a break that is planned.',
    source: 'handbook 3-picture, continuous run',
  },
  ({ node, camera, showMin, setUpMin }, measured) => {
    if (
      !camera.battery ||
      showMin === null ||
      switchSetting(measured.device(node), camera.battery.mainsControl) ||
      camera.battery.lastsMin >= showMin + setUpMin
    )
      return null;
    const lastsShow = camera.battery.lastsMin >= showMin;
    return {
      // A fresh one when the show begins would do; who changes it must be said.
      level: lastsShow ? 'warn' : 'stop',
      title: `Battery ends after ${camera.battery.lastsMin} min`,
      says:
        `${measured.device(node).name} runs ${camera.battery.lastsMin} min on its battery; set-up and show ` +
        `take ${setUpMin} + ${showMin} min. ` +
        (camera.battery.lastsMin > setUpMin
          ? `Switched on when the set-up begins it ends in minute ${camera.battery.lastsMin - setUpMin} of the show. `
          : 'Switched on when the set-up begins it ends before the show does. ') +
        (lastsShow
          ? 'Change it before the show begins, or put it on a mains adapter.'
          : 'Put it on a mains adapter.'),
    };
  },
  ({ node, camera }, measured) =>
    camera.battery
      ? [
          setFix(
            `Put ${measured.device(node).name} on a mains adapter`,
            node.id,
            camera.battery.mainsControl,
            true,
          ),
        ]
      : [],
  ({ camera, showMin, setUpMin }) =>
    camera.battery && showMin !== null
      ? [
          {
            label: 'Batteries needed',
            formula: '(set-up + show) ÷ battery',
            inputs: [
              { name: 'set-up', value: setUpMin, unit: 'min' },
              { name: 'show', value: showMin, unit: 'min' },
              { name: 'battery', value: camera.battery.lastsMin, unit: 'min' },
            ],
            result: (setUpMin + showMin) / camera.battery.lastsMin,
            unit: 'batteries',
            source: 'typical of the class',
          },
        ]
      : [],
);
