import { type CopyTo, filePlan } from '../../files/plan';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { inOrder, type Rig, type Store } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, eachFilesRule } from '../rule-of';
import { showsThatFit } from './copies';

/** Places for copies: whether a show fits, whether it is there before the next, what the line to them carries. */

const SOURCE = 'handbook 4, Recorders, files';
const BITS = 8;
const YEAR_MIN = 365 * 24 * 60;
const MONTHS = 12;

const placesOf = (measured: Measured): readonly CopyTo[] => {
  const { gbPerShow, copies } = filePlan(measured);
  return gbPerShow > 0 ? copies : [];
};
const ofStore = ({ storeId }: CopyTo) => ({ kind: 'store' as const, storeId });

export const holdsNone = eachFilesRule<CopyTo>(
  'files.holds-none',
  {
    looksFor: 'A place for copies on which not one show fits.',
    why: 'The copy breaks off when everybody has gone home.',
    remedy: 'Use a larger one.',
    source: SOURCE,
  },
  {
    all: placesOf,
    about: ofStore,
    judge: ({ store, shows }, measured) =>
      shows === 0
        ? {
            level: 'warn',
            title: `Not one show fits on ${store.name}`,
            says:
              `${store.name} holds ${figure(store.capacityGb ?? 0)} GB, a show is ` +
              `${figure(filePlan(measured).gbPerShow)} GB. Use a larger one.`,
          }
        : null,
    sums: showsThatFit,
  },
);

/** Between two shows of a year on the average. @unit min; null where none are planned */
const betweenMin = ({ fileRules: { showsAYear } }: Rig): number | null =>
  showsAYear === 0 ? null : YEAR_MIN / showsAYear;

export const neverDone = eachFilesRule<CopyTo>(
  'files.never-done',
  {
    looksFor: 'A copy that is not there before the next show is made.',
    why: 'Each show waits for the one before, and the heap grows until something is deleted.',
    remedy: 'Copy to something faster, or copy less.',
    source: SOURCE,
  },
  {
    all: placesOf,
    about: ofStore,
    judge: ({ store, minutes }, { rig }) => {
      const between = betweenMin(rig);
      return between !== null && minutes > between
        ? {
            level: 'warn',
            title: `A copy to ${store.name} takes longer than the next show is away`,
            says:
              `It takes ${figure(minutes / 60)} h, and a show is made every ${figure(between / 60)} h. ` +
              'Copy to something faster, or copy less.',
          }
        : null;
    },
    sums: ({ minutes }, { rig }) => [
      {
        label: 'Copying beside the time between shows',
        formula: 'copying ÷ (a year ÷ shows a year)',
        inputs: [
          { name: 'copying', value: minutes, unit: 'min' },
          { name: 'between shows', value: betweenMin(rig) ?? 'unknown', unit: 'min' },
        ],
        result: minutes / (betweenMin(rig) ?? Infinity),
        unit: '',
        source: SOURCE,
      },
    ],
  },
);

const byLine = (measured: Measured): readonly CopyTo[] =>
  placesOf(measured).filter(({ store }) => store.kind === 'elsewhere by line');

export const lineSlower = eachFilesRule<CopyTo>(
  'files.line-slower',
  {
    looksFor: 'A place reached by line that is said to be faster than the line.',
    why: 'The copy takes many times as long as is planned, and the stream shares the line with it.',
    remedy: 'Say what the line carries.',
    source: 'handbook 4: eight bits a byte',
  },
  {
    all: byLine,
    about: ofStore,
    judge: ({ store }, { rig }) => {
      const uplink = rig.brief?.uplinkMbps ?? null;
      return uplink !== null && store.mbytesPerS * BITS > uplink * 1.01
        ? {
            level: 'warn',
            title: `${store.name} cannot be written at ${figure(store.mbytesPerS)} MB/s`,
            says:
              `The line carries ${figure(uplink)} Mb/s, that is ${figure(uplink / BITS)} MB/s at most; ` +
              `${figure(store.mbytesPerS)} are said of ${store.name}. Say what the line carries.`,
          }
        : null;
    },
    sums: (_copy, { rig }) => [
      {
        label: 'What the line carries',
        formula: 'Mb/s ÷ 8',
        inputs: [{ name: 'line', value: rig.brief?.uplinkMbps ?? 'unknown', unit: 'Mb/s' }],
        result: (rig.brief?.uplinkMbps ?? 0) / BITS,
        unit: 'MB/s',
        source: SOURCE,
      },
    ],
    fixes: ({ storeId }, { rig }) => {
      const mbytesPerS = (rig.brief?.uplinkMbps ?? 0) / BITS;
      return mbytesPerS > 0
        ? [
            batchFix(`Reckon with ${figure(mbytesPerS)} MB/s`, [
              { type: 'changeStore', storeId, store: { mbytesPerS } },
            ]),
          ]
        : [];
    },
  },
);

