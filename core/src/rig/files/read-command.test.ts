import fc from 'fast-check';
import {
  apply,
  blankRig,
  cleanLine,
  cleanText,
  type Command,
  readCommand,
  Refusal,
  RigDraft,
  rigToJson,
  shorten,
  writable,
} from '../..';
import { applyTracked } from '../apply';

const refusalOf = (value: unknown): string => {
  try {
    readCommand(value);
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'taken';
};

describe('a command from outside', () => {
  it('is refused in words that name the field', () => {
    const person = (more: object) => ({ type: 'changePerson', personId: 'host', person: more });
    expect(refusalOf({ type: 'setHouseRules', rules: { recordingsOfVoice: 2.3 } })).toBe(
      'This cannot be entered: recordings of voice: expected a whole number.',
    );
    expect(refusalOf({ type: 'setHouseRules', rules: { headroomDb: 41 } })).toBe(
      'This cannot be entered: headroom db: expected at most 40.',
    );
    expect(refusalOf({ type: 'setHouseRules', rules: { headroomDb: -1 } })).toBe(
      'This cannot be entered: headroom db: expected at least 0.',
    );
    expect(refusalOf(person({ name: '' }))).toBe('This cannot be entered: name: expected a name.');
    expect(refusalOf(person({ name: 'a\tb' }))).toBe(
      'This cannot be entered: name: expected text without control characters.',
    );
    expect(refusalOf(person({ name: 'x'.repeat(81) }))).toBe(
      'This cannot be entered: name: expected at most 80 characters.',
    );
    expect(refusalOf(person({ name: 7 }))).toBe('This cannot be entered: name: expected a string.');
    expect(refusalOf(person({ hat: true }))).toContain('there is no such field as hat');
    expect(refusalOf({ type: 'batch', label: 'x'.repeat(201), commands: [] })).toBe(
      'This cannot be entered: label: expected at most 200 characters.',
    );
  });

  it('of a kind that there is not is an error, never nothing', () => {
    for (const value of [{ type: 'paintTheShed' }, { type: null }, {}, null, 7, 'renameRig', []]) {
      expect(refusalOf(value)).toMatch(/^This cannot be entered: /);
    }
    expect(refusalOf({ type: 'paintTheShed' })).toBe(
      'This cannot be entered: this version of Echo Loom has no such edit.',
    );
  });

  it('to undo brings its entry and nothing else', () => {
    expect(readCommand({ type: 'revert', does: 'undo', entryId: 'entry-one' })).toEqual({
      type: 'revert',
      does: 'undo',
      entryId: 'entry-one',
    });
    expect(refusalOf({ type: 'revert', does: 'undo', entryId: 'entry-one', changes: [] })).not.toBe(
      'taken',
    );
    expect(refusalOf({ type: 'revert', does: 'undo', entryId: 'a\0b' })).not.toBe('taken');
  });

  it('is read or refused, whatever it is', () => {
    fc.assert(
      fc.property(fc.anything({ withBigInt: false }), (value) =>
        expect(typeof refusalOf(value)).toBe('string'),
      ),
    );
  });
});

describe('pasted text', () => {
  it('becomes a line that a name may be', () => {
    expect(cleanLine('Host\tmic\r\n')).toBe('Host mic');
    expect(cleanLine('  a \u0000\u0007 b\u2028c ')).toBe('a b c');
    expect(cleanLine(`${'x'.repeat(79)}\u{1F3A4}`)).toBe('x'.repeat(79));
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 120 }), (text) => {
        const line = cleanLine(text);
        expect(line === '' ? 'taken' : refusalOf({ type: 'renameRig', name: line })).toBe('taken');
      }),
    );
  });

  it('keeps its lines in notes and loses what cannot be written', () => {
    expect(cleanText('one\r\ntwo\rthree\tfour\u0000\uD800')).toBe('one\ntwo\nthree\tfour');
  });

  it('is shortened with an ellipsis, never in the middle of a character', () => {
    expect([shorten('abcdef', 4), shorten('abcd', 4), shorten('ab\u{1F3A4}cd', 4)]).toEqual([
      'abc…',
      'abcd',
      'ab…',
    ]);
  });

  it('can be written anywhere once it has no NUL and no half characters', () => {
    expect(writable('a\u0000b\uD800c\u{1F3A4}')).toBe('a\uFFFDb\uFFFDc\u{1F3A4}');
  });
});

describe('a command that changes nothing', () => {
  it('gives back the very rig, with no changes', () => {
    const rig = new RigDraft('Rig').place('shed', 'Shed').build();
    const idle: Command[] = [
      { type: 'renameRig', name: 'Rig' },
      { type: 'renamePlace', placeId: 'shed', name: 'Shed' },
      {
        type: 'batch',
        label: 'There and back',
        commands: [
          { type: 'addPlace', placeId: 'x', place: { name: 'X' } },
          { type: 'removePlace', placeId: 'x' },
        ],
      },
    ];
    for (const command of idle) {
      const applied = applyTracked(rig, command);
      expect([applied.rig === rig, applied.changes]).toEqual([true, []]);
    }
  });
});

describe('large batches', () => {
  const places = (count: number, stem: string): Command => ({
    type: 'batch',
    label: 'Places',
    commands: Array.from({ length: count }, (_, n) => ({
      type: 'addPlace',
      placeId: `${stem}-${n}`,
      place: { name: 'Place' },
    })),
  });
  it('give every item a place of its own in the order, the same as one after the other', () => {
    const together = apply(blankRig('Rig'), places(50, 'p'));
    const one = Array.from({ length: 50 }, (_, n) => n).reduce(
      (rig, n) => apply(rig, { type: 'addPlace', placeId: `p-${n}`, place: { name: 'Place' } }),
      blankRig('Rig'),
    );
    expect(rigToJson(together)).toBe(rigToJson(one));
  });
  it('see what they did themselves: a cable taken out and put in elsewhere', () => {
    const rig = new RigDraft('Rig')
      .device('mic', 'mic-dynamic-stage')
      .device('interface', 'interface-2')
      .link('mic.out', 'interface.mic-1', 3)
      .build();
    const [linkId = ''] = Object.keys(rig.links);
    const cable = { kind: 'balanced' as const, lengthM: 3 };
    const from = { deviceId: 'mic', portId: 'out' };
    const to = (portId: string) => ({ deviceId: 'interface', portId });
    const connect = (id: string, portId: string) => ({
      type: 'connect' as const,
      linkId: id,
      from,
      to: to(portId),
      cable,
    });
    const moved = apply(rig, {
      type: 'batch',
      label: 'Move',
      commands: [{ type: 'disconnect', linkId }, connect(linkId, 'mic-2')],
    });
    expect(moved.links[linkId]?.to.portId).toBe('mic-2');
    expect(() =>
      apply(rig, { type: 'batch', label: 'Twice', commands: [connect('again', 'mic-2')] }),
    ).toThrow(/already has a cable in it/);
    expect(() =>
      apply(rig, {
        type: 'batch',
        label: 'Twice',
        commands: [{ type: 'disconnect', linkId }, connect('a', 'mic-2'), connect('b', 'mic-1')],
      }),
    ).toThrow(/already has a cable in it/);
    const gone = apply(rig, {
      type: 'batch',
      label: 'Gone',
      commands: [
        { type: 'disconnect', linkId },
        connect('a', 'mic-2'),
        { type: 'removeDevice', deviceId: 'mic' },
      ],
    });
    expect(gone.links).toEqual({});
  });
});
