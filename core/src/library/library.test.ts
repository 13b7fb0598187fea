import { CATALOGUE, classById } from '../catalogue';
import { RigDraft } from '../catalogue/draft';
import { apply, modelSchema, seeded } from '../rig';
import { anyOf } from '../rig/chance';
import {
  added,
  asVariant,
  blankModel,
  leftOut,
  markStated,
  oneMore,
  readModel,
  typed,
} from './change';
import { type Draft, type Field, fieldsOf } from './fields';
import {
  devicesOf,
  differences,
  type OwnModel,
  stamped,
  unstamped,
  updateCommands,
  updatesFor,
} from './own';
import { times } from '../runs-for-cases';

const inside = (field: Field): Field[] =>
  field.is === 'group' || field.is === 'list' ? [field, ...field.fields.flatMap(inside)] : [field];
const allFields = (draft: Draft): Field[] => fieldsOf(draft).flatMap(inside);

const at = (draft: Draft, path: string): Field => {
  const found = allFields(draft).find((field) => field.path.join('.') === path);
  if (!found) throw new Error(`there is no field ${path}`);
  return found;
};

const model = (draft: Draft) => {
  const read = readModel(draft);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.model;
};

describe('every class of the catalogue', () => {
  it.each(CATALOGUE.map((one) => [one.classId ?? '', one] as const))(
    '%s opens, and saved unchanged it is the same to the byte',
    (_id, one) => {
      const fields = allFields({ ...one });
      expect(fields.length).toBeGreaterThan(8);
      expect(JSON.stringify(model(structuredClone({ ...one })))).toBe(JSON.stringify(one));
      for (const field of fields) {
        expect(field.words.label).not.toBe('');
        if (field.is === 'number' && field.value !== null && field.least !== null)
          expect(field.value).toBeGreaterThanOrEqual(field.least);
        if (field.is === 'choice')
          expect(field.options.map(({ value }) => value)).toContain(field.value);
        if (field.is === 'group')
          expect(field.variants.length === 0 || field.variant >= 0).toBe(true);
      }
    },
  );
});

/** Large ones have more of the same. */
const SMALL = CATALOGUE.filter((one) => JSON.stringify(one).length < 5000);

describe('5,000 edits at random', () => {
  const chance = seeded(19, CATALOGUE);
  const edited = (draft: Draft, field: Field): Draft => {
    if (field.isOptional && chance.once(3)) return leftOut(draft, field.path);
    switch (field.is) {
      case 'number':
        return typed(
          draft,
          field.path,
          field.mayBeUnknown && chance.once(4)
            ? null
            : chance.oneOf([0, -5, 1.5, 24, 600, 1e12, field.least ?? 3, field.most ?? 7]),
        );
      case 'text':
        return typed(draft, field.path, chance.oneOf(['Box', '', 'x'.repeat(500), 'a-word']));
      case 'choice':
        return field.options.length === 0
          ? draft
          : typed(draft, field.path, anyOf(chance, field.options)?.value ?? null);
      case 'several':
        return typed(
          draft,
          field.path,
          field.options.filter(() => chance.once(2)).map(({ value }) => value),
        );
      case 'group':
        return field.variants.length === 0
          ? draft
          : asVariant(draft, field.path, chance.integer(0, field.variants.length));
      case 'list': {
        const [one] = field.fields;
        return one && chance.once(3) ? leftOut(draft, one.path) : oneMore(draft, field.path);
      }
      case 'left out':
        return added(draft, field.path);
    }
  };
  it('never make a model that cannot be read again; each refusal says which field and why', () => {
    let [taken, refused] = [0, 0];
    let draft: Draft = { ...anyOf(chance, SMALL) };
    for (let edits = 0; edits < times(1000); edits++) {
      const next = edited(draft, anyOf(chance, allFields(draft)) ?? at(draft, 'name'));
      const read = readModel(next);
      if (read.ok) {
        taken++;
        const text = JSON.stringify(read.model);
        expect(JSON.stringify(model(JSON.parse(text) as Draft))).toBe(text);
        expect(modelSchema.safeParse(JSON.parse(text)).success).toBe(true);
        draft = next;
      } else {
        refused++;
        expect(read.problems.length).toBeGreaterThan(0);
        for (const { field, says } of read.problems) {
          expect(field).not.toBe('');
          expect(says).not.toBe('');
        }
        // A draft may stay wrong for a while, as it does while somebody types.
        if (chance.once(8)) draft = next;
      }
      if (edits % 20 === 19) draft = { ...anyOf(chance, SMALL) };
    }
    expect(taken).toBeGreaterThan(times(200));
    expect(refused).toBeGreaterThan(times(100));
  });
});

