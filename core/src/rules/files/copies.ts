import { type CopyTo, filePlan, type FilePlan } from '../../files/plan';
import type { Measured } from '../../passes/measured';
import { figure, type Sum } from '../../passes/sum';
import { THE_RIG } from '../about';
import { eachFilesRule } from '../rule-of';

/** Copies: three, on two kinds of medium, one in another building. Silent until the house has named a place. */

const SOURCE = 'handbook 4, Recorders, files: three copies, two kinds, one elsewhere';
const COPIES = 3;
const ALONE_MIN = 240;
const UPLOAD_H = 12;

const plans = (measured: Measured): readonly FilePlan[] => {
  const plan = filePlan(measured);
  return plan.gbPerShow > 0 && plan.copies.length > 0 ? [plan] : [];
};

export const copiesFew = eachFilesRule<FilePlan>(
  'files.copies-few',
  {
    looksFor: 'Fewer than three copies of what is recorded.',
    why: 'One medium fails, one is formatted by mistake: then there is none.',
    remedy: 'Name another place for copies.',
    source: SOURCE,
  },
  {
    all: plans,
    about: () => THE_RIG,
    judge: ({ copies }) =>
      copies.length + 1 < COPIES
        ? {
            level: 'warn',
            title: `${copies.length + 1} of ${COPIES} copies`,
            says:
              `With what it is recorded on there are ${copies.length + 1} copies of a show; ` +
              `${COPIES} are safe. Name another place for copies.`,
          }
        : null,
    sums: ({ copies }) => [
      {
        label: 'Copies',
        formula: 'recorded + places for copies',
        inputs: [{ name: 'places for copies', value: copies.length, unit: '' }],
        result: copies.length + 1,
        unit: '',
        source: SOURCE,
      },
    ],
  },
);

export const oneKind = eachFilesRule<FilePlan>(
  'files.one-kind',
  {
    looksFor: 'Copies that are all on one kind of medium.',
    why: 'What ends one of a kind ends the others at the same age.',
    remedy: 'Keep one copy on another kind of medium.',
    source: SOURCE,
  },
  {
    all: plans,
    about: () => THE_RIG,
    judge: ({ kinds }) =>
      kinds < 2
        ? {
            level: 'warn',
            title: 'All copies are on one kind of medium',
            says:
              'What a show is recorded on and every place for copies are of one kind. Keep one copy ' +
              'on another kind of medium.',
          }
        : null,
  },
);

export const noneAway = eachFilesRule<FilePlan>(
  'files.none-away',
  {
    looksFor: 'No copy in another building.',
    why: 'Water, fire and theft take all of them.',
    remedy: 'Keep one copy in another building.',
    source: SOURCE,
  },
  {
    all: plans,
    about: () => THE_RIG,
    judge: ({ copies }) =>
      copies.some(({ store }) => store.isAway)
        ? null
        : {
            level: 'warn',
            title: 'No copy in another building',
            says:
              'Every copy is where the show is made: water, fire and theft take all of them. Keep ' +
              'one in another building.',
          },
  },
);

const placesOf = (measured: Measured): readonly CopyTo[] =>
  plans(measured).flatMap(({ copies }) => copies);

/** How many shows a place holds. */
export const showsThatFit = ({ store, shows }: CopyTo, measured: Measured): Sum[] => [
  {
    label: 'Shows that fit',
    formula: 'capacity ÷ a show, whole ones',
    inputs: [
      { name: 'capacity', value: store.capacityGb ?? 'unknown', unit: 'GB' },
      { name: 'a show', value: filePlan(measured).gbPerShow, unit: 'GB' },
    ],
    result: shows,
    unit: '',
    source: SOURCE,
  },
];

export const storeFull = eachFilesRule<CopyTo>(
  'files.store-full',
  {
    looksFor: 'A place for copies that is full before a year of shows.',
    why: 'In the middle of the year a copy is left out, or an old one is deleted in a hurry.',
    remedy: 'Use a larger one, keep files for a shorter time, or plan when it is changed.',
    source: SOURCE,
  },
  {
    all: placesOf,
    about: ({ storeId }) => ({ kind: 'store', storeId }),
    judge: ({ store, shows }, { rig }) => {
      const { keepMonths, showsAYear } = rig.fileRules;
      const asked = Math.ceil((showsAYear * Math.min(12, keepMonths ?? 12)) / 12);
      return shows !== null && shows > 0 && shows < asked
        ? {
            level: 'note',
            title: `${store.name} is full after ${shows} shows`,
            says:
              `${shows} shows fit on ${store.name}; ${asked} come in the time they are kept, a year ` +
              'at most. Use a larger one, keep files for a shorter time, or plan when it is changed.',
          }
        : null;
    },
    sums: showsThatFit,
  },
);

export const aloneLong = eachFilesRule<FilePlan>(
  'files.alone-long',
  {
    looksFor: 'A show of which there is one copy for hours after its end.',
    why: 'Whoever packs up carries the only one home.',
    remedy: 'Copy to something faster first.',
    source: SOURCE,
  },
  {
    all: plans,
    about: () => THE_RIG,
    judge: ({ aloneMin }) =>
      aloneMin !== null && aloneMin > ALONE_MIN
        ? {
            level: 'warn',
            title: `One copy for ${figure(aloneMin / 60)} h after the end`,
            says:
              `The fastest copy of a show is there ${figure(aloneMin / 60)} h after its end; until then ` +
              'there is one. Copy to something faster first.',
          }
        : null,
    sums: ({ aloneMin, gbPerShow }) => [
      {
        label: 'The first copy',
        formula: 'size ÷ the slowest of source, link and target',
        inputs: [{ name: 'a show', value: gbPerShow, unit: 'GB' }],
        result: aloneMin,
        unit: 'min',
        source: SOURCE,
      },
    ],
  },
);

export const uploadLong = eachFilesRule<FilePlan>(
  'files.upload-long',
  {
    looksFor: 'A master that takes more than half a day up the line.',
    why: 'It is not there when it was promised, and the next stream shares the line with it.',
    remedy: 'Deliver a smaller file, carry it, or use a faster line.',
    source: 'handbook 4: GB × 8000 ÷ Mb/s',
  },
  {
    all: plans,
    about: () => THE_RIG,
    judge: ({ uploadH, masterGb }) =>
      uploadH !== null && uploadH > UPLOAD_H
        ? {
            level: 'note',
            title: `The master takes ${figure(uploadH)} h up the line`,
            says:
              `${figure(masterGb)} GB take ${figure(uploadH)} h up the line. Deliver a smaller file, ` +
              'carry it, or use a faster line.',
          }
        : null,
    sums: ({ uploadH, masterGb }, { rig }) => [
      {
        label: 'Uploading the master',
        formula: 'GB × 8000 ÷ Mb/s ÷ 3600',
        inputs: [
          { name: 'master', value: masterGb, unit: 'GB' },
          { name: 'line', value: rig.brief?.uplinkMbps ?? 'unknown', unit: 'Mb/s' },
        ],
        result: uploadH,
        unit: 'h',
        source: 'handbook 4',
      },
    ],
  },
);
