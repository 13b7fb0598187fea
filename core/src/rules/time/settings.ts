import { delayRange, type DelayRange } from '../../catalogue/delays';
import { type Arriving, type Meeting, meetings } from '../../passes/time';
import type { Measured } from '../../passes/measured';
import { entry, type SetDelay, type SimpleCommand } from '../../rig';
import { at } from '../about';
import { batchFix, eachTimeRule } from '../rule-of';
import { inMs, nameOf } from './words';

/** Delays that are set where nothing can be, by too much, between two steps, for nothing, or on both sides. */

/** The delays of one socket. */
interface AtSocket {
  readonly deviceId: string;
  readonly portId: string;
  readonly sets: readonly SetDelay[];
}

const sockets = ({ rig }: Measured): AtSocket[] =>
  Object.entries(rig.delays).flatMap(([deviceId, sets]) =>
    [...new Set(sets.map(({ portId }) => portId))].map((portId) => ({
      deviceId,
      portId,
      sets: sets.filter((set) => set.portId === portId),
    })),
  );

const about = ({ deviceId, portId }: AtSocket) => at({ deviceId, portId });

const rangeAt = ({ rig }: Measured, { deviceId }: AtSocket, set: SetDelay): DelayRange | null => {
  const model = entry(rig.devices, deviceId)?.model;
  const port = model && entry(model.ports, set.portId);
  return model && port ? delayRange(model, port, set.signal) : null;
};

const whereText = (measured: Measured, { deviceId, portId }: AtSocket): string => {
  const name = nameOf(measured, deviceId);
  const port = entry(entry(measured.rig.devices, deviceId)?.model.ports ?? {}, portId)?.name;
  return `${port ?? portId} of ${name}`;
};

const setTo = ({ deviceId }: AtSocket, set: SetDelay, ms: number | null): SimpleCommand => ({
  type: 'setDelay',
  deviceId,
  portId: set.portId,
  signal: set.signal,
  ms: ms !== null && ms > 0 ? ms : null,
});

const beyond = (measured: Measured, socket: AtSocket): SetDelay | undefined =>
  socket.sets.find((set) => set.ms > (rangeAt(measured, socket, set)?.mostMs ?? 0) + 1e-9);

export const outOfRange = eachTimeRule<AtSocket>(
  'time.out-of-range',
  {
    looksFor: 'Delays that are set where the class has none, or beyond what it can hold back.',
    why: 'The plan counts on a delay that will not be there.',
    remedy: 'Set what it can, and the rest elsewhere on the way.',
    source: 'typical of the classes',
  },
  {
    all: sockets,
    about,
    judge: (socket, measured) => {
      const set = beyond(measured, socket);
      if (!set) return null;
      const mostMs = rangeAt(measured, socket, set)?.mostMs;
      return {
        level: 'warn',
        title:
          mostMs === undefined
            ? `${nameOf(measured, socket.deviceId)} cannot delay ${set.signal} there`
            : `${inMs(set.ms)} of at most ${inMs(mostMs)}`,
        says:
          `${inMs(set.ms)} are to be held back at ${whereText(measured, socket)}` +
          (mostMs === undefined
            ? ', where devices of its class have no such setting. '
            : `, which holds back ${inMs(mostMs)} at most. `) +
          'Set the rest elsewhere on the way.',
      };
    },
    sums: (socket, measured) => {
      const set = beyond(measured, socket);
      const mostMs = set ? (rangeAt(measured, socket, set)?.mostMs ?? 0) : 0;
      return set
        ? [
            {
              label: 'More than it can',
              formula: 'set − most',
              inputs: [
                { name: 'set', value: set.ms, unit: 'ms' },
                { name: 'most', value: mostMs, unit: 'ms' },
              ],
              result: set.ms - mostMs,
              unit: 'ms',
              source: 'typical of the classes',
            },
          ]
        : [];
    },
    fixes: (socket, measured) => {
      const set = beyond(measured, socket);
      if (!set) return [];
      const mostMs = rangeAt(measured, socket, set)?.mostMs ?? null;
      return [
        {
          label: mostMs === null ? 'Take it off' : `Set it to ${inMs(mostMs)}`,
          command: setTo(socket, set, mostMs),
        },
      ];
    },
  },
);

/** A delay nearer to a step than this stands on it. @unit steps */
const ON_STEP = 1e-6;

const between = (
  measured: Measured,
  socket: AtSocket,
): { readonly set: SetDelay; readonly stepMs: number } | undefined =>
  socket.sets.flatMap((set) => {
    const stepMs = rangeAt(measured, socket, set)?.stepMs;
    if (stepMs === undefined) return [];
    const steps = set.ms / stepMs;
    return Math.abs(steps - Math.round(steps)) > ON_STEP ? [{ set, stepMs }] : [];
  })[0];

