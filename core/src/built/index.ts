import equal from 'fast-deep-equal';
import {
  type Built,
  type BuiltPart,
  cableNumbers,
  type Device,
  entry,
  type Found,
  type FoundCable,
  inOrder,
  keyOfFound,
  patchOrder,
  type Placed,
  portAt,
  type Rig,
  settingOf,
  settingProblem,
  settingText,
  type SimpleCommand,
  type Spot,
} from '../rig';
import { CABLES } from '../rig/links/cables';

/** The plan beside what was found on the real thing: what is so, what differs, what nobody has looked at. */

export type BuiltState = 'open' | 'so' | 'differs';

/** What somebody found, as text. */
export interface Ticked {
  readonly found: string;
  readonly by: string;
  /** UTC */
  readonly when: string;
}

export interface BuiltLine {
  readonly part: BuiltPart;
  readonly key: string;
  /** The device, or the device a cable comes from */
  readonly owner: string;
  readonly what: string;
  /** What the plan says; for a cable that left the plan, that it did */
  readonly plan: string;
  readonly state: BuiltState;
  readonly ticked: Ticked | null;
  /** What “is so” notes: the plan's own value */
  readonly toTick: Found;
  /** Makes the plan what was found; none where it cannot be, or nothing differs */
  readonly planFollows: readonly SimpleCommand[];
}

const figure2 = (value: number): string => value.toFixed(2).replace('-', '−');

const spotText = (spot: Spot | null): string =>
  spot === null
    ? 'not said'
    : `x ${figure2(spot.xM)} m, y ${figure2(spot.yM)} m, facing ${Math.round(spot.facingDeg)}°`;

const placedText = (rig: Rig, { at, heightM, on, aim }: Placed): string =>
  [
    ...(on
      ? [
          `on ${entry(rig.supports, on.supportId)?.name ?? on.supportId}, x ${figure2(on.xM)} m, ` +
            `y ${figure2(on.yM)} m, turned ${Math.round(on.turnDeg)}°`,
        ]
      : []),
    ...(at ? [spotText(at)] : []),
    ...(heightM === null ? [] : [`${figure2(heightM)} m high`]),
    ...(aim
      ? [`${Math.round(aim.bearingDeg)}° from the mouth, ${Math.round(aim.offAxisDeg)}° off axis`]
      : []),
  ].join(', ') || 'not said';

const endText = (rig: Rig, end: FoundCable['from']): string =>
  `${entry(rig.devices, end.deviceId)?.name ?? end.deviceId}, ${portAt(rig, end)?.name ?? end.portId}`;

const cableText = (rig: Rig, { from, to, cable }: FoundCable): string =>
  `${endText(rig, from)} → ${endText(rig, to)}, ${cable.lengthM} m ${CABLES[cable.kind].name}`;

/** A line, of the plan's value and the tick on it. */
const line = <Part extends BuiltPart>(
  of: {
    readonly part: Part;
    readonly owner: string;
    readonly what: string;
    readonly toTick: Found & { readonly part: Part };
    readonly text: (found: Built[Part][string]['found']) => string;
    readonly follow: (found: Built[Part][string]['found']) => SimpleCommand[];
  },
  built: Built,
): BuiltLine => {
  const { part, owner, what, toTick, text, follow } = of;
  const key = keyOfFound(toTick);
  const tick = entry<Built[Part][string]>(built[part] as Record<string, Built[Part][string]>, key);
  const planned = toTick.found as Built[Part][string]['found'];
  const isSo = tick !== undefined && equal(tick.found, planned);
  return {
    part,
    key,
    owner,
    what,
    plan: text(planned),
    state: tick === undefined ? 'open' : isSo ? 'so' : 'differs',
    ticked: tick ? { found: text(tick.found), by: tick.by, when: tick.when } : null,
    toTick,
    planFollows: tick === undefined || isSo ? [] : follow(tick.found),
  };
};

const settingLines = (rig: Rig, deviceId: string, device: Device): BuiltLine[] =>
  Object.entries(device.model.controls).map(([control, { label }]) =>
    line(
      {
        part: 'settings',
        owner: device.name,
        what: label,
        toTick: {
          part: 'settings',
          deviceId,
          control,
          found: settingOf(device, control) ?? 0,
        },
        text: (found) => settingText(device, control, found),
        follow: (value) =>
          settingProblem(device.model, control, value) === null
            ? [{ type: 'setControl', deviceId, control, value }]
            : [],
      },
      rig.built,
    ),
  );

