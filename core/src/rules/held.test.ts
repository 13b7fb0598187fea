import { analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { coverage } from '../passes/coverage';
import { driveLoads, uplinkOf } from '../passes/computer/lines';
import { apply, importRig, type Rig, type Scene, USUAL_DELIVERABLES } from '../rig';
import { ruleCases } from './judge-for-cases';
import { show } from './rigs-for-cases';

/** What a rig can hold since version 8, and what is judged of it. */

const verdicts = (rig: Rig): Record<string, string> =>
  Object.fromEntries(coverage(analyse(rig)).map(({ id, verdict }) => [id, verdict]));

const codes = (rig: Rig): string[] => analyse(rig).findings.map(({ code }) => code);

const cameraOnly = (settings: Record<string, boolean | number | string> = {}): RigDraft =>
  new RigDraft('Case')
    .do({ type: 'writeBrief', brief: { lengthMin: 60 } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'files',
      deliverable: USUAL_DELIVERABLES['camera recordings'],
    })
    .person('host', 'Host', { isHeard: false })
    .device('camera', 'camera-camcorder', { name: 'Camera', person: 'host', settings });

describe('a recording is where the file is made', () => {
  it('a camera with a card that does not record is a camera with no cable in it', () => {
    const rig = cameraOnly().build();
    expect(verdicts(rig)).toMatchObject({
      'person:host:seen': 'missing',
      'deliverable:files:delivered': 'missing',
    });
    expect(codes(rig)).toContain('signal.unconnected');
  });
  it('one that records is seen, recorded by itself, and needs no cable', () => {
    const rig = cameraOnly({ record: true }).build();
    expect(verdicts(rig)).toMatchObject({
      'person:host:seen': 'met',
      'deliverable:files:delivered': 'met',
    });
    expect(codes(rig)).not.toContain('signal.unconnected');
    expect(analyse(rig).traced.threads.map(({ id }) => id)).toEqual([
      'picture:camera.card>camera.card',
    ]);
  });
  it('its card is as full as its bitrate makes it: 50 Mb/s are 22.5 GB an hour', () => {
    const [load] = driveLoads(analyse(cameraOnly({ record: true }).build()));
    expect(load?.gbPerHour).toBeCloseTo(22.5, 9);
    expect(load?.hours).toBeCloseTo(128 / 22.5, 9);
    const [idle] = driveLoads(analyse(cameraOnly().build()));
    expect(idle?.files).toEqual([]);
  });
  it('a card of sound holds 1.152 Mb/s a track', () => {
    const draft = new RigDraft('Case')
      .person('host', 'Host')
      .device('interface', 'interface-4-card', { settings: { 'gain-1': 57 } })
      .device('mic', 'mic-dynamic-stage', { person: 'host' })
      .link('mic.out', 'interface.mic-1');
    const [load] = driveLoads(analyse(draft.build()));
    expect(load?.mbps).toBeCloseTo(1.152, 9);
  });
  it('two files of a camera’s picture are told by where they are made', () => {
    const rig = cameraOnly({ record: true })
      .device('recorder', 'recorder-picture', { name: 'Recorder' })
      .link('camera.hdmi', 'recorder.in')
      .build();
    expect(
      analyse(rig)
        .traced.threads.filter(({ signal }) => signal === 'picture')
        .map(({ end }) => end.device.id),
    ).toEqual(['camera', 'recorder']);
  });
  it('a call that is recorded at their side is an independent recording, and no echo', () => {
    const called = (classId: string): Rig =>
      new RigDraft('Case')
        .person('guest', 'Guest', { where: 'remote' })
        .do({ type: 'writeBrief', brief: {} })
        .device('call', classId, { person: 'guest' })
        .device('computer', 'computer-laptop')
        .device('file', 'recording-programme')
        .link('call.receive', 'computer.call-in')
        .link('computer.call-out', 'call.send')
        .link('computer.programme', 'file.in')
        .build();
    expect(verdicts(called('call'))['person:guest:heard']).toBe('partly');
    expect(verdicts(called('call-recorded'))['person:guest:heard']).toBe('met');
    expect(codes(called('call-recorded'))).not.toContain('sound.mix-minus');
    const programme = apply(called('call-recorded'), {
      type: 'addDeliverable',
      deliverableId: 'programme',
      deliverable: USUAL_DELIVERABLES['programme recording'],
    });
    expect(
      coverage(analyse(programme)).find(({ id }) => id === 'deliverable:programme:delivered')?.by,
    ).toEqual(['file']);
    // Nobody is there to be sent to them, and their own file stays with them.
    expect(uplinkOf(analyse(called('call-recorded'))).mbps).toBe(0);
  });
  it('what a mixer sends a recorder is one track, not one a voice', () => {
    const tracks = (through: 'mixer' | 'recorder'): Rig => {
      const draft = new RigDraft('Case')
        .do({ type: 'writeBrief', brief: {} })
        .do({
          type: 'addDeliverable',
          deliverableId: 'tracks',
          deliverable: USUAL_DELIVERABLES['voice tracks'],
        })
        .device('recorder', 'recorder-sound')
        .device('mixer', 'mixer-8');
      ['one', 'two'].forEach((id, index) =>
        draft
          .person(id, id, { shot: null })
          .device(`${id}-mic`, 'mic-dynamic-stage', { person: id })
          .link(`${id}-mic.out`, `${through}.mic-${index + 1}`),
      );
      if (through === 'mixer') draft.link('mixer.main-1', 'recorder.line-1');
      return draft.build();
    };
    expect(verdicts(tracks('recorder'))['deliverable:tracks:delivered']).toBe('met');
    expect(verdicts(tracks('mixer'))['deliverable:tracks:delivered']).not.toBe('met');
  });
});

describe('a combo socket', () => {
  const one = (): RigDraft =>
    new RigDraft('Case')
      .device('interface', 'interface-2', { name: 'Interface' })
      .device('mic', 'mic-dynamic-stage')
      .device('keys', 'instrument-keyboard')
      .link('mic.out', 'interface.mic-1');
  it('takes one plug, whatever it is called', () =>
    expect(() => one().link('keys.out', 'interface.line-1')).toThrow(
      'Interface: Line 1 and Input 1 are one socket, and Input 1 has a plug in it; remove that first.',
    ));
  it('leaves the other socket alone', () =>
    expect(() => one().link('keys.out', 'interface.line-2')).not.toThrow());
  it('counts as in use where its line is', () => {
    const spare = (port: string): boolean => {
      const draft = new RigDraft('Case')
        .do({ type: 'writeBrief', brief: {} })
        .device('interface', 'interface-4-card');
      for (const n of [1, 2, 3])
        draft.device(`mic-${n}`, 'mic-dynamic-stage').link(`mic-${n}.out`, `interface.mic-${n}`);
      return codes(
        draft.device('keys', 'instrument-keyboard').link('keys.out', `interface.${port}`).build(),
      ).includes('brief.spare-inputs');
    };
    expect(spare('line-4')).toBe(true);
  });
  it('is told in a file that was made by hand', () => {
    const rig = one().build();
    const imported = importRig(
      new TextEncoder().encode(
        JSON.stringify({
          ...rig,
          links: {
            ...rig.links,
            again: {
              from: { deviceId: 'keys', portId: 'out' },
              to: { deviceId: 'interface', portId: 'line-1' },
              cable: { kind: 'unbalanced', lengthM: 1 },
            },
          },
        }),
      ),
    );
    expect(imported.ok ? [] : imported.problems.map(({ says }) => says)).toEqual([
      expect.stringContaining('already holds link'),
    ]);
  });
});

/** A camera and a slides computer behind a selector, and a camera beside it, into the show's switcher. */
const selected = (value = '1'): RigDraft =>
  show()
    .device('selector', 'selector-hdmi-2', { name: 'Selector', settings: { selected: value } })
    .device('left', 'camera-camcorder', { name: 'Left' })
    .device('right', 'camera-camcorder', { name: 'Right' })
    .link('left.hdmi', 'selector.in-1')
    .link('right.hdmi', 'selector.in-2')
    .link('selector.out', 'mix.in-4');

const sceneOf = (draft: RigDraft, layers: readonly string[], selects: Scene['selects'] = []): Rig =>
  draft
    .do({
      type: 'addScene',
      sceneId: 'scene',
      scene: {
        name: 'Scene',
        layers: layers.map((deviceId, index) => ({
          deviceId,
          box: index === 0 ? ('full' as const) : ('inset' as const),
        })),
        heard: null,
        selects,
      },
    })
    .build();

const TO_RIGHT = { deviceId: 'selector', control: 'selected', value: '2' };

describe('a selector', () => {
  it('leaves what is not chosen waiting, not lost', () => {
    const finding = analyse(selected().build()).findings.find(
      ({ code }) => code === 'signal.source-lost',
    );
    expect([finding?.level, finding?.title]).toEqual(['note', 'Picture is not chosen']);
    expect(finding?.says).toContain('Right waits at Selector');
  });
  it('is a way for whoever waits there', () => {
    const rig = selected()
      .person('third', 'Third')
      .do({ type: 'assignDevice', deviceId: 'right', personId: 'third', placeId: null })
      .build();
    const line = coverage(analyse(rig)).find(({ id }) => id === 'person:third:seen');
    expect([line?.verdict, line?.says]).toEqual([
      'met',
      'Right waits at Selector and reaches File when it is chosen there.',
    ]);
  });
});

ruleCases('picture.scene-dark', {
  valid: {
    'the input that is chosen': sceneOf(selected(), ['left']),
    'the other input, which the scene chooses': sceneOf(selected(), ['right'], [TO_RIGHT]),
  },
  invalid: {
    'the input that is not chosen': {
      rig: sceneOf(selected(), ['right']),
      level: 'stop',
      says: /Right does not reach Stream: it is not chosen at Selector/,
      fixes: ['Let Scene choose its inputs: Selector to 2'],
    },
    'both at once': {
      rig: sceneOf(selected(), ['left', 'right'], [TO_RIGHT]),
      level: 'stop',
      says: /Left does not reach Stream/,
    },
  },
});

const handWith = (buttons: number, is: 'pedal' | 'tablet', keys: number | null): Rig => {
  const draft = show().do({
    type: 'addHand',
    handId: 'hand',
    hand: { name: 'Hand', is, keys, personId: null },
  });
  for (let n = 1; n <= buttons; n++)
    draft.do({
      type: 'addButton',
      buttonId: `b-${n}`,
      button: { label: `B ${n}`, does: { type: 'black' }, guard: 'hold', handId: 'hand' },
    });
  return draft.build();
};

ruleCases('picture.too-many-for-hand', {
  valid: {
    'three on a pedal': handWith(3, 'pedal', null),
    'twenty on a tablet of any size': handWith(20, 'tablet', null),
  },
  invalid: {
    'four on a pedal': {
      rig: handWith(4, 'pedal', null),
      level: 'warn',
      says: /4 buttons are on Hand, which has 3/,
    },
    'seven on a tablet of six': { rig: handWith(7, 'tablet', 6), level: 'warn' },
  },
});
