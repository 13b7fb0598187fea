import { analyse, type Analysis, fixesOf, sumsOf } from '../../analyse';
import { onSite } from '../../build';
import { predict } from '../../predict/predict';
import { apply, type HouseRules } from '../../rig';
import { voice } from '../rigs-for-cases';
import {
  changes,
  found,
  point,
  rigOf,
  rule,
  secondFiring,
  solo,
  two,
  usbSolo,
} from './schools-for-cases';

describe('switching a school re-judges at once, and the difference says how', () => {
  it('microphones: a USB microphone is right by one school and a warning by the other', () => {
    expect(found(usbSolo, 'brief.microphones')).toEqual([]);
    expect(changes(usbSolo, { microphones: 'xlr' })).toEqual({
      gone: [],
      fresh: ['brief.microphones'],
    });
    expect(found(rule(two, { microphones: 'usb' }), 'brief.microphones')[0]?.says).toContain(
      'for one person; 2 people on site are heard',
    );
    expect(found(rule(solo, { microphones: 'usb' }), 'brief.microphones')[0]?.level).toBe('note');
  });
  it(
    'capture size: 1080p cameras are too small for 2160p throughout, one warning a ' +
      'camera, and a fix sets each',
    () => {
      expect(changes(two, { captureSize: '2160p throughout' })).toEqual({
        gone: [],
        fresh: ['brief.capture-size'],
      });
      const large = analyse(rule(two, { captureSize: '2160p throughout' }));
      const warnings = large.findings.filter(({ code }) => code === 'brief.capture-size');
      expect(warnings.map(({ level, about }) => [level, about.deviceId])).toEqual([
        ['warn', 'first-voice-camera'],
        ['warn', 'second-voice-camera'],
      ]);
      const [finding] = warnings;
      const [fix] = finding ? fixesOf(large, finding) : [];
      expect(fix?.label).toBe(
        'Set First voice camera to 2160p30 (brings a stop: Format not taken)',
      );
      expect(finding && fix && predict(large, finding, fix).cures).toBe(true);
    },
  );
  it('capture size: a 2160p camera in a 1080p house is a note', () => {
    const rig = apply(two, {
      type: 'setControl',
      deviceId: 'first-voice-camera',
      control: 'format',
      value: '3840x2160p30',
    });
    expect(found(rig, 'brief.capture-size').map(({ level }) => level)).toEqual(['note']);
  });
  it('where sound is recorded: each other way is a warning for each voice', () => {
    expect(found(two, 'brief.sound-way')).toEqual([]);
    expect(
      found(rule(two, { soundRecorded: 'through the switcher' }), 'brief.sound-way'),
    ).toHaveLength(2);
    expect(found(rule(two, { soundRecorded: 'into the camera' }), 'brief.sound-way')).toHaveLength(
      2,
    );
    // The backup recorder of this rig is a stand-alone one.
    expect(found(rule(two, { soundRecorded: 'stand-alone recorder' }), 'brief.sound-way')).toEqual(
      [],
    );
  });
  it('room: what is alive enough by one school is a note by the other', () => {
    const placed = apply(
      apply(apply(two, { type: 'setRoom', room: { volumeM3: 40, rt60S: 0.6, noiseDba: null } }), {
        type: 'changePerson',
        personId: Object.keys(two.people)[0] ?? '',
        person: { at: { xM: 0, yM: 0, facingDeg: 0 } },
      }),
      {
        type: 'changePerson',
        personId: Object.keys(two.people)[1] ?? '',
        person: { at: { xM: 2, yM: 0, facingDeg: 0 } },
      },
    );
    const [microphone] = Object.entries(placed.devices).filter(
      ([, { model }]) => model.kind === 'microphone',
    );
    const far = apply(placed, {
      type: 'setControl',
      deviceId: microphone?.[0] ?? '',
      control: 'distance',
      value: 0.5,
    });
    expect(found(far, 'sound.reverberant')).toEqual([]);
    expect(changes(far, { room: 'dead' }).fresh).toEqual(['sound.reverberant']);
  });
  it('computers: one that does everything may not stream by the other two schools', () => {
    expect(changes(two, { computers: 'hardware encoder' })).toEqual({
      gone: [],
      fresh: ['brief.computers'],
    });
    expect(changes(two, { computers: 'two' })).toEqual({ gone: [], fresh: ['brief.computers'] });
    expect(found(rule(two, { computers: 'hardware encoder' }), 'brief.computers')[0]?.says).toBe(
      'stream' in two.devices
        ? 'Live stream comes from Computer; the house rule is a hardware encoder.'
        : '',
    );
  });
  it('spare inputs: four voices into four inputs is a warning by one school and nothing by the other', () => {
    const four = rigOf({
      ...point('two-voices').answers('Four'),
      people: ['a', 'b', 'c', 'd'].map((name) => onSite(name)),
      houseRules: { spareInputs: 'exact' },
    });
    expect(found(four, 'brief.spare-inputs')).toEqual([]);
    expect(changes(four, { spareInputs: 'one in four' })).toEqual({
      gone: [],
      fresh: ['brief.spare-inputs'],
    });
    expect(
      found(rule(four, { spareInputs: 'one in four' }), 'brief.spare-inputs').map(
        ({ title }) => title,
      ),
    ).toEqual(['4 of 4 inputs in use', '4 of 4 inputs in use']);
  });
  it('spare inputs show their sum: 4 − 4 = 0 free against 1', () => {
    const four = rigOf({
      ...point('two-voices').answers('Four'),
      people: ['a', 'b', 'c', 'd'].map((name) => onSite(name)),
      houseRules: { spareInputs: 'exact' },
    });
    const analysis = analyse(rule(four, { spareInputs: 'one in four' }));
    const finding = analysis.findings.find(({ code }) => code === 'brief.spare-inputs');
    const [sum] = finding ? sumsOf(analysis, finding) : [];
    expect([sum?.result, sum?.inputs.map(({ value }) => value)]).toEqual([0, [4, 4, 1]]);
  });
  it.each([
    [3, 4, false],
    [4, 4, true],
    [6, 8, false],
    [7, 8, true],
    [2, 2, false],
  ])('%s of %s inputs in use: a warning is %s', (voices, inputs, warned) => {
    const rig = rule(
      rigOf({
        ...point('two-voices').answers('Some'),
        people: Array.from({ length: voices }, (_, n) =>
          onSite(`Voice ${n}`, { shot: n === 0 ? 'face' : null }),
        ),
        houseRules: { spareInputs: 'exact' },
      }),
      { spareInputs: 'one in four' },
    );
    expect(rig.devices['desk']?.model.classId).toBe(
      inputs === 8 ? 'mixer-8' : `interface-${inputs}`,
    );
    expect(found(rig, 'brief.spare-inputs').some(({ about }) => about.deviceId === 'desk')).toBe(
      warned,
    );
  });
  it(
    'switching: a switcher is a note where nothing is switched in hardware, and cameras ' +
      'past one a warning where it is',
    () => {
      expect(
        found(rule(two, { switching: 'software' }), 'brief.switching').map(({ level }) => level),
      ).toEqual(['note']);
      const soft = rigOf({
        ...point('two-voices').answers('Soft'),
        houseRules: { switching: 'software' },
      });
      expect(changes(soft, { switching: 'hardware switcher' })).toEqual({
        gone: [],
        fresh: ['brief.switching'],
      });
    },
  );
  it('processing: a compressor on the way in is a note where the house is clean, and its fix switches it out', () => {
    const analysis: Analysis = analyse(secondFiring());
    const finding = analysis.findings.find(({ code }) => code === 'brief.processing');
    expect(finding?.level).toBe('note');
    const [fix] = finding ? fixesOf(analysis, finding) : [];
    expect(finding && fix && predict(analysis, finding, fix).cures).toBe(true);
    expect(changes(secondFiring(), { processing: 'on the way in' }).gone).toEqual([
      'brief.processing',
    ]);
  });
  it('monitoring: nobody needs headphones beside muted loudspeakers, unless a guest speaks', () => {
    const bare = apply(two, { type: 'removeDevice', deviceId: 'first-voice-phones' });
    expect(found(bare, 'brief.cannot-hear')).toHaveLength(1);
    expect(found(rule(bare, { monitoring: 'loudspeakers muted' }), 'brief.cannot-hear')).toEqual(
      [],
    );
    expect(
      found(rule(secondFiring(), { monitoring: 'loudspeakers muted' }), 'brief.cannot-hear').map(
        ({ about }) => about.line,
      ),
    ).toContain('person:potter:hears');
  });
  it('live cut or edit: a voice without a track is a warning where the show is edited', () => {
    const mixed = apply(
      rigOf({
        ...point('two-voices').answers('Mixed'),
        deliverables: ['stream', 'programme recording'],
      }),
      { type: 'removeDevice', deviceId: 'recording-tracks' },
    );
    expect(found(mixed, 'brief.tracks').map(({ title }) => title)).toEqual([
      'First voice has no track',
      'Second voice has no track',
    ]);
    expect(changes(mixed, { cut: 'one take' })).toEqual({ gone: ['brief.tracks'], fresh: [] });
    expect(found(two, 'brief.tracks')).toEqual([]);
  });
  it('no switching: a camera without a recorder is a warning, one with it is not', () => {
    expect(
      found(rule(two, { switching: 'none, cut later' }), 'brief.switching').map(
        ({ level, title }) => [level, title],
      ),
    ).toEqual([
      ['warn', 'No recording of its own'],
      ['warn', 'No recording of its own'],
    ]);
    const kept = rigOf({
      ...point('two-voices').answers('Kept'),
      deliverables: ['camera recordings', 'voice tracks'],
      houseRules: { switching: 'none, cut later' },
    });
    expect(found(kept, 'brief.switching')).toEqual([]);
  });
  it('scrolling text asks for a prompter', () =>
    expect(changes(two, { prompter: 'scrolling' })).toEqual({
      gone: [],
      fresh: ['brief.prompter'],
    }));
  it('a quiet dynamic: the booster comes before another input, or after it', () => {
    // What is plugged into the other interface is recorded too; an input that leads nowhere would be no remedy.
    const quiet = voice({
      microphone: 'mic-dynamic-quiet',
      interface: 'interface-2',
      settings: { 'gain-1': 54 },
    })
      .device('other', 'interface-4', { name: 'Better' })
      .link('other.usb', 'computer.usb-2', 2, 'usb-2')
      .build();
    const order = (school: HouseRules['quietDynamic']): string[] => {
      const analysis = analyse(rule(quiet, { quietDynamic: school }));
      const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
      return finding ? fixesOf(analysis, finding).map(({ label }) => label) : [];
    };
    const [nearer, booster, better] = [
      'Move Mic to 4 cm',
      'Add a booster after Mic',
      'Use Better, Input 1',
    ];
    expect(order('booster')).toEqual([nearer, booster, better]);
    expect(order('clean preamp')).toEqual([nearer, better, booster]);
  });
  it('recording level: gains set for −18 are 2 dB hot by the loudness-led school, inside its tolerance', () =>
    expect(changes(two, { recordingLevel: 'loudness-led' })).toEqual({ gone: [], fresh: [] }));
  it('prompter: a plain screen for the guest is not enough where a prompter is asked for', () => {
    const hybrid = rigOf(point('hybrid').answers('Hybrid'));
    expect(changes(hybrid, { prompter: 'second display' })).toEqual({
      gone: [],
      fresh: ['brief.cannot-see'],
    });
  });
});
