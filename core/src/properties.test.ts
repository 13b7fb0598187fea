import fc from 'fast-check';
import { analyse, voiceFigures } from './analyse';
import { CATALOGUE } from './catalogue';
import { report } from './report';
import {
  apply,
  applyTracked,
  blankRig,
  type Command,
  commandSchema,
  importRig,
  isDeepEqual,
  type LogEntry,
  Refusal,
  revertOf,
  type Rig,
  rigToJson,
  sentence,
  undoState,
  USUAL_DELIVERABLES,
  USUAL_PERSON,
  USUAL_SHOT,
} from './rig';
import { isConversion } from './rules/places';
import { voice } from './rules/rigs-for-cases';

/** Any command, most of them sensible: ids from a small pool, so that they often meet. */
const ids = fc.constantFrom('a', 'b', 'c', 'mic', 'interface', 'computer', 'tracks');

const model = fc.constantFrom(...CATALOGUE);

const ends = fc.record({
  deviceId: ids,
  portId: fc.constantFrom('out', 'in', 'usb', 'mic-1', 'hdmi', 'in-1', 'programme'),
});

const simple = fc.oneof(
  fc.record({
    type: fc.constant('addDevice' as const),
    deviceId: ids,
    name: fc.constantFrom('One', 'Two'),
    model,
    settings: fc.constant({}),
    personId: fc.constant(null),
    placeId: fc.constant(null),
  }),
  fc.record({ type: fc.constant('removeDevice' as const), deviceId: ids }),
  fc.record({
    type: fc.constant('renameDevice' as const),
    deviceId: ids,
    name: fc.constantFrom('Three', 'Four'),
  }),
  fc.record({
    type: fc.constant('connect' as const),
    linkId: ids,
    from: ends,
    to: ends,
    cable: fc.record({
      kind: fc.constantFrom(
        'balanced' as const,
        'hdmi' as const,
        'usb-5g' as const,
        'inside' as const,
      ),
      lengthM: fc.constantFrom(1, 20),
    }),
  }),
  fc.record({ type: fc.constant('disconnect' as const), linkId: ids }),
  fc.record({
    type: fc.constant('setControl' as const),
    deviceId: ids,
    control: fc.constantFrom('gain-1', 'phantom-1', 'distance', 'format'),
    value: fc.oneof(fc.integer({ min: -10, max: 80 }), fc.boolean()),
  }),
  fc.record({
    type: fc.constant('addPerson' as const),
    personId: ids,
    person: fc.constant({ name: 'Someone', ...USUAL_PERSON }),
  }),
  fc.record({ type: fc.constant('removePerson' as const), personId: ids }),
  fc.record({
    type: fc.constant('setHouseRules' as const),
    rules: fc.record({
      headroomDb: fc.integer({ min: 0, max: 20 }),
      spareInputs: fc.constantFrom('one in four' as const, 'exact' as const),
    }),
  }),
  fc.record({
    type: fc.constant('writeBrief' as const),
    brief: fc.record({
      lengthMin: fc.integer({ min: 1, max: 600 }),
      budget: fc.constantFrom(null, 500),
    }),
  }),
  fc.record({
    type: fc.constant('addSight' as const),
    sightId: ids,
    sight: fc.record({
      name: fc.constant('Sight'),
      what: fc.constantFrom('hands' as const, 'screen' as const),
      shot: fc.constant('close' as const),
      people: fc.constantFrom<string[]>([], ['a'], ['a', 'b']),
    }),
  }),
  fc.record({ type: fc.constant('removeSight' as const), sightId: ids }),
  fc.record({ type: fc.constant('showSight' as const), deviceId: ids, sightId: fc.option(ids) }),
  fc.record({
    type: fc.constant('addDeliverable' as const),
    deliverableId: ids,
    deliverable: fc.constantFrom(...Object.values(USUAL_DELIVERABLES)),
  }),
  fc.record({ type: fc.constant('removeDeliverable' as const), deliverableId: ids }),
  fc.record({ type: fc.constant('replaceModel' as const), deviceId: ids, model }),
  fc.record({
    type: fc.constant('addShot' as const),
    shotId: ids,
    shot: fc
      .record({ deviceId: ids, personId: fc.option(ids), distanceM: fc.constantFrom(null, 1, 2.5) })
      .map((shot) => ({ ...USUAL_SHOT, ...shot })),
  }),
  fc.record({
    type: fc.constant('changeShot' as const),
    shotId: ids,
    shot: fc.constantFrom(
      { punchIn: 2 },
      { distanceM: 1.5 },
      { eyeLine: { offsetM: 0.1, distanceM: 1, side: 'below' as const } },
    ),
  }),
  fc.record({ type: fc.constant('removeShot' as const), shotId: ids }),
  fc.record({
    type: fc.constant('addScene' as const),
    sceneId: ids,
    scene: fc.record({
      name: fc.constant('Scene'),
      layers: fc.array(
        fc.record({ deviceId: ids, box: fc.constantFrom('full' as const, 'inset' as const) }),
        { maxLength: 3 },
      ),
      heard: fc.constantFrom<string[] | null>(null, ['a'], []),
    }),
  }),
  fc.record({ type: fc.constant('removeScene' as const), sceneId: ids }),
  fc.record({
    type: fc.constant('addButton' as const),
    buttonId: ids,
    button: fc.record({
      label: fc.constant('Button'),
      does: fc.oneof(
        fc.record({ type: fc.constant('scene' as const), sceneId: ids }),
        fc.constant({ type: 'black' as const }),
      ),
      guard: fc.constantFrom('none' as const, 'hold' as const),
    }),
  }),
  fc.record({ type: fc.constant('removeButton' as const), buttonId: ids }),
  fc.record({
    type: fc.constant('setOwnership' as const),
    deviceId: ids,
    ownership: fc.constantFrom('owned' as const, 'to buy' as const),
    price: fc.constantFrom(null, 10),
  }),
);

