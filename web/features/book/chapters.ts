import { type Analysis, builtLines, cableStock, entry, inOrder, type Model } from '@echo-loom/core';
import { type CableRow, cableRows } from '@/features/cables/rows';
import { doesText, guardText } from '@/features/panel/words';
import { type BookPart, BOX, type Chapter, column, table, words } from './parts';
import { toBuy } from './to-buy';

/** What the build book says, chapter by chapter: tables and words, before they are parted into pages. */

/** Usual cautions; they stand before anything is built. */
export const CAUTIONS = [
  'Anything over heads has a second, rated fixing; a competent person rigs and inspects it.',
  'Stands: legs out fully, a bag on the foot under the load. An arm is clamped where the desk bears it.',
  'Cables that people cross are taped, covered or led overhead. No strip into a strip; each drum unrolled.',
  'Mains: circuits and wiring are for licensed people; local code decides. What draws most is switched on last.',
  'Lamps get hot: gloves, a metre from heads, cloth and ceilings; let them cool before they are packed.',
  'Headphones and loudspeakers are turned down before anything is plugged, and up slowly.',
  'Figures in this book are indicative. Local codes and licensed practice decide.',
];

const people = ({ rig }: Analysis): BookPart[] => {
  const theirs = (personId: string, kinds: readonly Model['kind'][]) =>
    inOrder(rig.devices)
      .filter(([, device]) => device.personId === personId && kinds.includes(device.model.kind))
      .map(([, { name }]) => name)
      .join(', ') || '–';
  return table(
    '',
    [
      column('Name', 16),
      column('Is', 14),
      column('Seen', 16),
      column('Heard by', 20),
      column('Camera', 18),
      column('Listens on', 16),
    ],
    inOrder(rig.people).map(([id, person]) => [
      person.name,
      person.is === 'instrument' ? 'instrument' : `${person.where}, ${person.posture}`,
      person.shot ?? 'not seen',
      person.isHeard ? theirs(id, ['microphone']) : 'not heard',
      theirs(id, ['camera']),
      theirs(id, ['headphones']),
    ]),
  );
};

const aboutRig = ({ rig, verdict }: Analysis): BookPart[] => [
  ...words(
    'Show days',
    inOrder(rig.shows).map(([, { name, on }]) => `${on}: ${name}`),
  ),
  ...words('Notes', rig.notes.split('\n').filter(Boolean)),
  ...words('State', [
    `${verdict.stops} that must be mended, ${verdict.warns} warnings, ${verdict.notes} notes; ` +
      'they stand in the last chapter.',
  ]),
  ...words('Take care', CAUTIONS),
];

const patch = (rows: readonly CableRow[]): BookPart[] =>
  table(
    '',
    [
      column('No.', 6),
      column('From', 30),
      column('To', 30),
      column('Cable', 20),
      column('Length', 8),
      column('', 6),
    ],
    rows.map(({ number, from, to, kind, link }) => [
      String(number),
      from,
      to,
      kind,
      `${link.cable.lengthM} m`,
      BOX,
    ]),
  );

const byKindThenLength = (a: CableRow, b: CableRow): number =>
  a.kind.localeCompare(b.kind, 'en') ||
  b.link.cable.lengthM - a.link.cable.lengthM ||
  a.number - b.number;

/** Every cable to be fetched, those of one kind together, the longest first. */
const fetched = ({ rig }: Analysis, rows: readonly CableRow[]): BookPart[] => {
  const { own, toBuy } = cableStock(rig);
  const bought = new Map(toBuy.flatMap(({ linkIds }) => linkIds.map((id) => [id, true] as const)));
  return table(
    '',
    [
      column('Cable', 24),
      column('Length', 10),
      column('No.', 8),
      column('The plan asks', 16),
      column('Where from', 20),
      column('Dressed', 16),
      column('', 6),
    ],
    [...rows].sort(byKindThenLength).map(({ linkId, number, kind, link, asks, dressing }) => {
      const ownCable = entry(rig.ownCables, own.get(linkId) ?? '');
      return [
        kind,
        `${link.cable.lengthM} m`,
        String(number),
        asks,
        ownCable
          ? `the box, ${ownCable.lengthM} m`
          : bought.has(linkId)
            ? 'to buy'
            : 'comes with its gear',
        dressing,
        BOX,
      ];
    }),
  );
};

