import fc from 'fast-check';
import { apply, freeId, inOrder, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { lengthOf, readRundown, rundownToCsv } from './rundown-files';

const rig = demoRig('second-firing');
const bare = (of: Rig) =>
  inOrder(of.segments).map(([, segment]) => {
    const { order, ...rest } = segment;
    return order < 0 ? null : rest;
  });

describe('a length', () => {
  it.each([
    ['4:30', 270],
    ['1:02:03', 3723],
    ['5 min', 300],
    ['5', 300],
    ['1,5 min', 90],
    ['90 s', 90],
    ['1 h', 3600],
    ['90:00', 5400],
    ['soon', null],
    ['4:75', null],
    ['', null],
    ['-3', null],
  ])('%s is %s s', (text, seconds) => expect(lengthOf(text)).toBe(seconds));
});

describe('a rundown from text', () => {
  it('takes the length where it stands, first or last', () => {
    const { segments, faults } = readRundown(
      'Hello from the shed  4:00\n\n12 min – At the wheel\nQuestions, 90 s\n1:00:00 The long one\n',
      rig,
    );
    expect(faults).toEqual([]);
    expect(segments.map(({ title, lengthS }) => [title, lengthS])).toEqual([
      ['Hello from the shed', 240],
      ['At the wheel', 720],
      ['Questions', 90],
      ['The long one', 3600],
    ]);
  });
  it('tells each fault by its line and takes the rest', () => {
    const { segments, faults } = readRundown(
      [
        'Title,Length,Scene,Heard',
        'Hello,4:00,,',
        ',3:00,,',
        'No length,,,',
        '"Two\nlines",1:00,,',
        'Elsewhere,2:00,The moon,',
        'Who,2:00,,Host; Nobody',
        'Too long,25 h,,',
        'Bye,1:00,Kiln,"Host, Co-host"',
      ].join('\n'),
      rig,
    );
    expect(faults.map(({ line, says }) => `${line} ${says}`)).toEqual([
      '3 it has no title',
      '4 “No length” has no length, such as 4:30 or 5 min',
      '7 there is no scene “The moon”',
      '8 there is nobody called “Nobody”',
      '9 “Too long” lasts 25:00:00; from a second to a day can be planned',
    ]);
    expect(segments.map(({ title }) => title)).toEqual(['Hello', 'Two lines', 'Bye']);
    expect(segments[2]).toMatchObject({ sceneId: 'kiln', heard: ['host', 'cohost'] });
  });
  it('reads a table of semicolons, and one that begins with a mark of its encoding', () => {
    expect(readRundown('\uFEFFTitle;Length\r\nHello;4:00\r\n', rig).segments).toHaveLength(1);
  });
  it('out and in is the same, whatever was typed', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            title: fc.string({ minLength: 1, maxLength: 40 }),
            lengthS: fc.integer({ min: 1, max: 86_400 }),
            cue: fc.string({ maxLength: 60 }),
            notes: fc.string({ maxLength: 60 }),
            isKiln: fc.boolean(),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (wanted) => {
          const { segments } = readRundown(
            rundownToCsv({
              ...rig,
              segments: Object.fromEntries(
                wanted.map(({ title, lengthS, cue, notes, isKiln }, order) => [
                  `s-${order}`,
                  {
                    title,
                    lengthS,
                    cue,
                    notes,
                    sceneId: isKiln ? 'kiln' : null,
                    heard: null,
                    order,
                  },
                ]),
              ),
            }),
            rig,
          );
          // What a document keeps of a text comes back as it is kept.
          let again: Rig = { ...rig, segments: {} };
          for (const segment of segments)
            again = apply(again, {
              type: 'addSegment',
              segmentId: freeId('segment', again.segments),
              segment,
            });
          expect(readRundown(rundownToCsv(again), rig).segments).toEqual(bare(again));
        },
      ),
    ));
});
