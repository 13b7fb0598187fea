import { workedShow } from '../../recorded/show-for-cases';
import { apply, type Command, type Rig, type Store } from '../../rig';
import { ruleCases } from '../judge-for-cases';

/** Rules of places for copies, on worked F: 179.02 GB a show, 46 a year, so one every 11,426 minutes. */

const show = workedShow();
const edited = (rig: Rig, ...commands: readonly Command[]): Rig =>
  commands.reduce<Rig>((to, command) => apply(to, command), rig);
const withPlace = (fields: Partial<Omit<Store, 'order'>>, ...more: readonly Command[]): Rig =>
  edited(
    show,
    {
      type: 'addStore',
      storeId: 'place',
      store: {
        name: 'Drawer',
        kind: 'hard disk',
        isAway: true,
        mbytesPerS: 150,
        capacityGb: null,
        ...fields,
      },
    },
    ...more,
  );
const line = (mbytesPerS: number, uplinkMbps: number | null): Rig =>
  withPlace(
    { kind: 'elsewhere by line', mbytesPerS },
    { type: 'writeBrief', brief: { uplinkMbps } },
  );
const rules = (fileRules: Extract<Command, { type: 'setFileRules' }>['fileRules']): Command => ({
  type: 'setFileRules',
  fileRules,
});

ruleCases('files.holds-none', {
  valid: {
    'no place': show,
    'one show': withPlace({ capacityGb: 180 }),
    'not said': withPlace({}),
  },
  invalid: {
    'not one': {
      rig: withPlace({ capacityGb: 178 }),
      level: 'warn',
      says: /^Drawer holds 178\.0 GB, a show is 179\.0 GB/,
      sum: 0,
      fixes: [],
    },
  },
});

ruleCases('files.never-done', {
  valid: {
    'twenty minutes': withPlace({}),
    'one show a year': withPlace({ mbytesPerS: 0.2 }, rules({ showsAYear: 1 })),
  },
  invalid: {
    'ten days for a show a week': { rig: withPlace({ mbytesPerS: 0.2 }), level: 'warn', fixes: [] },
  },
});

ruleCases('files.line-slower', {
  valid: {
    'a disk': withPlace({}),
    'as fast as the line': line(2.5, 20),
    'never measured': line(150, null),
  },
  invalid: {
    'a disk’s figure on a line of 20 Mb/s': {
      rig: line(150, 20),
      level: 'warn',
      says: /^The line carries 20\.0 Mb\/s, that is 2\.5 MB\/s at most/,
      sum: 2.5,
      fixes: ['Reckon with 2.5 MB/s'],
    },
  },
});

ruleCases('files.line-unknown', {
  valid: { 'a disk': withPlace({}), measured: line(2.5, 20) },
  invalid: { 'never measured': { rig: line(2.5, null), level: 'note', fixes: [] } },
});

ruleCases('files.kept-full', {
  valid: {
    'kept for a year': withPlace({ capacityGb: 10_000 }, rules({ keepMonths: 12 })),
    'all fit': withPlace({ capacityGb: 17_000 }, rules({ keepMonths: 24 })),
  },
  invalid: {
    'two years, and room for 55 shows': {
      rig: withPlace({ capacityGb: 10_000 }, rules({ keepMonths: 24 })),
      level: 'note',
      says: /that is 92 shows; 55 fit on Drawer/,
      sum: 92,
      fixes: [],
    },
  },
});

const another = (name: string): Command => ({
  type: 'addStore',
  storeId: 'another',
  store: { name, kind: 'network', isAway: false, mbytesPerS: 100, capacityGb: null },
});

ruleCases('files.place-twice', {
  valid: { 'two names': withPlace({}, another('Array')) },
  invalid: {
    'one name': {
      rig: withPlace({}, another('drawer')),
      level: 'warn',
      fixes: ['Number the later ones'],
    },
  },
});

ruleCases('files.name-every-show', {
  valid: {
    'the usual one': show,
    'by episode': edited(show, rules({ template: 'E{episode}_{source}' })),
    'a show that is made once': edited(show, rules({ template: '{source}', showsAYear: 1 })),
  },
  invalid: {
    'by source alone': {
      rig: edited(show, rules({ template: '{source}_T{take}' })),
      level: 'warn',
      fixes: ['Put the date in front'],
    },
  },
});

ruleCases('files.name-every-take', {
  valid: {
    'no place named yet': edited(show, rules({ template: '{date}_{source}' })),
    'with the take': withPlace({}),
  },
  invalid: {
    'by date and source': {
      rig: withPlace({}, rules({ template: '{date}_{source}' })),
      level: 'note',
      fixes: ['Put the take at the end'],
    },
  },
});
