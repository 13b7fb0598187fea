import { CATALOGUE, classById } from '../../catalogue';
import type { Control, Model } from './model';
import { type ModelProblem, modelProblems } from './model-problems';

/**
 * Every place of every class that names a control or a port, found by looking at the class: if it
 * names one that is not there, or one of another kind, that very place is told.
 */

type Path = readonly (string | number)[];

const NAMES_A_CONTROL = /^(control|inSwitch|clean|copyProtected|\w+Control)$/;

const referencesIn = (value: unknown, path: Path = []): Path[] => {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, item]) => {
    const at = [...path, Array.isArray(value) ? Number(key) : key];
    return typeof item === 'string' && NAMES_A_CONTROL.test(key) ? [at] : referencesIn(item, at);
  });
};

/** The model with another value at a place. */
const withAt = (model: Model, path: Path, value: unknown): Model => {
  const copy = structuredClone(model);
  let parent = copy as unknown as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) parent = parent[key] as typeof parent;
  parent[path.at(-1) ?? ''] = value;
  return copy;
};
const valueAt = (model: Model, path: Path): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<string | number, unknown>)[key], model);

const told = (problems: readonly ModelProblem[], path: Path): string | undefined =>
  problems.find((problem) => problem.path.join('.') === path.join('.'))?.message;

const references = CATALOGUE.flatMap((model) =>
  referencesIn({ ...model, controls: {} }).map((path) => ({ model, path })),
);

const OTHER_TYPE: Readonly<Record<Control['type'], Control>> = {
  gain: { type: 'switch', label: 'Other', initial: false },
  amount: { type: 'switch', label: 'Other', initial: false },
  choice: { type: 'switch', label: 'Other', initial: false },
  switch: {
    type: 'amount',
    label: 'Other',
    unit: '',
    min: 0,
    max: 1,
    step: 1,
    initial: 0,
  },
};

describe('a class of the catalogue', () => {
  it.each(CATALOGUE.map((model) => [model.classId ?? model.name, model] as const))(
    '%s has nothing against it',
    (_id, model) => expect(modelProblems(model)).toEqual([]),
  );
  it('names controls in hundreds of places', () => expect(references.length).toBeGreaterThan(400));
});

describe('a place that names a control', () => {
  it('is told where the control is not there', () => {
    for (const { model, path } of references) {
      const message = told(modelProblems(withAt(model, path, 'no-such')), path);
      expect([model.classId, path.join('.'), message]).toEqual([
        model.classId,
        path.join('.'),
        'expected a control of this model; there is no "no-such"',
      ]);
    }
  });
  it('is told where the control is of another kind, and which kind it should be', () => {
    for (const { model, path } of references) {
      if (path.includes('when')) continue;
      const id = String(valueAt(model, path));
      const control = model.controls[id];
      if (!control) throw new Error(`${String(model.classId)} has no ${id}`);
      const other = OTHER_TYPE[control.type];
      const message = told(modelProblems(withAt(model, ['controls', id], other)), path);
      expect([model.classId, path.join('.'), message]).toEqual([
        model.classId,
        path.join('.'),
        `expected a control of type ${control.type}; "${id}" is ${other.type}`,
      ]);
    }
  });
});

describe('a route', () => {
  const routed = CATALOGUE.flatMap((model) =>
    Object.entries(model.routes).flatMap(([routeId, route]) =>
      (['from', 'to'] as const).flatMap((end) =>
        route[end].map((portId, index) => ({
          model,
          portId,
          end,
          path: ['routes', routeId, end, index] as const,
        })),
      ),
    ),
  );
  it('is told where it names a port that is not there', () => {
    for (const { model, path } of routed)
      expect(told(modelProblems(withAt(model, path, 'no-such')), path)).toBe(
        'expected a port of this model; there is no "no-such"',
      );
  });
  it('is told where it leaves by an input or comes in by an output', () => {
    for (const { model, path, portId, end } of routed) {
      const turned = withAt(model, ['ports', portId, 'direction'], end === 'from' ? 'out' : 'in');
      expect(told(modelProblems(turned), path)).toBe(`"${portId}" points the other way`);
    }
  });
});

describe('what a control offers', () => {
  const camera = classById('camera-studio');
  const format = camera.controls['format'];
  if (format?.type !== 'choice') throw new Error('no formats');
  const offering = (value: string): readonly ModelProblem[] =>
    modelProblems(
      withAt(camera, ['controls', 'format', 'options', 0], { value, label: 'Something' }),
    );
  it('must be formats, where a picture is sent by it', () =>
    expect(offering('large')).toEqual([
      {
        path: ['controls', 'format', 'options', 0, 'value'],
        message: 'expected a picture format such as 1920x1080p60',
      },
    ]));
  it.each(['as received', 'best that fits', 'first connected', '1920x1080p60000/1001'])(
    'may be “%s”',
    (value) => expect(offering(value)).toEqual([]),
  );
  it('must be patterns, where a microphone hears by it', () => {
    const microphone = classById('mic-condenser-large');
    const [problem] = modelProblems(
      withAt(microphone, ['controls', 'pattern', 'options', 0], {
        value: 'banana',
        label: 'Banana',
      }),
    );
    expect(problem?.message).toBe(
      'expected every option of "pattern" to be one of omni, cardioid, supercardioid, ' +
        'hypercardioid, figure of eight, half space',
    );
  });
  it('cannot be more keyers that make smaller than there are keyers', () => {
    const switcher = CATALOGUE.find(({ mixes }) => mixes !== undefined);
    if (!switcher?.mixes) throw new Error('no switcher mixes');
    const { keyers } = switcher.mixes;
    expect(modelProblems(withAt(switcher, ['mixes', 'resizingKeyers'], keyers + 1))).toEqual([
      {
        path: ['mixes', 'resizingKeyers'],
        message: `expected at most ${keyers}, as many as there are keyers`,
      },
    ]);
    expect(modelProblems(withAt(switcher, ['mixes', 'resizingKeyers'], keyers))).toEqual([]);
  });
});
