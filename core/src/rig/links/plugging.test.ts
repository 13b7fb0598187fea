import { RigDraft } from '../../catalogue/draft';
import { apply, readRig, type Rig, rigToJson } from '..';
import { add, wire } from '../commands-for-cases';
import { type CableId, cable, reachM } from './cables';
import { linkAt } from './mating';

/** Two microphones, an interface, a camera, a capture device and a computer, with nothing plugged. */
const bench = (): Rig =>
  [
    add('mic', 'mic-dynamic-stage'),
    add('second', 'mic-dynamic-stage'),
    add('interface', 'interface-4'),
    add('camera', 'camera-camcorder'),
    add('capture', 'capture-5g'),
    add('computer', 'computer-desktop'),
    add('stream', 'stream'),
    add('file', 'recording-programme'),
  ].reduce<Rig>((rig, command) => apply(rig, command), new RigDraft('Bench').build());

const plugged = (): Rig => apply(bench(), wire('one', 'mic.out', 'interface.mic-1', 'balanced'));

describe('plugging in', () => {
  it.each([
    [
      'a second cable into an input',
      wire('two', 'second.out', 'interface.mic-1', 'balanced'),
      'interface, Input 1 already has a cable in it; remove that first.',
    ],
    [
      'a second cable out of an output',
      wire('two', 'mic.out', 'interface.mic-2', 'balanced'),
      'mic, Output already has a cable in it; remove that first.',
    ],
    [
      'the same two sockets again',
      wire('two', 'mic.out', 'interface.mic-1', 'balanced'),
      'already has a cable in it',
    ],
    [
      'a link of an id that is taken',
      wire('one', 'second.out', 'interface.mic-2', 'balanced'),
      '"one" is already in this rig',
    ],
    [
      'a device to itself',
      wire('two', 'interface.out-1', 'interface.line-1', 'balanced'),
      'interface cannot be connected to itself',
    ],
    [
      'a socket the device does not have',
      wire('two', 'second.out', 'interface.mic-9', 'balanced'),
      'interface has no port "mic-9"',
    ],
    [
      'a device that is not there',
      wire('two', 'second.out', 'desk.mic-1', 'balanced'),
      'There is no device "desk"',
    ],
    [
      'a cable that has no such plugs',
      wire('two', 'second.out', 'interface.mic-2', 'hdmi'),
      'HDMI cable, passive does not fit these two ports',
    ],
    [
      'a camera into a preamp',
      wire('two', 'camera.hdmi', 'interface.mic-2', 'balanced'),
      'one is picture, the other analogue sound',
    ],
  ] as const)('is refused: %s', (_name, command, says) => {
    const rig = plugged();
    const before = rigToJson(rig);
    expect(() => apply(rig, command)).toThrow(says);
    expect(rigToJson(rig)).toBe(before);
  });
  it('runs a cable from the output to the input, whichever way it is named', () => {
    const rig = apply(bench(), wire('one', 'interface.mic-1', 'mic.out', 'balanced'));
    expect(rig.links['one']).toMatchObject({
      from: { deviceId: 'mic', portId: 'out' },
      to: { deviceId: 'interface', portId: 'mic-1' },
    });
  });
  it('lets a program feed as many as ask for it', () => {
    const rig = apply(
      apply(bench(), wire('one', 'computer.programme', 'stream.in', 'inside')),
      wire('two', 'computer.programme', 'file.in', 'inside'),
    );
    expect(Object.keys(rig.links)).toEqual(['one', 'two']);
  });
  it('frees both sockets when a cable is pulled', () => {
    const free = apply(plugged(), { type: 'disconnect', linkId: 'one' });
    const again = apply(free, wire('two', 'second.out', 'interface.mic-1', 'balanced'));
    expect(linkAt(again, { deviceId: 'interface', portId: 'mic-1' })).toBe('two');
    expect(linkAt(again, { deviceId: 'mic', portId: 'out' })).toBeUndefined();
  });
  it('frees the far sockets when a device goes, and no others', () => {
    const both = apply(plugged(), wire('two', 'second.out', 'interface.mic-2', 'balanced'));
    const gone = apply(both, { type: 'removeDevice', deviceId: 'mic' });
    expect(Object.keys(gone.links)).toEqual(['two']);
    expect(() =>
      apply(
        apply(gone, add('third', 'mic-condenser-large')),
        wire('three', 'third.out', 'interface.mic-1', 'balanced'),
      ),
    ).not.toThrow();
  });
  it('changes the cable and leaves its ends', () => {
    const rig = apply(plugged(), {
      type: 'setCable',
      linkId: 'one',
      cable: { kind: 'unbalanced', lengthM: 4.5 },
    });
    expect(rig.links['one']).toEqual({
      from: { deviceId: 'mic', portId: 'out' },
      to: { deviceId: 'interface', portId: 'mic-1' },
      cable: { kind: 'unbalanced', lengthM: 4.5 },
    });
  });
});

