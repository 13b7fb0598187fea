import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import {
  type BuiltRoom,
  builtRoom,
  microphonesInRoom,
  roomSound,
  treatmentFor,
  treatmentNeeded,
} from '../../passes/room';
import { middleSums } from '../../passes/room/sums';
import { figure, type Sum } from '../../passes/sum';
import { finish, type Finish, type SimpleCommand, type Surface } from '../../rig';
import { THE_RIG } from '../about';
import { wouldBoom } from './boom';
import { batchFix, placeRule } from '../rule-of';
import { addSurface, computeTime, inBuiltRoom, NOTICED, rightS, seconds } from './room';

/** So much longer than is right, and it is plain to hear. */
const PLAIN = 2;
/** What is hung, the plainer first; off the wall where the room would boom with it. */
const PANEL = finish('Panel of mineral wool, 100 mm');
const PANELS = [
  { kind: PANEL, says: 'panels of mineral wool, 100 mm' },
  {
    kind: finish('Panel of mineral wool, 100 mm, 100 mm off the wall'),
    says: 'panels of mineral wool, 100 mm, 100 mm off the wall',
  },
];

type Panel = Omit<Surface, 'order'>;

/** Panels of a kind that bring a room to its target: on the walls as far as they go, then under the ceiling. */
const panelsOf = (kind: Finish, built: BuiltRoom, target: number): readonly Panel[] | null => {
  const panels: Panel[] = [];
  for (const covers of ['walls', 'ceiling'] as const) {
    const besides = panels.map(asSurface);
    const { areaM2, isEnough } = treatmentNeeded(built, { ...kind, covers }, target, besides);
    if (areaM2 > 0) panels.push({ ...kind, covers, areaM2 });
    if (isEnough) return panels;
  }
  return null;
};

const asSurface = (panel: Panel): Surface => ({ ...panel, order: 0 });

/** The plainest panels with which the room does not boom, and what they are called. */
const panelsFor = (
  built: BuiltRoom,
  target: number,
): { readonly panels: readonly Panel[]; readonly says: string } | null => {
  for (const { kind, says } of PANELS) {
    const panels = panelsOf(kind, built, target);
    const isBoxed =
      panels !== null &&
      !wouldBoom(built, built.surfaces) &&
      wouldBoom(built, [...built.surfaces, ...panels.map(asSurface)]);
    if (panels !== null && !isBoxed) return { panels, says };
  }
  return null;
};

const where = { walls: 'on the walls', ceiling: 'under the ceiling' } as const;

const fixes = (measured: Measured): Fix[] => {
  const built = builtRoom(measured);
  const hung = built && panelsFor(built, rightS(measured, built));
  if (!hung || hung.panels.length === 0) return [];
  const { panels, says } = hung;
  const commands: SimpleCommand[] = [];
  for (const panel of panels)
    commands.push(
      addSurface(
        measured,
        panel,
        commands.flatMap((command) => (command.type === 'addSurface' ? [command.surfaceId] : [])),
      ),
    );
  const said = panels
    .map(
      ({ areaM2, covers }) =>
        `${figure(areaM2)} m² ${covers === 'ceiling' ? where.ceiling : where.walls}`,
    )
    .join(' and ');
  return [batchFix(`Hang ${says}: ${said}`, [...commands, ...computeTime(measured)])];
};

/** By how much the room rings too long, as it was typed or as its surfaces tell. */
const overSum = (measured: Measured, built: BuiltRoom): Sum => {
  const { rt60S } = roomSound(measured);
  const target = rightS(measured, built);
  const isDead = measured.rig.houseRules.room === 'dead';
  return {
    label: 'Rings longer than is right',
    formula: isDead ? 'T ÷ (0.25·(V ÷ 100)^⅓)' : 'T ÷ the larger of 0.4 s and 0.32·lg V − 0.17',
    inputs: [
      {
        name: measured.rig.room.rt60S === null ? 'T of the surfaces' : 'T as typed',
        value: rt60S ?? 'unknown',
        unit: 's',
      },
      { name: 'V', value: built.volumeM3, unit: 'm³' },
      { name: 'right', value: target, unit: 's' },
    ],
    result: rt60S === null ? null : rt60S / target,
    unit: '×',
    source: isDead ? 'EBU Tech 3276' : 'handbook 5-room-desk-power; DIN 18041, group A3',
  };
};

/** What it takes by the relation alone, at 1 kHz, on the walls. */
const treatmentSum = (measured: Measured, built: BuiltRoom): Sum[] => {
  const band = built.bands[3];
  const [better, covered] = [PANEL.absorption[3], built.shell.walls.absorption[3]];
  const target = rightS(measured, built);
  const treatment =
    band &&
    treatmentFor(
      built.volumeM3,
      built.surfaceM2,
      band.absorptionM2 + band.airM2,
      target,
      better,
      covered,
    );
  return treatment
    ? [
        {
          label: 'Panels needed at 1 kHz',
          formula:
            treatment.relation === 'Eyring'
              ? '(S·(1 − e^(−0.161·V ÷ (S·T))) − A) ÷ (panel − wall)'
              : '(0.161·V ÷ T − A) ÷ (panel − wall)',
          inputs: [
            { name: 'V', value: built.volumeM3, unit: 'm³' },
            { name: 'S', value: built.surfaceM2, unit: 'm²' },
            { name: 'T', value: target, unit: 's' },
            {
              name: band.airM2 > 0 ? 'A with air' : 'A',
              value: band.absorptionM2 + band.airM2,
              unit: 'm²',
            },
            { name: 'panel', value: better, unit: '' },
            { name: 'wall', value: covered, unit: '' },
          ],
          result: treatment.areaM2,
          unit: 'm²',
          source: 'handbook 5-room-desk-power, room sound',
        },
      ]
    : [];
};

export const ringsLong = placeRule(
  'place.rings-long',
  {
    matters: ['room'],
    looksFor: 'A room with open microphones that rings much longer than is best for speech.',
    why:
      'Every microphone hears its voice again from the walls: it sounds far away, and nothing ' +
      'afterwards takes that out.',
    remedy: 'Hang absorbing panels, thick ones; come closer to the microphones meanwhile.',
    source:
      'handbook 5, room sound: EBU Tech 3276, 0.4 s for a room that stays alive; DIN 18041 A3 for a hall',
  },
  inBuiltRoom((built, measured) => {
    const { rt60S } = roomSound(measured);
    const target = rightS(measured, built);
    if (rt60S === null || rt60S <= target * NOTICED || microphonesInRoom(measured).length === 0)
      return [];
    return [
      {
        level: rt60S > target * PLAIN ? 'warn' : 'note',
        about: THE_RIG,
        houseRule: 'room',
        title: `The room rings for ${seconds(rt60S)}`,
        says:
          `The room rings for ${seconds(rt60S)}; for speech in ${figure(built.volumeM3, 0)} m³ ` +
          `${seconds(target)} is right. Voices sound far away and run into one another. Hang ` +
          'absorbing panels, at least 100 mm thick, or come closer to the microphones.',
      },
    ];
  }),
  {
    sums: (measured) => {
      const built = builtRoom(measured);
      return built
        ? [overSum(measured, built), ...middleSums(built), ...treatmentSum(measured, built)]
        : [];
    },
    fixes,
  },
);
