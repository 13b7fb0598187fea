import type { Model } from './model';
import type { Device } from './schema';

/** What may be read of a device, each apart from the others. */
export const ASPECTS = {
  name: 1,
  model: 2,
  person: 4,
  place: 8,
  /** Controls that stand at a number: gains and amounts */
  number: 16,
  switch: 32,
  choice: 64,
  rest: 128,
} as const;

/** @param aspects sum of `ASPECTS` @param controls which controls, as `controlBit` names them; -1 for all */
export type Notice = (index: number, aspects: number, controls: number) => void;

/**
 * One of 32 marks for a control. Two controls may share a mark: what is then computed anew need
 * not be, and never the other way round.
 */
export const controlBit = (controlId: string): number => {
  const { length } = controlId;
  const last = controlId.charCodeAt(length - 1);
  return 1 << ((length * 7 + last + (controlId.charCodeAt(length - 2) || 0) * 3) & 31);
};

/**
 * A device that tells what is read of it, and is one in every other way.
 * @param index position in the order of the rig's devices
 */
export class WatchedDevice implements Device {
  constructor(
    private readonly device: Device,
    private readonly index: number,
    private readonly notice: Notice,
  ) {}

  /** What a control stands at, and that it was this one that was asked for. */
  setting(controlId: string): Device['settings'][string] | undefined {
    const { settings, model } = this.device;
    const control = Object.hasOwn(model.controls, controlId)
      ? model.controls[controlId]
      : undefined;
    const aspect =
      control?.type === 'switch'
        ? ASPECTS.switch
        : control?.type === 'choice'
          ? ASPECTS.choice
          : ASPECTS.number;
    this.notice(this.index, aspect, controlBit(controlId));
    return (
      (Object.hasOwn(settings, controlId) ? settings[controlId] : undefined) ?? control?.initial
    );
  }

  get name(): string {
    this.notice(this.index, ASPECTS.name, 0);
    return this.device.name;
  }
  get model(): Model {
    this.notice(this.index, ASPECTS.model, 0);
    return this.device.model;
  }
  get settings(): Device['settings'] {
    this.notice(this.index, ASPECTS.number | ASPECTS.switch | ASPECTS.choice, -1);
    return this.device.settings;
  }
  get personId(): Device['personId'] {
    this.notice(this.index, ASPECTS.person, 0);
    return this.device.personId;
  }
  get at(): Device['at'] {
    this.notice(this.index, ASPECTS.place, 0);
    return this.device.at;
  }
  get aim(): Device['aim'] {
    this.notice(this.index, ASPECTS.place, 0);
    return this.device.aim;
  }
  get heightM(): Device['heightM'] {
    this.notice(this.index, ASPECTS.place, 0);
    return this.device.heightM;
  }
  get on(): Device['on'] {
    this.notice(this.index, ASPECTS.place, 0);
    return this.device.on;
  }
  get placeId(): Device['placeId'] {
    this.notice(this.index, ASPECTS.place, 0);
    return this.device.placeId;
  }
  get sightId(): Device['sightId'] {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.sightId;
  }
  get lensId(): Device['lensId'] {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.lensId;
  }
  get price(): Device['price'] {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.price;
  }
  get ownership(): Device['ownership'] {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.ownership;
  }
  get thingId(): Device['thingId'] {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.thingId;
  }
  get order(): number {
    this.notice(this.index, ASPECTS.rest, 0);
    return this.device.order;
  }
}

type Aspect = keyof typeof ASPECTS;

/** The aspect each field of a device belongs to, but its settings, which have three. */
const ASPECT_OF: Readonly<Record<Exclude<keyof Device, 'settings'>, Aspect>> = {
  name: 'name',
  model: 'model',
  personId: 'person',
  placeId: 'place',
  at: 'place',
  heightM: 'place',
  on: 'place',
  aim: 'place',
  sightId: 'rest',
  lensId: 'rest',
  price: 'rest',
  ownership: 'rest',
  thingId: 'rest',
  order: 'rest',
};
const PLAIN_FIELDS = Object.entries(ASPECT_OF) as readonly (readonly [
  keyof typeof ASPECT_OF,
  Aspect,
])[];

/** What an edit changed of a device. */
export interface DeviceChange {
  /** Sum of `ASPECTS` */
  readonly aspects: number;
  readonly controls: number;
}

const EVERYTHING: DeviceChange = { aspects: -1, controls: -1 };

/** What differs between two states of a device, in the terms in which its reading is noticed. */
export const deviceChange = (before: Device, after: Device): DeviceChange => {
  // Another model may have other controls, and every setting may stand elsewhere.
  if (before.model !== after.model) return EVERYTHING;
  let aspects = 0;
  let controls = 0;
  for (const [field, aspect] of PLAIN_FIELDS)
    if (before[field] !== after[field]) aspects |= ASPECTS[aspect];
  if (before.settings !== after.settings)
    for (const id of new Set([...Object.keys(before.settings), ...Object.keys(after.settings)])) {
      if (before.settings[id] === after.settings[id]) continue;
      const type = after.model.controls[id]?.type;
      aspects |=
        type === 'switch' ? ASPECTS.switch : type === 'choice' ? ASPECTS.choice : ASPECTS.number;
      controls |= controlBit(id);
    }
  return { aspects, controls };
};
