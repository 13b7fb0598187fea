import { isOpen, stagesOf, type Stage, type Thread } from '../graph';
import type { Measured } from '../passes/measured';
import { entry } from '../rig';
import type { Fix } from './fix';
import type { Attempt } from './plugging';

/** Switches on the way of sound, as edits that close them where nobody is missed, and open them. */

/** A switch of a device that lets sound through. */
interface Gate {
  readonly deviceId: string;
  readonly control: string;
}

const gateAt = (stage: Stage): Gate | null => {
  if (stage.via.by !== 'route') return null;
  const { when } = stage.via.route.route;
  return when?.is === true ? { deviceId: stage.at.device.id, control: when.control } : null;
};

const isSame = (one: Gate, other: Gate): boolean =>
  one.deviceId === other.deviceId && one.control === other.control;

const passes = ({ last }: Thread, gate: Gate): boolean =>
  stagesOf(last).some((stage) => {
    const other = gateAt(stage);
    return other !== null && isSame(other, gate);
  });

/** Whether everything that is heard through a switch comes to the same end by another way too. */
const missesNobody = (sounds: readonly Thread[], gate: Gate): boolean => {
  const through = new Set(sounds.filter((thread) => passes(thread, gate)));
  return [...through].every(({ source, end }) =>
    sounds.some(
      (other) => !through.has(other) && other.source === source && other.end.device === end.device,
    ),
  );
};

const soundsOf = ({ traced }: Measured): Thread[] =>
  traced.threads.filter(({ signal }) => signal === 'sound');

/** Every switch on the way of these, each once. */
export const gatesOn = (threads: readonly Thread[]): Gate[] => {
  const gates: Gate[] = [];
  for (const stage of threads.flatMap(({ last }) => stagesOf(last))) {
    const gate = gateAt(stage);
    if (gate && !gates.some((known) => isSame(known, gate))) gates.push(gate);
  }
  return gates;
};

/** Closes those switches through which nothing is heard that is not heard by another way at the same end. */
export const closeGates = (measured: Measured, gates: readonly Gate[]): Fix[] =>
  gates
    .filter((gate) => missesNobody(soundsOf(measured), gate))
    .map(({ deviceId, control }) => {
      const { name, model } = measured.device({ id: deviceId });
      return {
        label: `Turn off “${entry(model.controls, control)?.label ?? control}” at ${name}`,
        command: { type: 'setControl', deviceId, control, value: false },
      };
    });

/** Takes one of the ways of a sound to a place out of it, where all that goes the same way comes by another. */
export const closeOneWay = (measured: Measured, sourceId: string, placeId: string): Fix[] =>
  closeGates(
    measured,
    gatesOn(
      soundsOf(measured).filter(
        ({ source, end }) => source.device.id === sourceId && end.device.id === placeId,
      ),
    ),
  );

/** Every switch that is off and would let something through, turned on: as edits to be tried. */
export const openGates = (measured: Measured): Attempt[] =>
  [...measured.graph.devices.values()].flatMap(({ id, model }) => {
    const device = measured.device({ id });
    const controls = new Set(
      Object.values(model.routes).flatMap((route) =>
        route.sound && route.when?.is === true && !isOpen(device, route)
          ? [route.when.control]
          : [],
      ),
    );
    return [...controls].map((control): Attempt => ({
      label: `Turn on “${entry(model.controls, control)?.label ?? control}” at ${device.name}`,
      kind: 'gate',
      commands: [{ type: 'setControl', deviceId: id, control, value: true }],
    }));
  });