export const offStep = eachTimeRule<AtSocket>(
  'time.off-step',
  {
    looksFor: 'Delays between two steps of what the class can be set to.',
    why: 'What is set in truth is another figure than the plan’s.',
    remedy: 'Set the nearest step.',
    source: 'typical of the classes',
  },
  {
    all: sockets,
    about,
    judge: (socket, measured) => {
      const found = between(measured, socket);
      return found
        ? {
            level: 'note',
            title: `${Number(found.set.ms.toFixed(3))} ms in steps of ${found.stepMs} ms`,
            says:
              `${whereText(measured, socket)} is set in steps of ${found.stepMs} ms; ` +
              `${Number(found.set.ms.toFixed(3))} ms lie between two of them.`,
          }
        : null;
    },
    sums: (socket, measured) => {
      const found = between(measured, socket);
      return found
        ? [
            {
              label: 'Steps',
              formula: 'set ÷ step',
              inputs: [
                { name: 'set', value: found.set.ms, unit: 'ms' },
                { name: 'step', value: found.stepMs, unit: 'ms' },
              ],
              result: found.set.ms / found.stepMs,
              unit: '',
              source: 'typical of the classes',
            },
          ]
        : [];
    },
    fixes: (socket, measured) => {
      const found = between(measured, socket);
      if (!found) return [];
      const ms = Number((Math.round(found.set.ms / found.stepMs) * found.stepMs).toFixed(6));
      return [{ label: `Set it to ${ms} ms`, command: setTo(socket, found.set, ms) }];
    },
  },
);

const idle = (measured: Measured, { deviceId, sets }: AtSocket): SetDelay | undefined =>
  sets.find(
    ({ portId, signal }) =>
      !measured.traced.stages.some(
        ({ at: node, signal: carried }) =>
          carried === signal && node.id === portId && node.device.id === deviceId,
      ),
  );

export const delayIdle = eachTimeRule<AtSocket>(
  'time.delay-idle',
  {
    looksFor: 'Delays at sockets that nothing of their kind goes through.',
    why: 'Whoever set it believes that something is delayed.',
    remedy: 'Take it off, or connect what it was meant for.',
    source: 'the rig itself',
  },
  {
    all: sockets,
    about,
    judge: (socket, measured) => {
      const set = idle(measured, socket);
      return set
        ? {
            level: 'note',
            title: `A delay of ${set.signal} that nothing goes through`,
            says:
              `${whereText(measured, socket)} holds ${set.signal} back by ${inMs(set.ms)}, and no ${set.signal} goes ` +
              'through it.',
          }
        : null;
    },
    fixes: (socket, measured) => {
      const set = idle(measured, socket);
      return set ? [{ label: 'Take it off', command: setTo(socket, set, null) }] : [];
    },
  },
);

const heldBy = ({ steps }: Arriving): number =>
  steps.reduce((total, { by, ms }) => total + (by === 'set' ? (ms ?? 0) : 0), 0);

const heldTwice = ({ pairs }: Meeting) =>
  pairs.find(({ sound, picture }) => heldBy(sound) > 0 && heldBy(picture) > 0);

export const bothHeld = eachTimeRule<Meeting>(
  'time.both-held',
  {
    looksFor: 'Places where both the sound and its picture are held back.',
    why: 'What both are held back by makes everything later and brings them no nearer.',
    remedy: 'Take the smaller of the two off both.',
    source: 'handbook 4-time-storage: offset = sound − picture',
  },
  {
    all: meetings,
    about: ({ placeId }) => at({ deviceId: placeId }),
    judge: (meeting, measured) => {
      const pair = heldTwice(meeting);
      return pair
        ? {
            level: 'note',
            title: `Sound and picture are both held back for ${nameOf(measured, meeting.placeId)}`,
            says:
              `Sound is held back by ${inMs(heldBy(pair.sound))} and picture by ${inMs(heldBy(pair.picture))}: ` +
              `${inMs(Math.min(heldBy(pair.sound), heldBy(pair.picture)))} of both do nothing but come later.`,
          }
        : null;
    },
    sums: (meeting) => {
      const pair = heldTwice(meeting);
      return pair
        ? [
            {
              label: 'For nothing',
              formula: 'min(sound, picture)',
              inputs: [
                { name: 'sound', value: heldBy(pair.sound), unit: 'ms' },
                { name: 'picture', value: heldBy(pair.picture), unit: 'ms' },
              ],
              result: Math.min(heldBy(pair.sound), heldBy(pair.picture)),
              unit: 'ms',
              source: 'handbook 4-time-storage',
            },
          ]
        : [];
    },
    fixes: (meeting) => {
      const pair = heldTwice(meeting);
      if (!pair) return [];
      const [less] = [pair.sound, pair.picture].sort((a, b) => heldBy(a) - heldBy(b));
      const lessMs = less ? heldBy(less) : 0;
      const holding = [pair.sound, pair.picture].map(({ knobs }) =>
        knobs.find(({ ms }) => ms >= lessMs - 1e-9),
      );
      const commands = holding.flatMap((knob): SimpleCommand[] =>
        knob
          ? [
              {
                type: 'setDelay',
                deviceId: knob.deviceId,
                portId: knob.portId,
                signal: knob.signal,
                ms: knob.ms - lessMs > 1e-9 ? Number((knob.ms - lessMs).toFixed(6)) : null,
              },
            ]
          : [],
      );
      return commands.length === 2 ? [batchFix(`Take ${inMs(lessMs)} off both`, commands)] : [];
    },
  },
);
