import type { DeviceNode } from '../../graph';
import { type DriveLoad, driveLoads } from '../../passes/computer/lines';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { type Meeting, meetings, type Pair } from '../../passes/time';
import { inOrder } from '../../rig';
import { framesPerSecond } from '../../units';
import { at } from '../about';
import { eachTimeRule } from '../rule-of';
import { inMs, nameOf, sourcesText } from './words';

/** Recordings that must be brought together afterwards, and measurements too rough to go by. */

/** Two clocks of recorders are usually no farther apart. @source handbook 4: 108 ms over 90 minutes = 20 ppm */
const USUAL_PPM = 20;

/** A machine that records pictures, and another that records voices for them. */
interface Apart {
  readonly pictures: DriveLoad;
  readonly voices: DriveLoad;
}

/** Machines that record pictures without the voices another one records. */
const apart = (measured: Measured): readonly Apart[] => {
  const loads = driveLoads(measured);
  const voices = loads.find(({ files }) => files.some(({ isSound }) => isSound));
  return voices
    ? loads.flatMap((pictures) =>
        pictures !== voices &&
        pictures.files.some(({ isSound }) => !isSound) &&
        pictures.files.every(({ isSound }) => !isSound)
          ? [{ pictures, voices }]
          : [],
      )
    : [];
};

const lengthMin = ({ rig }: Measured): number => rig.brief?.lengthMin ?? 0;

/** @unit ms */
const driftMs = (minutes: number): number => (minutes * 60_000 * USUAL_PPM) / 1e6;

const about = ({ pictures }: Apart) => at({ deviceId: pictures.node.id });

export const clocksDrift = eachTimeRule<Apart>(
  'time.clocks-drift',
  {
    looksFor:
      'Pictures recorded by one machine and voices by another, for longer than their clocks stay together.',
    why: 'What fits at the beginning is out at the end: 20 ppm are 108 ms over 90 minutes.',
    remedy:
      'Clap at the beginning and at the end, and measure both recordings: the drift is then known.',
    source: 'handbook 4-time-storage: drift in ppm',
  },
  {
    all: apart,
    about,
    judge: ({ pictures, voices }, measured) => {
      const drift = driftMs(lengthMin(measured));
      return drift > measured.rig.timeRules.earlyMs
        ? {
            level: 'note',
            title: `Clocks may drift ${inMs(drift)} apart`,
            says:
              `${nameOf(measured, pictures.node.id)} and ${nameOf(measured, voices.node.id)} each keep time by ` +
              `themselves: ${USUAL_PPM} ppm, which is usual, are ${inMs(drift)} over ` +
              `${figure(lengthMin(measured), 0)} min. Clap at the beginning and at the end.`,
          }
        : null;
    },
    sums: (_, measured) => [
      {
        label: 'Drift at the end',
        formula: 'length × ppm ÷ 10⁶',
        inputs: [
          { name: 'length', value: lengthMin(measured), unit: 'min' },
          { name: 'clocks apart', value: USUAL_PPM, unit: 'ppm' },
        ],
        result: driftMs(lengthMin(measured)),
        unit: 'ms',
        source: 'handbook 4-time-storage',
      },
    ],
  },
);

/** Whether any sound reaches what a machine records. */
const hears = ({ traced }: Measured, machine: DeviceNode): boolean =>
  traced.threads.some(
    ({ signal, end, last }) =>
      signal === 'sound' &&
      (end.device === machine || last.parent?.at.device === machine) &&
      end.port.ends?.picture !== undefined,
  );

/** Frames a second of the first picture that a machine records; null where none is known. */
const rateAt = ({ traced, picture }: Measured, machine: DeviceNode): number | null => {
  const thread = traced.threads.find(
    ({ signal, end }) => signal === 'picture' && end.device === machine,
  );
  const format = thread && picture[thread.last.index]?.format;
  return format ? framesPerSecond(format) : null;
};

