import { workedShow } from '../../recorded/show-for-cases';
import { apply, type Command, type Rig, type Store } from '../../rig';
import { ruleCases } from '../judge-for-cases';

/** Rules of files, on worked F: 179.02 GB a show, on one drive of 20 TB. */

const show = workedShow();
const edited = (rig: Rig, ...commands: readonly Command[]): Rig =>
  commands.reduce<Rig>((to, command) => apply(to, command), rig);
let count = 0;
const place = (fields: Partial<Omit<Store, 'order'>> = {}): Command => ({
  type: 'addStore',
  storeId: `place-${++count}`,
  store: {
    name: 'Drawer',
    kind: 'hard disk',
    isAway: true,
    mbytesPerS: 150,
    capacityGb: null,
    ...fields,
  },
});
const rules = (fileRules: Extract<Command, { type: 'setFileRules' }>['fileRules']): Command => ({
  type: 'setFileRules',
  fileRules,
});
const safe = edited(show, place(), place({ isAway: false }));

ruleCases('files.template', {
  valid: { 'the usual one': show, 'a number alone': edited(show, rules({ template: '{track}' })) },
  invalid: {
    'a field that is none': {
      rig: edited(show, rules({ template: '{source}_{moon}' })),
      level: 'warn',
      says: /^\{moon\} is no field/,
      fixes: ['Use the usual template'],
    },
    'nothing that tells files apart': {
      rig: edited(show, rules({ template: '{show}' })),
      level: 'warn',
      fixes: ['Use the usual template'],
    },
  },
});

const cameras = Object.entries(show.devices).filter(([, { model }]) => model.kind === 'camera');
const [[one] = [''], [two] = ['']] = cameras;
const alike = edited(
  show,
  { type: 'renameDevice', deviceId: one, name: 'Camera' },
  { type: 'renameDevice', deviceId: two, name: 'CAMERA' },
);

ruleCases('files.same-name', {
  valid: {
    'every source by its name': show,
    'two alike, with the number of the file': edited(
      alike,
      rules({ template: '{source}_{track}' }),
    ),
  },
  invalid: {
    'two cameras that differ by capitals': {
      rig: alike,
      level: 'warn',
      says: /2 files would be called/,
      fixes: ['Put the number of the file into the template'],
    },
  },
});

ruleCases('files.copies-few', {
  valid: { 'nothing said of copies': show, three: safe },
  invalid: { 'one place': { rig: edited(show, place()), level: 'warn', sum: 2, fixes: [] } },
});

ruleCases('files.one-kind', {
  valid: { 'another kind': safe },
  invalid: {
    'all on solid state': {
      rig: edited(show, place({ kind: 'solid state' }), place({ kind: 'solid state' })),
      level: 'warn',
      fixes: [],
    },
  },
});

ruleCases('files.none-away', {
  valid: { 'one away': safe, 'nothing said of copies': show },
  invalid: {
    'all in one building': {
      rig: edited(show, place({ isAway: false }), place({ isAway: false })),
      level: 'warn',
      fixes: [],
    },
  },
});

ruleCases('files.store-full', {
  valid: {
    '46 shows fit': edited(safe, place({ capacityGb: 8240 })),
    'kept for a month': edited(safe, place({ capacityGb: 800 }), rules({ keepMonths: 1 })),
  },
  invalid: {
    '45 fit of 46': {
      rig: edited(safe, place({ capacityGb: 8230 })),
      level: 'note',
      says: /^45 shows fit on Drawer; 46 come/,
      sum: 45,
      fixes: [],
    },
  },
});

ruleCases('files.alone-long', {
  valid: { 'twenty minutes': safe },
  invalid: {
    'a slow line alone': {
      // 179.02 GB at 10 MB/s.
      rig: edited(show, place({ mbytesPerS: 10 })),
      level: 'warn',
      says: /5\.0 h after its end/,
      sum: 298.368,
      fixes: [],
    },
  },
});

ruleCases('files.upload-long', {
  valid: { 'a small master': edited(safe, rules({ masterFactor: 0.01 })) },
  invalid: {
    'all of it up 10 Mb/s': {
      rig: edited(safe, rules({ masterFactor: 1 }), {
        type: 'writeBrief',
        brief: { uplinkMbps: 10 },
      }),
      level: 'note',
      sum: 39.782,
      fixes: [],
    },
  },
});
