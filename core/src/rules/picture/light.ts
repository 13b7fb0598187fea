import { type Framed, ISO_CLEAN } from '../../passes/framing';
import type { Sum } from '../../passes/sum';
import { numberSetting } from '../../rig';

/** Usual steps of sensitivity. */
export const ISO_STEPS = [100, 200, 400, 800, 1600, 3200, 6400];

/** The sum of the light a shot needs. */
export const exposureSum = ({
  device,
  camera,
  exposure,
  fNumber,
  lightNeededLux,
}: Framed): Sum[] =>
  camera
    ? [
        {
          label: 'Light needed',
          formula: '250 × N² ÷ (t × S)',
          inputs: [
            { name: 'f-number N', value: fNumber ?? 'unknown', unit: '' },
            {
              name: 'shutter 1/t',
              value: numberSetting(device, camera.shutterControl) ?? 'unknown',
              unit: '1/s',
            },
            {
              name: 'sensitivity S',
              value:
                exposure === 'automatic'
                  ? ISO_CLEAN
                  : (numberSetting(device, camera.isoControl) ?? 'unknown'),
              unit: 'ISO',
            },
          ],
          result: lightNeededLux,
          unit: 'lux',
          source: 'ISO 2720, constant 250',
        },
      ]
    : [];