export const silentRecording = eachTimeRule<Apart>(
  'time.silent-recording',
  {
    looksFor: 'Pictures recorded by one machine without any sound, and the voices by another.',
    why: 'Nothing in the two can be laid over each other: they are brought together by eye.',
    remedy: 'Let it hear anything that the other hears, and clap.',
    source: 'handbook 4-time-storage: clap or slate in two or more recordings',
  },
  {
    all: (measured) => apart(measured).filter(({ pictures }) => !hears(measured, pictures.node)),
    about,
    judge: ({ pictures, voices }, measured) => ({
      level: 'note',
      title: `${nameOf(measured, pictures.node.id)} records no sound`,
      says:
        `${nameOf(measured, pictures.node.id)} records pictures without sound, and the voices are recorded by ` +
        `${nameOf(measured, voices.node.id)}: no clap is in both. Lead any sound of the room to it.`,
    }),
    sums: ({ pictures }, measured) => {
      const fps = rateAt(measured, pictures.node);
      return fps === null
        ? []
        : [
            {
              label: 'By eye no nearer than',
              formula: 'frame ÷ 2',
              inputs: [{ name: 'frame', value: 1000 / fps, unit: 'ms' }],
              result: 500 / fps,
              unit: 'ms',
              source: 'handbook 4-time-storage: a frame is 1000 ÷ rate',
            },
          ];
    },
  },
);

/** A measurement is no better than this share of what the house lets be. */
const ROUGH_SHARE = 0.2;

const rough = ({ pairs }: Meeting, limitMs: number): Pair | undefined =>
  pairs.find(({ measured }) => measured !== null && measured.spreadMs > limitMs);

const limitOf = ({ rig }: Measured): number =>
  ROUGH_SHARE * (rig.timeRules.earlyMs + rig.timeRules.lateMs);

export const measuredRough = eachTimeRule<Meeting>(
  'time.measured-rough',
  {
    looksFor:
      'Measurements that are used and are unsure by more than a fifth of what the house lets be.',
    why: 'What is set by it may be out by as much.',
    remedy: 'Film the page that flashes for half a minute: twenty flashes are sure to 2 ms.',
    source: 'handbook 4-time-storage: ±2 ms over 20 flashes',
  },
  {
    all: meetings,
    about: ({ placeId }) => at({ deviceId: placeId }),
    judge: (meeting, measured) => {
      const pair = rough(meeting, limitOf(measured));
      return pair?.measured
        ? {
            level: 'note',
            title: `Measured to no better than ${inMs(pair.measured.spreadMs)} at ${nameOf(measured, meeting.placeId)}`,
            says:
              `${sourcesText(measured, pair.sound)} beside ${sourcesText(measured, pair.picture)} was measured to ` +
              `± ${inMs(pair.measured.spreadMs)}; ${inMs(limitOf(measured))} would do. Measure it again, over more ` +
              'flashes.',
          }
        : null;
    },
    sums: (meeting, measured) => {
      const pair = rough(meeting, limitOf(measured));
      return pair?.measured
        ? [
            {
              label: 'Unsure by more than it may be',
              formula: 'spread − (early + late) ÷ 5',
              inputs: [
                { name: 'spread', value: pair.measured.spreadMs, unit: 'ms' },
                { name: 'early', value: measured.rig.timeRules.earlyMs, unit: 'ms' },
                { name: 'late', value: measured.rig.timeRules.lateMs, unit: 'ms' },
              ],
              result: pair.measured.spreadMs - limitOf(measured),
              unit: 'ms',
              source: 'handbook 4-time-storage',
            },
          ]
        : [];
    },
    fixes: (meeting, measured) => {
      const of = rough(meeting, limitOf(measured))?.measured;
      const [offsetId] = inOrder(measured.rig.offsets).find(([, offset]) => offset === of) ?? [];
      return offsetId === undefined
        ? []
        : [{ label: 'Forget that measurement', command: { type: 'removeOffset', offsetId } }];
    },
  },
);
