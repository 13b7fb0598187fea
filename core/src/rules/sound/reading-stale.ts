import { type KeptReading, readings, wayDbAt } from '../../recorded/readings';
import { entry } from '../../rig';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';

export const readingStale = eachSoundRule<KeptReading>(
  'sound.reading-stale',
  {
    looksFor: 'Levels that were measured while the way from mouth to input was set otherwise.',
    why: 'Another gain, distance or device makes another level: what was measured says nothing of it.',
    remedy: 'Record the voice again, or forget what was measured.',
    source: 'handbook 4-time-storage: calibration records',
  },
  {
    all: (measured) =>
      readings(measured).filter(({ is, reading }) => is === 'stale' && reading.of.is === 'voice'),
    about: ({ reading: { of } }) => at({ deviceId: of.is === 'voice' ? of.soundId : '' }),
    judge: ({ reading: { of, on }, measured: dbfs, since }, { rig }) => {
      if (of.is !== 'voice') return null;
      const name = entry(rig.devices, of.soundId)?.name ?? of.soundId;
      return {
        level: 'note',
        title: `What was measured of ${name} no longer holds`,
        says:
          `${dbfs.toFixed(1).replace('-', '−')} dBFS were measured${on === null ? '' : ` on ${on}`}; ` +
          `since then ${since}. ` +
          'Record it again.',
      };
    },
    sums: ({ reading: { of } }, measured) => {
      if (of.is !== 'voice' || of.wayDb === null) return [];
      const now = wayDbAt(measured, of);
      return now === null
        ? []
        : [
            {
              label: 'The way makes more by',
              formula: 'way now − way when it was measured, each level − talker',
              inputs: [
                { name: 'way now', value: now, unit: 'dB' },
                { name: 'way then', value: of.wayDb, unit: 'dB' },
              ],
              result: now - of.wayDb,
              unit: 'dB',
              source: 'handbook 2-sound: level = speech + way',
            },
          ];
    },
    fixes: ({ id }) => [
      {
        label: 'Forget that measurement',
        command: { type: 'removeReading', readingId: id },
      },
    ],
  },
);
