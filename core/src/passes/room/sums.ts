import { BANDS_HZ } from '../../rig';
import type { Sum } from '../sum';
import type { BuiltRoom } from './built';

/** How long a room rings in each band, part by part. */
export const bandSums = ({ bands, volumeM3, surfaceM2 }: BuiltRoom): Sum[] =>
  bands.map(({ hz, absorptionM2, airM2, rt60S, relation }) => {
    const air = airM2 > 0 ? ' + air' : '';
    return {
      label: `Rings at ${hz < 1000 ? hz : hz / 1000} ${hz < 1000 ? 'Hz' : 'kHz'}, by ${relation}`,
      formula:
        relation === 'Sabine'
          ? air === ''
            ? '0.161·V ÷ A'
            : `0.161·V ÷ (A${air})`
          : `0.161·V ÷ (−S·ln(1 − A ÷ S)${air})`,
      inputs: [
        { name: 'V', value: volumeM3, unit: 'm³' },
        { name: 'A', value: absorptionM2, unit: 'm²' },
        ...(relation === 'Eyring' ? [{ name: 'S', value: surfaceM2, unit: 'm²' }] : []),
        ...(airM2 > 0 ? [{ name: 'air', value: airM2, unit: 'm²' }] : []),
      ],
      result: rt60S,
      unit: 's',
      source:
        'handbook 5-room-desk-power, room sound; absorption typical unless typed over' +
        (airM2 > 0 ? '; air by EN 12354-6' : ''),
    };
  });

/** The sums of the two bands a room's time is told by. */
export const middleSums = (built: BuiltRoom): Sum[] =>
  bandSums(built).filter((_, band) => BANDS_HZ[band] === 500 || BANDS_HZ[band] === 1000);
