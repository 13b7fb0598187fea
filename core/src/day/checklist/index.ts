import type { Measured } from '../../passes/measured';
import { inOrder, type Phase, PHASES, type Rig } from '../../rig';
import { hoursText } from '../rundown';
import { runsOut } from '../runs-out';
import { about, type CheckLine, line } from './line';
import { batteryLines, mediumLines, phantomLines, powerLines } from './power';
import { gainLines, lightLines, pictureLines, reminderLines } from './settings';
import {
  computerLines,
  earLines,
  loudnessLines,
  streamLines,
  syncLines,
  voiceLines,
} from './tried';

/** Checklists that follow from the rig: nobody types them, and a rig that changes changes them. */

export type { CheckLine, LookUp, ToRead } from './line';

const duringLines = (analysis: Measured): CheckLine[] => {
  const lengthMin = analysis.rig.brief?.lengthMin ?? Infinity;
  return runsOut(analysis)
    .filter(({ afterMin }) => afterMin < lengthMin)
    .map(({ id, deviceId, name, says, afterMin }) =>
      line({
        ...about(analysis.rig, deviceId, analysis.device({ id: deviceId })),
        id: `runs-out ${id}`,
        phase: 'during',
        what: `${name}: ${says.charAt(0).toLowerCase()}${says.slice(1)}`,
        why: 'It ends before the show does.',
        figure: `after ${hoursText(afterMin)}`,
        lookUp: 'power',
      }),
    );
};

const strikeLines = (rig: Rig): CheckLine[] => [
  ...(Object.keys(rig.sets).length > 0
    ? [
        line({
          id: 'marks',
          phase: 'strike',
          what: 'Leave the marks on the floor',
          why: 'They are the next set-up’s minutes.',
          lookUp: 'plan',
        }),
      ]
    : []),
  ...inOrder(rig.places).map(([id, { name }]) =>
    line({
      id: `put-away ${id}`,
      phase: 'strike',
      what: `Everything of ${name} back where it is kept`,
      where: name,
      why: 'What is broken or ran low is written down now, not at the next show.',
    }),
  ),
];

const houseLines = (rig: Rig): CheckLine[] =>
  inOrder(rig.houseLines).map(([id, { phase, what, where, who, why, isMust }]) =>
    line({ id: `house ${id}`, phase, what, where, who, why, isMust, isOfHouse: true }),
  );

const liveLine = (rig: Rig): CheckLine[] =>
  Object.keys(rig.devices).length === 0
    ? []
    : [
        line({
          id: 'telephones',
          phase: 'go live',
          what: 'Telephones silent, the sign at the door out',
          why: 'Nobody in the room knows when it is live unless it is said.',
        }),
      ];

/** What comes before and after what, by how the ids of lines begin; an empty one stands for all others. */
const ORDER: Partial<Record<Phase, readonly string[]>> = {
  'set up': ['', 'phantom-on', 'loud-on', 'house'],
  strike: ['stream-off', 'stop', 'loudness', 'loud-off', 'phantom-off', 'copy', 'house', 'off', ''],
};

/** Every line of the day, in the order in which they are done. */
export const checklist = (analysis: Measured): readonly CheckLine[] => {
  const { rig } = analysis;
  const all = [
    ...computerLines(rig),
    ...powerLines(analysis),
    ...phantomLines(rig),
    ...mediumLines(analysis),
    ...lightLines(rig),
    ...gainLines(rig),
    ...reminderLines(rig),
    ...pictureLines(rig),
    ...voiceLines(analysis),
    ...earLines(analysis),
    ...syncLines(analysis),
    ...streamLines(analysis),
    ...loudnessLines(analysis),
    ...batteryLines(analysis),
    ...liveLine(rig),
    ...duringLines(analysis),
    ...strikeLines(rig),
    ...houseLines(rig),
  ];
  return PHASES.flatMap((phase) => {
    const order = ORDER[phase] ?? [];
    const rank = ({ id }: CheckLine): number => {
      const at = order.indexOf(id.split(' ')[0] ?? '');
      // What has no place of its own comes between.
      return at < 0 ? order.indexOf('') : at;
    };
    return all.filter((each) => each.phase === phase).sort((a, b) => rank(a) - rank(b));
  });
};

/** What a line says, as far as a run remembers it. */
type Said = Pick<CheckLine, 'id' | 'what' | 'figure'>;

/** What two lists differ in: lines that came, that went, and that say something else now. */
export const checklistChanged = <Now extends Said>(
  before: readonly Said[],
  after: readonly Now[],
): {
  readonly came: readonly Now[];
  readonly went: readonly Said[];
  readonly otherwise: readonly Now[];
} => {
  const was = new Map(before.map((each) => [each.id, each]));
  const is = new Set(after.map(({ id }) => id));
  return {
    came: after.filter(({ id }) => !was.has(id)),
    went: before.filter(({ id }) => !is.has(id)),
    otherwise: after.filter((each) => {
      const earlier = was.get(each.id);
      return earlier && (earlier.what !== each.what || earlier.figure !== each.figure);
    }),
  };
};