const commands: fc.Arbitrary<Command[]> = fc.array(
  fc.oneof(
    { weight: 5, arbitrary: simple },
    {
      weight: 1,
      arbitrary: fc.record({
        type: fc.constant('batch' as const),
        label: fc.constant('Several'),
        commands: fc.array(simple, { minLength: 1, maxLength: 4 }),
      }),
    },
  ),
  { minLength: 1, maxLength: 35 },
);

/** Applies what can be applied and keeps the log, as a session does. */
const play = (start: Rig, list: readonly Command[]): { rig: Rig; log: LogEntry[] } => {
  let rig = start;
  const log: LogEntry[] = [];
  list.forEach((command, index) => {
    try {
      const applied = applyTracked(rig, command);
      log.push({
        id: `entry-${index}`,
        author: 'someone',
        command,
        changes: applied.changes,
        says: sentence(rig, command),
      });
      rig = applied.rig;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  });
  return { rig, log };
};

describe('what must always hold', () => {
  it('undoing everything restores the bytes, redoing everything restores them again', () => {
    fc.assert(
      fc.property(commands, (list) => {
        const start = voice().build();
        let { rig, log } = play(start, list);
        const end = rigToJson(rig);
        for (const does of ['undo', 'redo'] as const)
          for (
            let item = undoState(log, 'someone')[does].at(-1);
            item;
            item = undoState(log, 'someone')[does].at(-1)
          ) {
            const command = revertOf(item, does);
            const applied = applyTracked(rig, command);
            log = [
              ...log,
              {
                id: `${item.id}-${does}`,
                author: 'someone',
                command,
                changes: applied.changes,
                says: sentence(rig, command),
              },
            ];
            rig = applied.rig;
            if (undoState(log, 'someone').undo.length === 0)
              expect(rigToJson(rig)).toBe(rigToJson(start));
          }
        expect(rigToJson(rig)).toBe(end);
      }),
      { numRuns: 120 },
    );
  });

  it('a rig reached by commands exports and imports to itself, and analyses to the same bytes twice', () => {
    fc.assert(
      fc.property(commands, (list) => {
        const { rig } = play(blankRig('Any'), list);
        const read = importRig(new TextEncoder().encode(rigToJson(rig)));
        expect(read.ok && isDeepEqual(read.rig, rig)).toBe(true);
        if (read.ok)
          expect(JSON.stringify(report(analyse(read.rig)))).toBe(
            JSON.stringify(report(analyse(rig))),
          );
      }),
      { numRuns: 80 },
    );
  });

  it('a refused command leaves the rig untouched, and every command survives the schema at the door', () => {
    fc.assert(
      fc.property(commands, (list) => {
        const before = rigToJson(voice().build());
        const rig = voice().build();
        for (const command of list) {
          expect(commandSchema.parse(JSON.parse(JSON.stringify(command)))).toEqual(command);
          try {
            apply(rig, command);
          } catch (error) {
            expect(error).toBeInstanceOf(Refusal);
          }
        }
        expect(rigToJson(rig)).toBe(before);
      }),
      { numRuns: 60 },
    );
  });

  it('adding gain never raises the signal-to-noise ratio by more than the converter hid', () => {
    const snrAt = (gain: number, microphone: string) => {
      const analysis = analyse(
        voice({ microphone, settings: { 'gain-1': gain, 'phantom-1': true } }).build(),
      );
      const stage = analysis.traced.stages.find((candidate) => isConversion(candidate));
      const input = stage?.parent ? analysis.sound[stage.parent.index] : undefined;
      return {
        digital: (stage && voiceFigures(analysis, stage)?.snrDb) ?? NaN,
        input: (input?.levelDb ?? NaN) - (input?.noise?.statedDb ?? NaN),
      };
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 69 }),
        fc.constantFrom('mic-dynamic-quiet', 'mic-dynamic-stage', 'mic-condenser-large'),
        (gain, microphone) => {
          const { digital, input } = snrAt(gain, microphone);
          expect(digital).toBeLessThanOrEqual(input + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('undo does not overwrite what someone else has changed since', () => {
    const start = voice().build();
    const { rig, log } = play(start, [{ type: 'renameDevice', deviceId: 'mic', name: 'Mine' }]);
    const theirs = apply(rig, { type: 'renameDevice', deviceId: 'mic', name: 'Theirs' });
    const [own] = log;
    expect(() => own && apply(theirs, revertOf(own, 'undo'))).toThrow('has been changed since');
  });
});