describe('a box described from nothing', () => {
  /** A small amplifier: one microphone in, one line out, a knob of 0 to 40 dB. */
  const described = (): Draft => {
    let draft: Draft = blankModel('Amplifier of ours');
    draft = oneMore(draft, ['ports'], 'Input');
    draft = oneMore(draft, ['ports'], 'Output');
    draft = typed(draft, ['ports', 'input', 'direction'], 'in');
    draft = typed(draft, ['ports', 'output', 'direction'], 'out');
    draft = added(draft, ['ports', 'input', 'inputOhms']);
    draft = typed(draft, ['ports', 'input', 'inputOhms'], 3000);
    draft = oneMore(draft, ['controls'], 'Gain');
    draft = typed(draft, ['controls', 'gain', 'maxDb'], 40);
    draft = oneMore(draft, ['routes'], 'Through');
    draft = typed(draft, ['routes', 'through', 'from'], ['input']);
    draft = typed(draft, ['routes', 'through', 'to'], ['output']);
    draft = added(draft, ['routes', 'through', 'sound']);
    draft = added(draft, ['routes', 'through', 'sound', 'gain']);
    return asVariant(draft, ['routes', 'through', 'sound', 'gain'], 1);
  };
  it('is a model, with the figures that were typed stated and no other', () => {
    const made = model(described());
    expect(made.stated).toEqual(['ports.input.inputOhms']);
    expect(made.routes['through']?.sound?.gain).toEqual({ control: 'gain' });
    expect(at(described(), 'ports.input.inputOhms')).toMatchObject({
      is: 'number',
      value: 3000,
      isStated: true,
      words: { unit: 'Ω', sheet: 'Input impedance' },
    });
  });
  it('goes into a rig, and is what it was made from', () => {
    const own: OwnModel = { id: 'amplifier', version: 2, model: model(described()) };
    const rig = apply(new RigDraft('Case').build(), {
      type: 'addDevice',
      deviceId: 'amp',
      name: 'Amp',
      model: stamped(own),
      settings: {},
      personId: null,
      placeId: null,
    });
    expect(devicesOf(rig, 'amplifier')).toEqual([{ deviceId: 'amp', version: 2 }]);
    const there = rig.devices['amp']?.model;
    expect(there && unstamped(there)).toEqual(own.model);
  });
  it('says which field is wrong, and why', () => {
    const read = readModel(typed(described(), ['ports', 'input', 'inputOhms'], -3));
    expect(read.ok).toBe(false);
    if (!read.ok)
      expect(read.problems).toEqual([
        {
          path: ['ports', 'input', 'inputOhms'],
          field: 'Sockets, “Input”, Input resistance',
          says: expect.stringMatching(/>0/) as string,
        },
      ]);
    const without = readModel(leftOut(described(), ['controls', 'gain']));
    expect(without.ok).toBe(false);
  });
  it('forgets what was stated of a figure that is left out, and says typical where that is said', () => {
    expect(leftOut(described(), ['ports', 'input', 'inputOhms'])['stated']).toEqual([]);
    expect(markStated(described(), ['ports', 'input', 'inputOhms'], false)['stated']).toEqual([]);
    expect(leftOut(described(), ['ports', 'input'])['stated']).toEqual([]);
  });
});

describe('a later version in a rig', () => {
  const first: OwnModel = { id: 'box', version: 1, model: classById('interface-2') };
  const next: OwnModel = {
    ...first,
    version: 2,
    model: model(
      typed(typed({ ...first.model }, ['name'], 'Box, new'), ['body'], {
        widthM: 0.2,
        depthM: 0.1,
        heightM: 0.05,
        massKg: 0.6,
        heatW: 3,
        noiseDba: null,
        mount: 'on a surface',
      }),
    ),
  };
  const rig = new RigDraft('Case')
    .device('one', 'interface-2', { name: 'One', settings: { 'gain-1': 33 } })
    .do({ type: 'replaceModel', deviceId: 'one', model: stamped(first) })
    .do({ type: 'setFigure', deviceId: 'one', path: 'ports.mic-1.inputOhms', value: 4321 })
    .build();
  const updates = updatesFor(rig, [first, next]);
  it('shows what changes, and leaves what was typed into the rig', () => {
    expect(
      updates.map(({ name, from, changes, kept }) => [
        name,
        from,
        changes.map(({ field }) => field),
        kept.map(({ field, after }) => [field, after]),
      ]),
    ).toEqual([['One', 1, ['Name', 'Body'], [['Input 1: Input resistance', '4321 Ω']]]]);
    const after = apply(rig, { type: 'batch', label: 'Update', commands: updateCommands(updates) });
    const device = after.devices['one'];
    expect(device?.model.own).toEqual({ modelId: 'box', version: 2 });
    expect(device?.model.body?.massKg).toBe(0.6);
    expect(device?.model.ports['mic-1']).toMatchObject({ inputOhms: 4321 });
    expect(device?.settings['gain-1']).toBe(33);
    expect(updatesFor(after, [first, next])).toEqual([]);
  });
  it('keeps every stated figure of a device whose version is no longer there', () => {
    const [update] = updatesFor(rig, [next]);
    expect(update?.kept.map(({ path }) => path)).toEqual(['ports.mic-1.inputOhms']);
    expect(update?.model.ports['mic-1']).toMatchObject({ inputOhms: 4321 });
  });
  it('differs from itself in nothing, and with units where they are', () => {
    expect(differences(next.model, next.model)).toEqual([]);
    const louder = model(typed({ ...next.model }, ['body', 'massKg'], 0.75));
    expect(differences(next.model, louder)).toEqual([
      { path: 'body.massKg', field: 'Mass', before: '0.6 kg', after: '0.75 kg' },
    ]);
  });
});
