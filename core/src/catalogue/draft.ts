import { type CableId, classById } from '.';
import { apply } from '../rig/apply';
import type { SimpleCommand } from '../rig/commands';
import type { ControlValue } from '../rig/devices/model';
import type { Lens } from '../rig/lenses/schema';
import { USUAL_LENSES } from '../rig/lenses/usual';
import type { Lamp, LampAim } from '../rig/light/schema';
import { usualModifier } from '../rig/light/usual';
import { mate, portAt } from '../rig/links/mating';
import type { End } from '../rig/links/schema';
import { type Person, USUAL_PERSON } from '../rig/people/schema';
import { type Box, type ShotPlan, USUAL_SHOT } from '../rig/programme/schema';
import { blankRig, type Rig } from '../rig/rig';
import { supportFiguresSchema } from '../rig/supports/schema';
import { usualSupport } from '../rig/supports/usual';

interface DraftDevice {
  readonly name?: string;
  readonly person?: string;
  readonly place?: string;
  readonly sight?: string;
  readonly settings?: Readonly<Record<string, ControlValue>>;
}

interface DraftSupport {
  readonly name?: string;
  readonly onId?: string;
  readonly figures?: object;
}

const endOf = (text: string): End => {
  const [deviceId = '', portId = ''] = text.split('.');
  return { deviceId, portId };
};

/**
 * Writes a rig in code, through the same commands as everyone else, so a draft that could not be
 * built by hand cannot be built here.
 * Used by starting points, the demo, tests and benchmarks. @throws Refusal, RangeError
 */
export class RigDraft {
  private rig: Rig;

  constructor(name: string, begin?: Rig) {
    this.rig = begin ?? blankRig(name);
  }

  do(command: SimpleCommand): this {
    this.rig = apply(this.rig, command);
    return this;
  }

  /** @param speechDbSpl dB SPL at 1 m @param crestDb dB */
  person(personId: string, name: string, more: Partial<Omit<Person, 'name' | 'order'>> = {}): this {
    return this.do({ type: 'addPerson', personId, person: { name, ...USUAL_PERSON, ...more } });
  }

  place(placeId: string, name: string): this {
    return this.do({ type: 'addPlace', placeId, place: { name } });
  }

  device(
    deviceId: string,
    classId: string,
    { name, person = undefined, place = undefined, sight, settings = {} }: DraftDevice = {},
  ): this {
    const model = classById(classId);
    this.do({
      type: 'addDevice',
      deviceId,
      name: name ?? model.name,
      model,
      settings: { ...settings },
      personId: person ?? null,
      placeId: place ?? null,
    });
    return sight === undefined ? this : this.do({ type: 'showSight', deviceId, sightId: sight });
  }

  /** Joins `device.port` to `device.port` with the cable offered first, or the one named. @param lengthM m */
  link(from: string, to: string, lengthM = 2, kind?: CableId): this {
    const [a, b] = [endOf(from), endOf(to)];
    const [portA, portB] = [portAt(this.rig, a), portAt(this.rig, b)];
    const mating = portA && portB ? mate(portA, portB) : undefined;
    const first = mating?.can ? mating.cables[0] : undefined;
    const linkId = `${a.deviceId}-${a.portId}-to-${b.deviceId}`.slice(0, 48).replace(/-+$/, '');
    return this.do({
      type: 'connect',
      linkId,
      from: a,
      to: b,
      cable: { kind: kind ?? first ?? 'balanced', lengthM: first === 'inside' ? 0 : lengthM },
    });
  }

  /** Something of the usual kind that carries things. @param at x and y in m, and where it faces */
  support(
    supportId: string,
    usual: string,
    at: readonly [xM: number, yM: number, facingDeg: number] | null,
    { name, onId, figures = {} }: DraftSupport = {},
  ): this {
    const of = usualSupport(usual);
    return this.do({
      type: 'addSupport',
      supportId,
      support: {
        name: name ?? of.name,
        at: at && { xM: at[0], yM: at[1], facingDeg: at[2] },
        onId: onId ?? null,
        figures: supportFiguresSchema.parse({ ...of.figures, ...figures }),
      },
    });
  }

  /** Stands a device on a support. @param xM to its right @param yM ahead @param upM over its surface */
  stand(deviceId: string, supportId: string, xM = 0, yM = 0, turnDeg = 0, upM = 0): this {
    return this.do({ type: 'standDevice', deviceId, on: { supportId, xM, yM, turnDeg, upM } });
  }

  /** Adds a usual lens, by its name, and puts it on a camera. */
  lens(
    lensId: string,
    usual: string,
    onto: string | null,
    more: Partial<Omit<Lens, 'order'>> = {},
  ): this {
    const of = USUAL_LENSES.find(({ name }) => name === usual);
    if (!of) throw new RangeError(`there is no usual lens "${usual}"`);
    this.do({ type: 'addLens', lensId, lens: { ...of, ...more } });
    return onto === null ? this : this.do({ type: 'mountLens', deviceId: onto, lensId });
  }

  /** Points a lamp, and says what it wears. @param modifier a usual one by its name */
  lamp(
    deviceId: string,
    aim: LampAim,
    modifier: string | null = null,
    answers: Lamp['answers'] = null,
  ): this {
    return this.do({
      type: 'hangLamp',
      deviceId,
      lamp: { aim, modifier: modifier === null ? null : usualModifier(modifier), answers },
    });
  }

  /** A setting worth repeating, of a device, or of the room. */
  reminder(reminderId: string, deviceId: string | null, what: string, value: string): this {
    return this.do({
      type: 'addReminder',
      reminderId,
      reminder: { deviceId, personId: null, what, value },
    });
  }

  /** Plans a camera's shot. @param distanceM lens to subject */
  shot(deviceId: string, more: Partial<Omit<ShotPlan, 'deviceId' | 'order'>>): this {
    return this.do({
      type: 'addShot',
      shotId: deviceId,
      shot: { ...USUAL_SHOT, deviceId, ...more },
    });
  }

  /** A scene of layers from the back to the front, and the button that calls it up. */
  scene(
    sceneId: string,
    name: string,
    layers: readonly (readonly [deviceId: string, box: Box])[],
    heard: readonly string[] | null = null,
  ): this {
    this.do({
      type: 'addScene',
      sceneId,
      scene: {
        name,
        layers: layers.map(([deviceId, box]) => ({ deviceId, box })),
        heard: heard === null ? null : [...heard],
        selects: [],
      },
    });
    return this.do({
      type: 'addButton',
      buttonId: `to-${sceneId}`,
      button: { label: name, does: { type: 'scene', sceneId }, guard: 'none', handId: null },
    });
  }

  build(): Rig {
    return this.rig;
  }
}
