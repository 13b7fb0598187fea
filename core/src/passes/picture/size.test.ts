import { classById } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import {
  apply,
  BEST_THAT_FITS,
  type Deliverable,
  FIRST_CONNECTED,
  type Rig,
  type SimpleCommand,
  USUAL_DELIVERABLES,
} from '../../rig';
import { camera, show } from '../../rules/rigs-for-cases';
import { atSize, type Size } from './size';

const one = (classId: string, settings: Record<string, string | number> = {}): Rig => {
  let rig = new RigDraft('One').device('one', classId).build();
  for (const [control, value] of Object.entries(settings))
    rig = apply(rig, { type: 'setControl', deviceId: 'one', control, value });
  return rig;
};
/** What the device's controls are set to at a size. */
const set = (rig: Rig, size: Size): (string | number | boolean)[] =>
  atSize(rig, size).flatMap((command) => (command.type === 'setControl' ? [command.value] : []));
const delivered = (format: string | null, bitrateMbps: number | null, size: Size = 2160) => {
  const deliverable: Deliverable = {
    ...USUAL_DELIVERABLES.stream,
    name: 'Stream',
    order: 0,
    format,
    bitrateMbps,
  };
  const blank = new RigDraft('One').build();
  const rig: Rig = {
    ...blank,
    brief: {
      form: 'live',
      cut: 'long form',
      lengthMin: 60,
      showsPerMonth: 4,
      switchedBy: 'operator',
      budget: null,
      setUpMin: 30,
      room: 'fixed',
      uplinkMbps: null,
      sights: {},
      deliverables: { stream: deliverable },
    },
  };
  return atSize(rig, size).flatMap((command: SimpleCommand) =>
    command.type === 'changeDeliverable' ? [command.deliverable] : [],
  );
};

describe('a camera at a larger size', () => {
  it('takes the whole part of its rate that is nearest, where it has not the rate itself', () =>
    expect(set(one('camera-camcorder', { format: '1920x1080p60' }), 2160)).toEqual([
      '3840x2160p30',
    ]));
  it('keeps to its own family of rates', () => {
    for (const [from, to] of [
      ['1920x1080p50', '3840x2160p25'],
      ['1920x1080p60000/1001', '3840x2160p30000/1001'],
      ['1920x1080p24000/1001', '3840x2160p24000/1001'],
    ] as const)
      expect(set(one('camera-camcorder', { format: from }), 2160)).toEqual([to]);
  });
  it('keeps its rate where the size has it', () =>
    expect(set(one('camera-studio', { format: '1920x1080p60' }), 2160)).toEqual(['3840x2160p60']));
  it('stays as it is where it does not offer the size', () =>
    expect(set(one('camera-ptz', { format: '1920x1080p60' }), 2160)).toEqual([]));
  it('stays as it is where it stands at the size', () =>
    expect(set(one('camera-camcorder', { format: '3840x2160p25' }), 2160)).toEqual([]));
  it('goes on choosing for itself where it does', () =>
    expect(set(one('camera-camcorder', { format: 'best that fits' }), 2160)).toEqual([]));
  it('comes back to the smaller size in progressive pictures', () =>
    expect(set(one('camera-camcorder', { format: '3840x2160p25' }), 1080)).toEqual([
      '1920x1080p25',
    ]));
});

describe('a recorder at a larger size', () => {
  it('keeps its bits per pixel: four times the pixels, four times the bitrate', () =>
    expect(set(one('recorder-picture-sdi', { 'record-mbps': 100 }), 2160)).toContain(400));
  it('writes no faster than it can', () =>
    expect(set(one('recorder-picture-sdi', { 'record-mbps': 500 }), 2160)).toContain(1000));
});

describe('what is delivered at a larger size', () => {
  it('grows with its bitrate', () =>
    expect(delivered('1920x1080p30', 8)).toEqual([{ format: '3840x2160p30', bitrateMbps: 32 }]));
  it('grows upright where it stands upright', () =>
    expect(delivered('1080x1920p30', 6)).toEqual([{ format: '2160x3840p30', bitrateMbps: 24 }]));
  it('keeps a rate that is no whole number', () =>
    expect(delivered('1920x1080p30000/1001', 8)[0]?.format).toBe('3840x2160p30000/1001'));
  it('has no bitrate where none was asked for', () =>
    expect(delivered('1920x1080p30', null)).toEqual([{ format: '3840x2160p30' }]));
  it('stays where it stands at the size, or where no format is asked for', () => {
    expect(delivered('3840x2160p30', 32)).toEqual([]);
    expect(delivered(null, 8)).toEqual([]);
  });
  it('shrinks to the smaller size', () =>
    expect(delivered('3840x2160p25', 32, 1080)).toEqual([
      { format: '1920x1080p25', bitrateMbps: 8 },
    ]));
});

describe('the house at a larger size', () => {
  const rules = (size: Size) =>
    atSize(new RigDraft('One').build(), size).filter(({ type }) => type === 'setHouseRules');

  it('chooses the size and its school', () =>
    expect(rules(2160)).toEqual([
      {
        type: 'setHouseRules',
        rules: { chosenFormat: '3840x2160p60', captureSize: '2160p throughout' },
      },
    ]));
});

describe('a rig that stands at a size already', () => {
  it('is left alone, to the last setting', () => {
    const rig = apply(show().build(), {
      type: 'addDevice',
      deviceId: 'recorder',
      name: 'Recorder',
      model: classById('recorder-picture'),
      settings: {},
      personId: null,
      placeId: null,
    });
    expect(atSize(rig, 1080).filter(({ type }) => type !== 'changeDeliverable')).toEqual([]);
  });
  it('leaves what takes its format from what comes, from the first that is plugged, or from the way', () => {
    const commands = atSize(
      camera({ captureSettings: { 'capture-format': 'as received' } }).build(),
      2160,
    );
    expect(
      commands
        .filter(({ type }) => type === 'setControl')
        .map((command) => 'deviceId' in command && command.deviceId),
    ).not.toContain('capture');
    const best = new RigDraft('Case')
      .device('camera', 'camera-studio', { settings: { format: BEST_THAT_FITS } })
      .device('mix', 'switcher-20', { settings: { 'house-format': FIRST_CONNECTED } })
      .build();
    expect(atSize(best, 2160).filter(({ type }) => type === 'setControl')).toEqual([]);
  });
});
