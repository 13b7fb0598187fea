import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import {
  echoDistanceM,
  FARTHER_M,
  fartherFrom,
  ifItWere,
  type MicrophoneInRoom,
  type PickedUp,
  roomSound,
  withoutEcho,
} from '../../passes/room';
import { figure, type Sum } from '../../passes/sum';
import { choiceSetting, entry, PATTERNS } from '../../rig';
import { microphoneRule, setFix } from '../rule-of';
import { closerFix } from './in-room';

/** A change that is heard. @unit dB */
const HEARD_DB = 1;

const loudest = ({ noises }: MicrophoneInRoom): PickedUp | undefined =>
  [...noises].sort((a, b) => b.spl - a.spl)[0];

/** Another pattern that a switch on the microphone offers and that would be quieter. */
const otherPattern = (microphone: MicrophoneInRoom, measured: Measured): Fix[] => {
  const source = microphone.node.port.emits?.sound;
  if (source?.type !== 'microphone' || typeof source.pattern !== 'object') return [];
  const { id } = microphone.node.device;
  const device = measured.device(microphone.node.device);
  const control = entry(device.model.controls, source.pattern.control);
  const offered = control?.type === 'choice' ? control.options.map(({ value }) => value) : [];
  const [set, now] = [choiceSetting(device, source.pattern.control), microphone.overRoomDb ?? 0];
  const { control: controlId } = source.pattern;
  return PATTERNS.filter(
    (pattern) =>
      pattern !== set &&
      offered.includes(pattern) &&
      (ifItWere(measured, microphone, { pattern })?.overRoomDb ?? -Infinity) > now + HEARD_DB,
  ).map((pattern) => setFix(`Switch ${device.name} to ${pattern}`, id, controlId, pattern));
};

const switchedOff = (noiseId: string, name: string): Fix[] => [
  {
    label: `Switch ${name} off during the show`,
    command: { type: 'changeNoise', noiseId, noise: { runs: false } },
  },
];

/** A device that hums is put down somewhere else: so far away that it is no louder than the room. */
const elsewhere = (measured: Measured, { id, name }: PickedUp): Fix[] => {
  const device = entry(measured.rig.devices, id);
  return device
    ? [
        {
          label: `Take ${name} out of the room`,
          command: {
            type: 'batch',
            label: `Took ${name} out of the room.`,
            commands: [
              { type: 'placeDevice', deviceId: id, at: null, aim: device.aim },
              { type: 'standDevice', deviceId: id, on: null },
            ],
          },
        },
      ]
    : [];
};

/** The echo taken out of what a meter read in this room: at the capsule it is counted, and would be twice. */
const readInRoom = (measured: Measured, noiseId: string): Sum[] => {
  const noise = entry(measured.rig.noises, noiseId);
  if (noise?.reading !== 'in the room') return [];
  const room = roomSound(measured);
  const fromWallsM = echoDistanceM(room, 1);
  return [
    {
      label: `${noise.name}, straight at 1 m`,
      formula: 'read − 10·log10(1 + (1 m ÷ Dc)²)',
      inputs: [
        { name: 'read in the room', value: noise.dbaAt1m, unit: 'dB(A)' },
        { name: 'Dc', value: fromWallsM ?? 'room not known', unit: fromWallsM === null ? '' : 'm' },
      ],
      result: withoutEcho(noise.dbaAt1m, room),
      unit: 'dB(A)',
      source: 'handbook 2-sound, room',
    },
  ];
};

export const placedNoise = microphoneRule(
  'sound.placed-noise',
  {
    matters: ['voice over room', 'microphone in room'],
    looksFor:
      'A microphone that hears a fan, a kiln or another noise with a place too loud against its voice.',
    why: 'A steady noise is in every pause and under every word; taking it out afterwards takes the voice with it.',
    remedy:
      'Move it away, turn the microphone’s dull side to it, come closer, or switch it off during the show.',
    source: 'handbook 2-sound, room: a noise with a place counts by distance and angle',
  },
  {
    houseRule: 'voiceOverRoomDb',
    judge: (microphone, measured) => {
      const { houseRules } = measured.rig;
      const [noise, over] = [loudest(microphone), microphone.overRoomDb];
      // Where the room itself is the louder part, it is the room that is spoken of.
      if (
        !noise ||
        over === null ||
        over >= houseRules.voiceOverRoomDb ||
        noise.spl < (microphone.roomSpl ?? -Infinity)
      )
        return null;
      return {
        level: 'warn',
        title: `${noise.name} ${figure((microphone.ownSpl ?? 0) - noise.spl)} dB under the voice`,
        says:
          `${measured.device(microphone.node.device).name} hears ${noise.name} at ${figure(noise.spl)} ` +
          `dB(A) from ${figure(noise.distanceM, 2)} m, ${figure(Math.abs(noise.angleDeg), 0)}° ` +
          `off its axis; with all that sounds in the room its voice stands ${figure(over)} dB ` +
          `above. The house rule asks for ${figure(houseRules.voiceOverRoomDb, 0)} dB. Move it ` +
          'away, turn the dull side of the microphone to it, or come closer.',
      };
    },
    sums: (microphone, measured) => [
      ...microphone.noises.flatMap(({ id }) => readInRoom(measured, id)),
      ...microphone.noises.map((noise) => ({
        label: `${noise.name} at the capsule`,
        formula: 'straight: L(1 m) − 20·log10 d + pattern; with what the walls send',
        inputs: [
          { name: 'distance', value: noise.distanceM, unit: 'm' },
          { name: 'off the axis', value: Math.abs(noise.angleDeg), unit: '°' },
          { name: 'straight', value: noise.directSpl, unit: 'dB(A)' },
          {
            name: 'by the walls',
            value: noise.echoSpl ?? 'room not known',
            unit: noise.echoSpl === null ? '' : 'dB(A)',
          },
        ],
        result: noise.spl,
        unit: 'dB(A)',
        source: 'handbook 2-sound, room',
      })),
      {
        label: 'Voice over everything',
        formula: 'voice − power sum of room and noises',
        inputs: [
          { name: 'voice', value: microphone.ownSpl ?? 'unknown', unit: 'dB SPL' },
          { name: 'room', value: microphone.roomSpl ?? 'unknown', unit: 'dB(A)' },
          { name: 'together', value: microphone.noiseSpl ?? 'unknown', unit: 'dB(A)' },
        ],
        result: microphone.overRoomDb,
        unit: 'dB',
        source: 'handbook 2-sound, room',
      },
    ],
    fixes: (microphone, measured) => {
      const picked = loudest(microphone);
      if (!picked || !microphone.spot) return [];
      const noise = entry(measured.rig.noises, picked.id);
      const moved = ifItWere(measured, microphone, {
        farther: { noiseId: picked.id, byM: FARTHER_M },
      });
      const isHeard = (moved?.overRoomDb ?? -Infinity) > (microphone.overRoomDb ?? 0) + HEARD_DB;
      return [
        ...closerFix(
          measured,
          microphone,
          (there) => (there.overRoomDb ?? 0) >= measured.rig.houseRules.voiceOverRoomDb,
        ),
        ...otherPattern(microphone, measured),
        ...(isHeard && noise?.at
          ? [
              {
                label: `Move ${noise.name} ${FARTHER_M} m farther away`,
                command: {
                  type: 'changeNoise' as const,
                  noiseId: picked.id,
                  noise: { at: fartherFrom(microphone.spot, noise.at, FARTHER_M) },
                },
              },
            ]
          : []),
        ...(noise ? switchedOff(picked.id, noise.name) : elsewhere(measured, picked)),
      ];
    },
  },
);