const isPlaced = ({ at, on, aim }: Placed): boolean => at !== null || on !== null || aim !== null;

const placeLine = (rig: Rig, deviceId: string, device: Device): BuiltLine[] => {
  const { at, heightM, on, aim } = device;
  const found: Placed = { at, heightM, on, aim };
  if (!isPlaced(found) && !entry(rig.built.places, deviceId)) return [];
  return [
    line(
      {
        part: 'places',
        owner: device.name,
        what: 'Where it stands',
        toTick: { part: 'places', deviceId, found },
        text: (placed) => placedText(rig, placed),
        follow: (placed) =>
          placed.on && !entry(rig.supports, placed.on.supportId)
            ? []
            : [
                { type: 'placeDevice', deviceId, at: placed.at, aim: placed.aim },
                ...(placed.at === null
                  ? [{ type: 'standDevice' as const, deviceId, on: placed.on }]
                  : []),
                { type: 'raiseDevice', deviceId, heightM: placed.heightM },
              ],
      },
      rig.built,
    ),
  ];
};

const supportLines = (rig: Rig): BuiltLine[] =>
  inOrder(rig.supports).map(([supportId, { name, at }]) =>
    line(
      {
        part: 'supports',
        owner: name,
        what: 'Where it stands',
        toTick: { part: 'supports', supportId, found: at },
        text: spotText,
        follow: (spot) => [{ type: 'changeSupport', supportId, support: { at: spot } }],
      },
      rig.built,
    ),
  );

const follows = (linkId: string, found: FoundCable, planned: FoundCable): SimpleCommand[] =>
  equal([found.from, found.to], [planned.from, planned.to])
    ? [{ type: 'setCable', linkId, cable: found.cable }]
    : [
        { type: 'disconnect', linkId },
        { type: 'connect', linkId, ...found },
      ];

const cableLines = (rig: Rig): BuiltLine[] => {
  const numbers = cableNumbers(rig);
  return patchOrder(rig).flatMap(([linkId, { from, to, cable }]) => {
    const number = numbers.get(linkId);
    const found: FoundCable = { from, to, cable };
    return number === undefined
      ? []
      : [
          line(
            {
              part: 'cables',
              owner: entry(rig.devices, from.deviceId)?.name ?? from.deviceId,
              what: `Cable ${number}`,
              toTick: { part: 'cables', linkId, found },
              text: (one) => cableText(rig, one),
              follow: (one) => follows(linkId, one, found),
            },
            rig.built,
          ),
        ];
  });
};

/** Cables that somebody saw plugged and that the plan no longer has. */
const leftPlugged = (rig: Rig): BuiltLine[] =>
  Object.entries(rig.built.cables).flatMap(([linkId, { found, by, when }]) =>
    entry(rig.links, linkId)
      ? []
      : [
          {
            part: 'cables' as const,
            key: linkId,
            owner: entry(rig.devices, found.from.deviceId)?.name ?? found.from.deviceId,
            what: `Cable ${entry(rig.cableNumbers, linkId) ?? linkId}`,
            plan: 'not in the plan any more',
            state: 'differs' as const,
            ticked: { found: cableText(rig, found), by, when },
            toTick: { part: 'cables' as const, linkId, found },
            planFollows: [{ type: 'connect' as const, linkId, ...found }],
          },
        ],
  );

/** Everything that can be looked at: settings and places by device, what carries them, then every cable. */
export const builtLines = (rig: Rig): BuiltLine[] => [
  ...inOrder(rig.devices).flatMap(([deviceId, device]) => [
    ...settingLines(rig, deviceId, device),
    ...placeLine(rig, deviceId, device),
  ]),
  ...supportLines(rig),
  ...cableLines(rig),
  ...leftPlugged(rig),
];

/**
 * Makes what was found agree with the plan again: somebody has changed the real thing.
 * @returns a tick at the plan's value; for a cable that left the plan, the tick taken back
 */
export const builtFollows = (
  rig: Rig,
  { part, key, toTick }: BuiltLine,
  by: string,
  when: string,
): SimpleCommand =>
  part === 'cables' && !entry(rig.links, key)
    ? { type: 'untickBuilt', part, key }
    : { type: 'tickBuilt', found: toTick, by, when };