export const lineUnknown = eachFilesRule<CopyTo>(
  'files.line-unknown',
  {
    looksFor: 'A place reached by line, where the line was never measured.',
    why: 'How long there is one copy only is a guess.',
    remedy: 'Measure the line and say it in the brief.',
    source: SOURCE,
  },
  {
    all: byLine,
    about: ofStore,
    judge: ({ store }, { rig }) =>
      (rig.brief?.uplinkMbps ?? null) === null
        ? {
            level: 'note',
            title: `Nobody has measured the line to ${store.name}`,
            says:
              `Copies to ${store.name} go up the line, and the brief does not say what it carries. ` +
              'Measure the line and say it in the brief.',
          }
        : null,
  },
);

export const keptFull = eachFilesRule<CopyTo>(
  'files.kept-full',
  {
    looksFor: 'A place that does not hold all that the house wants to keep.',
    why: 'Old shows are deleted before their time, by whoever needs the room.',
    remedy: 'Use a larger one, keep files for a shorter time, or plan when it is changed.',
    source: SOURCE,
  },
  {
    // Up to a year is told by another rule.
    all: (measured) =>
      (measured.rig.fileRules.keepMonths ?? 0) > MONTHS ? placesOf(measured) : [],
    about: ofStore,
    judge: ({ store, shows }, measured) => {
      const { keepMonths, showsAYear } = measured.rig.fileRules;
      const kept = Math.ceil((showsAYear * (keepMonths ?? 0)) / MONTHS);
      return shows !== null && shows >= showsAYear && shows < kept
        ? {
            level: 'note',
            title: `${store.name} holds ${shows} of the ${kept} shows that are kept`,
            says:
              `Files are kept for ${keepMonths} months, that is ${kept} shows; ${shows} fit on ` +
              `${store.name}. Use a larger one, keep files for a shorter time, or plan when it is changed.`,
          }
        : null;
    },
    sums: ({ shows }, { rig: { fileRules } }) => [
      {
        label: 'Shows that are kept',
        formula: 'shows a year × months ÷ 12',
        inputs: [
          { name: 'shows a year', value: fileRules.showsAYear, unit: '' },
          { name: 'months', value: fileRules.keepMonths ?? 'ever', unit: '' },
          { name: 'that fit', value: shows ?? 'unknown', unit: '' },
        ],
        result: Math.ceil((fileRules.showsAYear * (fileRules.keepMonths ?? 0)) / MONTHS),
        unit: '',
        source: SOURCE,
      },
    ],
  },
);

type Twins = readonly (readonly [storeId: string, store: Store])[];

export const placeTwice = eachFilesRule<Twins>(
  'files.place-twice',
  {
    looksFor: 'Two places for copies of one name.',
    why: 'Whoever copies finds one of them and thinks both are done.',
    remedy: 'Give each a name of its own.',
    source: SOURCE,
  },
  {
    all: ({ rig: { stores } }) => {
      const names = new Set<string>();
      const twins = inOrder(stores).filter(([, { name }]) => {
        const is = name.trim().toLowerCase();
        if (names.has(is)) return true;
        names.add(is);
        return false;
      });
      return twins.length > 0 ? [twins] : [];
    },
    about: () => THE_RIG,
    judge: (twins) => ({
      level: 'warn',
      title: `Two places for copies are called ${twins[0]?.[1].name ?? ''}`,
      says:
        `More than one place for copies is called ${twins.map(([, { name }]) => `“${name}”`).join(', ')}: ` +
        'whoever copies finds one and thinks both are done. Give each a name of its own.',
    }),
    fixes: (twins, { rig }) => {
      const taken = new Set(Object.values(rig.stores).map(({ name }) => name.toLowerCase()));
      return [
        batchFix(
          'Number the later ones',
          twins.map(([storeId, store]) => {
            let number = 2;
            while (taken.has(`${store.name} ${number}`.toLowerCase())) number += 1;
            const name = `${store.name} ${number}`;
            taken.add(name.toLowerCase());
            return { type: 'changeStore', storeId, store: { name } };
          }),
        ),
      ];
    },
  },
);