/** A file in which somebody has written links by hand. */
const written = (links: Readonly<Record<string, unknown>>): unknown => ({
  ...(JSON.parse(rigToJson(bench())) as object),
  links,
});
const end = (deviceId: string, portId: string) => ({ deviceId, portId });
const balanced = { kind: 'balanced', lengthM: 3 };

describe('links of a file', () => {
  it.each([
    [
      'that lead from a device that is not there',
      { a: { from: end('ghost', 'out'), to: end('interface', 'mic-1'), cable: balanced } },
      'links.a.from.deviceId',
      'there is no device "ghost"',
    ],
    [
      'that lead to a port that is not there',
      { a: { from: end('mic', 'out'), to: end('interface', 'mic-7'), cable: balanced } },
      'links.a.to.portId',
      '"interface" has no port "mic-7"',
    ],
    [
      'that run the wrong way round',
      { a: { from: end('interface', 'mic-1'), to: end('mic', 'out'), cable: balanced } },
      'links.a.from.portId',
      'the link runs the wrong way round',
    ],
    [
      'that join a device to itself',
      {
        a: { from: end('interface', 'out-1'), to: end('interface', 'line-1'), cable: balanced },
      },
      'links.a.to.deviceId',
      'a device cannot be linked to itself',
    ],
    [
      'that join what cannot be joined',
      { a: { from: end('camera', 'hdmi'), to: end('interface', 'mic-1'), cable: balanced } },
      'links.a.to.portId',
      'these ports cannot be joined: one is picture, the other analogue sound',
    ],
    [
      'with a cable that does not fit',
      {
        a: {
          from: end('camera', 'hdmi'),
          to: end('capture', 'in'),
          cable: { kind: 'sdi-coax', lengthM: 3 },
        },
      },
      'links.a.cable.kind',
      'SDI coax, 75 Ω does not fit these ports',
    ],
    [
      'two of which share an input',
      {
        a: { from: end('mic', 'out'), to: end('interface', 'mic-1'), cable: balanced },
        b: { from: end('second', 'out'), to: end('interface', 'mic-1'), cable: balanced },
      },
      'links.b.to',
      'this port already holds link "a"',
    ],
  ])('%s', (_name, links, path, says) => {
    const read = readRig(written(links));
    expect(read.ok ? 'read' : read.problems).toEqual([{ path, says }]);
  });
  it('that are as they should be', () => {
    const read = readRig(
      written({
        a: { from: end('mic', 'out'), to: end('interface', 'mic-1'), cable: balanced },
        b: { from: end('second', 'out'), to: end('interface', 'mic-2'), cable: balanced },
      }),
    );
    expect(read.ok).toBe(true);
  });
});

describe('how far a cable goes, against the handbook', () => {
  it.each([
    ['hdmi', 3.564, 15],
    ['hdmi', 4.5, 7.5],
    ['hdmi', 14.256, 3],
    ['hdmi', 18, 0],
    ['hdmi-optical', 14.256, 30],
    ['sdi-coax', 1.485, 150],
    ['sdi-coax', 2.97, 100],
    ['sdi-coax', 5.94, 80],
    ['sdi-coax', 11.88, 60],
    ['sdi-coax', 12, 0],
    ['usb-2', 0.48, 5],
    ['usb-5g', 5, 3],
    ['usb-10g', 10, 1],
    ['ethernet', 1, 100],
    ['balanced', 0, 100],
    ['unbalanced', 0, 6],
  ] as const satisfies readonly (readonly [CableId, number, number])[])(
    '%s at %s Gb/s: %s m',
    (kind, gbps, metres) => expect(reachM(cable(kind), gbps)).toBe(metres),
  );
});

describe('radio', () => {
  const heard = new RigDraft('Radio')
    .device('transmitter', 'in-ear-transmitter')
    .device('one', 'in-ear-pack')
    .device('two', 'in-ear-pack')
    .link('transmitter.radio', 'one.radio', 0)
    .link('transmitter.radio', 'two.radio', 0);
  it('one transmitter is heard by any number of packs, and the file reads again', () => {
    expect(Object.keys(heard.build().links)).toHaveLength(2);
    expect(readRig(JSON.parse(rigToJson(heard.build()))).ok).toBe(true);
  });
  it('one pack hears one transmitter', () =>
    expect(() =>
      heard.device('other', 'in-ear-transmitter').link('other.radio', 'one.radio', 0),
    ).toThrow(/already has a cable in it/));
});