/** Every setting by device, and what nothing is computed with and is worth repeating. */
const knobs = ({ rig }: Analysis): BookPart[] => {
  const lines = builtLines(rig).filter(({ part }) => part === 'settings');
  return [
    ...table(
      'Knobs and switches',
      [column('Device', 34), column('Knob', 34), column('Stands at', 26), column('', 6)],
      lines.map(({ owner, what, plan }) => [owner, what, plan, BOX]),
    ),
    ...table(
      'Also to be set',
      [column('Whose', 34), column('What', 34), column('How', 26), column('', 6)],
      inOrder(rig.reminders).map(([, { deviceId, personId, what, value }]) => [
        (deviceId !== null && entry(rig.devices, deviceId)?.name) ||
          (personId !== null && entry(rig.people, personId)?.name) ||
          'The room',
        what,
        value,
        BOX,
      ]),
    ),
  ];
};

const places = ({ rig }: Analysis): BookPart[] =>
  table(
    '',
    [
      column('What', 30),
      column('Where: from the corner of the plan; what stands on something, from its middle', 64),
      column('', 6),
    ],
    builtLines(rig)
      .filter(({ part, plan }) => (part === 'places' || part === 'supports') && plan !== 'not said')
      .map(({ owner, plan }) => [owner, plan, BOX]),
  );

/** The panel as it lies under the hand, row by row. */
const panel = ({ rig }: Analysis): BookPart[] => {
  const buttons = inOrder(rig.panel.buttons).map(([, { label, does, guard }], index) =>
    [`${index + 1}  ${label}`, doesText(rig, does), guardText(guard)].filter(Boolean).join('\n'),
  );
  const across = rig.panel.columns;
  const rows = Array.from({ length: Math.ceil(buttons.length / across) }, (_, row) =>
    Array.from({ length: across }, (__, at) => buttons[row * across + at] ?? ''),
  );
  return table(
    '',
    Array.from({ length: across }, () => column('', 100 / across)),
    rows,
  );
};

const LEVEL_WORDS = { stop: 'must be mended', warn: 'warning', note: 'note' } as const;

const findings = ({ causes, aside }: Analysis): BookPart[] => [
  ...table(
    'Left',
    [column('How bad', 14), column('What', 80), column('', 6)],
    causes.map(({ finding }) => [LEVEL_WORDS[finding.level], finding.says, BOX]),
  ),
  ...table(
    'Put aside',
    [column('What', 60), column('Why', 40)],
    aside.map(({ finding, reason }) => [finding.title, reason]),
  ),
];

/** The whole book; a chapter of which there is nothing to say is left out. */
export const chaptersOf = (analysis: Analysis, money: (amount: number) => string): Chapter[] => {
  const rows = cableRows(analysis);
  const all: Chapter[] = [
    { id: 'rig', title: 'The show', parts: aboutRig(analysis) },
    { id: 'people', title: 'People', parts: people(analysis) },
    { id: 'loom', title: 'Loom', parts: [] },
    { id: 'patch', title: 'Patch sheet', parts: patch(rows) },
    { id: 'cables', title: 'Cables to fetch', parts: fetched(analysis, rows) },
    { id: 'places', title: 'Places', parts: places(analysis) },
    { id: 'knobs', title: 'Knob sheet', parts: knobs(analysis) },
    { id: 'panel', title: 'Panel map', parts: panel(analysis) },
    { id: 'buy', title: 'To buy', parts: toBuy(analysis, money) },
    { id: 'findings', title: 'Findings left', parts: findings(analysis) },
  ];
  return all.filter(({ id, parts }) => parts.length > 0 || (id === 'loom' && rows.length > 0));
};

/** Chapters that are lists, as the sheets of a spreadsheet. */
export const listsOf = (chapters: readonly Chapter[]) =>
  chapters.flatMap(({ title, parts }) =>
    parts.flatMap((part) =>
      part.is === 'table'
        ? [
            {
              sheet: [title, part.title].filter(Boolean).join(', ').slice(0, 31),
              fields: part.columns.map(({ heading }, index) => heading || `Tick ${index + 1}`),
              rows: part.rows,
            },
          ]
        : [],
    ),
  );
