import { stagesOf, type Thread } from '../../graph';
import { entry, inOrder, numberSetting } from '../../rig';
import { soundMps } from '../../units';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { distanceInRoom, eyesOf, type InRoom, stoodAt } from '../place';
import { loudspeakers } from '../room/loudspeakers';
import { type DelayKnob, wayOf } from './meetings';
import type { DelayStep } from './step';

/** What people in the room hear from loudspeakers, and see on screens, and when. Milliseconds. */

/** A voice as one loudspeaker brings it to one person. */
export interface Arrival {
  readonly personId: string;
  readonly loudspeakerId: string;
  readonly sourceId: string;
  /** On its way through devices; null where a step is not known */
  readonly wiredMs: number | null;
  readonly steps: readonly DelayStep[];
  readonly airM: number;
  readonly airMs: number;
  /** @unit dB SPL at the person */
  readonly spl: number;
  readonly knobs: readonly DelayKnob[];
  /** Delays of the devices themselves on the way, set by a control */
  readonly controls: readonly DelayControl[];
  /** From who speaks to the loudspeaker. @unit m; null where nobody has said where they are */
  readonly fromTalkerM: number | null;
}

/** A delay that a device has as a control of its own. */
export interface DelayControl {
  readonly deviceId: string;
  readonly control: string;
  /** @unit ms */
  readonly ms: number;
  readonly mostMs: number;
  readonly stepMs: number;
}

const controlsOf = (measured: Measured, { last }: Thread): DelayControl[] =>
  stagesOf(last).flatMap(({ via, at }) => {
    const delay = via.by === 'route' ? via.route.route.delay : null;
    if (!delay || !('control' in delay)) return [];
    const device = measured.device(at.device);
    const control = entry(device.model.controls, delay.control);
    const ms = numberSetting(device, delay.control);
    return control?.type === 'amount' && ms !== undefined
      ? [
          {
            deviceId: at.device.id,
            control: delay.control,
            ms,
            mostMs: control.max,
            stepMs: control.step,
          },
        ]
      : [];
  });

/** People in the room, by where their ears are. */
const listeners = ({ rig }: Measured): (readonly [id: string, at: InRoom])[] =>
  inOrder(rig.people).flatMap(([id, person]) => {
    const at = person.where === 'on site' ? eyesOf(person) : null;
    return at ? [[id, at] as const] : [];
  });

const wired = (steps: readonly DelayStep[]): number | null =>
  steps.some(({ ms }) => ms === null) ? null : steps.reduce((sum, { ms }) => sum + (ms ?? 0), 0);

/** Every voice from every loudspeaker that stands somewhere, at every person who does; never one's own voice. */
export const arrivals = pass('arrivals', (measured): readonly Arrival[] => {
  const mps = soundMps(measured.rig.room.temperatureC);
  const people = listeners(measured);
  return loudspeakers(measured).flatMap(({ node, at, splBySource }) =>
    [...splBySource].flatMap(([source, splAt1m]) => {
      const thread = measured.traced.threads.find(
        (one) => one.end === node && one.source === source && one.signal === 'sound',
      );
      if (!thread) return [];
      const { steps, knobs } = wayOf(measured, thread);
      const controls = controlsOf(measured, thread);
      const owner = measured.device(source.device).personId;
      const talker = owner === null ? undefined : entry(measured.rig.people, owner);
      const mouth = talker ? eyesOf(talker) : null;
      return people
        .filter(([personId]) => personId !== owner)
        .map(([personId, ears]): Arrival => {
          const airM = distanceInRoom(ears, at);
          return {
            personId,
            loudspeakerId: node.device.id,
            sourceId: source.device.id,
            wiredMs: wired(steps),
            steps,
            airM,
            airMs: (1000 * airM) / mps,
            spl: splAt1m - 20 * Math.log10(Math.max(airM, 0.1)),
            knobs,
            controls,
            fromTalkerM: mouth && distanceInRoom(mouth, at),
          };
        });
    }),
  );
});

/** A camera's picture on a screen in the room, beside the voice of whom it shows. */
export interface OnScreen {
  readonly screenId: string;
  readonly pictureMs: number | null;
  readonly steps: readonly DelayStep[];
  readonly cameraId: string;
  readonly heard: Arrival;
}

const isScreen = ({ signal, end, source }: Thread): boolean =>
  signal === 'picture' &&
  end.device.model.kind === 'display' &&
  source.device.model.kind !== 'player';

/** Every picture of somebody on a screen that stands somewhere, with what a loudspeaker says of the same person. */
export const onScreens = pass('on screens', (measured): readonly OnScreen[] => {
  const heardOf = new Map<string, Arrival[]>();
  for (const arrival of arrivals(measured)) {
    const owner = entry(measured.rig.devices, arrival.sourceId)?.personId;
    if (!owner) continue;
    const known = heardOf.get(owner);
    if (known) known.push(arrival);
    else heardOf.set(owner, [arrival]);
  }
  return measured.traced.threads.filter(isScreen).flatMap((thread) => {
    const owner = measured.device(thread.source.device).personId;
    if (owner === null || !stoodAt(measured, thread.end.device.id)) return [];
    const heard = heardOf.get(owner);
    if (!heard) return [];
    const { steps } = wayOf(measured, thread);
    return heard.map((arrival): OnScreen => ({
      screenId: thread.end.device.id,
      cameraId: thread.source.device.id,
      pictureMs: wired(steps),
      steps,
      heard: arrival,
    }));
  });
});
