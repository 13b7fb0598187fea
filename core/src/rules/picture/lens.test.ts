import { analyse, fixesOf } from '../../analyse';
import { CATALOGUE } from '../../catalogue';
import { predict } from '../../predict/predict';
import { apply, type Rig, USUAL_LENSES } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { shotOf } from '../rigs-for-cases';

const never = (): never => {
  throw new Error('there are no usual lenses');
};

/** A fixed lens of 35 mm on the case's camera. */
const fixed = { name: 'Fixed', focal: { shortestMm: 35, longestMm: 35 }, widest: 2, nearestM: 0.3 };

/** Two lenses more in the cupboard: one of 30 mm that fits, one that does not. */
const withSpare = (rig: Rig): Rig =>
  [
    ['spare', { ...fixed, name: 'Spare', focal: { shortestMm: 29, longestMm: 31 } }],
    [
      'alien',
      { ...fixed, name: 'Alien', focal: { shortestMm: 10, longestMm: 90 }, mount: 'Other' },
    ],
  ].reduce<Rig>((given, [lensId, more]) => {
    const [usual] = USUAL_LENSES;
    if (!usual || typeof lensId !== 'string') throw new Error('no lens');
    return apply(given, { type: 'addLens', lensId, lens: { ...usual, ...(more as object) } });
  }, rig);

ruleCases('picture.lens-unknown', {
  valid: {
    'a lens is on it': shotOf().build(),
    'its lens is built in': shotOf({ camera: 'camera-camcorder' }).build(),
  },
  invalid: {
    'a body, and no lens said': {
      rig: shotOf({ lens: null }).build(),
      level: 'note',
      says: /set to 35\.0 mm, and no lens of the rig is on it/,
      fixes: [/^Add 35 mm, fast \(35 mm f\/1\.8\) and put it on Camera$/],
    },
  },
});

ruleCases('picture.lens-short', {
  valid: {
    'set to what it has': shotOf({ lens: fixed }).build(),
    'a zoom within its range': shotOf({ settings: { 'focal-length': 60 } }).build(),
  },
  invalid: {
    'set to 50 mm, and it has 35': {
      rig: shotOf({ lens: fixed, settings: { 'focal-length': 50 } }).build(),
      level: 'warn',
      says: /goes from 35\.0 to 35\.0 mm: it counts as 35\.0 mm/,
      fixes: ['Set Camera to 35.0 mm'],
    },
    'set to f/1.4 in the plan, and it opens to f/4': {
      rig: shotOf({ lens: { ...fixed, widest: 4 }, settings: { 'f-number': 2 } }).build(),
      level: 'warn',
      says: /opens to f\/4\.0: it counts as f\/4\.0/,
      fixes: ['Set Camera to f/4.0'],
    },
  },
});

ruleCases('picture.lens-near', {
  valid: { 'at 1.72 m, focusing from 0.3': shotOf({ lens: fixed }).build() },
  invalid: {
    'at 0.4 m, focusing from 0.85': {
      rig: shotOf({ lens: { nearestM: 0.85 }, shot: { distanceM: 0.4 } }).build(),
      level: 'stop',
      says: /does not focus nearer than 0\.85 m/,
      fixes: ['Stand Camera at 0.85 m'],
    },
  },
});

const onTwo = (): Rig =>
  apply(shotOf().device('second', 'camera-full-frame', { name: 'Second' }).build(), {
    type: 'mountLens',
    deviceId: 'second',
    lensId: 'zoom',
  });

ruleCases('picture.lens-twice', {
  valid: { 'on one camera': shotOf().build() },
  invalid: {
    'on two cameras': {
      rig: onTwo(),
      level: 'stop',
      says: /Zoom is said to be on Camera and Second/,
      fixes: ['Leave Zoom on Camera alone'],
    },
  },
});

describe('a lens on a body it does not fit', () => {
  it('comes off where the body is replaced by one with its lens built in', () => {
    const rig = shotOf().build();
    const model = CATALOGUE.find(({ classId }) => classId === 'camera-ptz');
    if (!model) throw new Error('no class');
    const replaced = apply(rig, { type: 'replaceModel', deviceId: 'camera', model });
    expect([rig.devices['camera']?.lensId, replaced.devices['camera']?.lensId]).toEqual([
      'zoom',
      null,
    ]);
  });
  it('is refused in words', () => {
    const rig = shotOf({ camera: 'camera-camcorder' })
      .do({
        type: 'addLens',
        lensId: 'other',
        lens: { ...(USUAL_LENSES[0] ?? never()), mount: 'Other' },
      })
      .build();
    expect(() => apply(rig, { type: 'mountLens', deviceId: 'camera', lensId: 'other' })).toThrow(
      /has its lens built in/,
    );
    expect(() =>
      apply(
        apply(shotOf().build(), {
          type: 'changeLens',
          lensId: 'zoom',
          lens: { mount: 'Other' },
        }),
        { type: 'mountLens', deviceId: 'camera', lensId: 'zoom' },
      ),
    ).toThrow(/does not fit Camera, whose mount is Mirrorless/);
  });
  it('counts for nothing once its mount has been typed over', () => {
    const rig = apply(shotOf().build(), {
      type: 'changeLens',
      lensId: 'zoom',
      lens: { mount: 'Other' },
    });
    expect(analyse(rig).findings.map(({ code }) => code)).toContain('picture.lens-unknown');
  });
});

describe('a focal length is never conjured', () => {
  const missed = (rig: Rig): string[] => {
    const analysis = analyse(rig);
    const finding = analysis.findings.find(({ code }) => code === 'picture.shot-missed');
    if (!finding) throw new Error('the shot is right');
    const fixes = fixesOf(analysis, finding);
    for (const fix of fixes) expect(predict(analysis, finding, fix).cures).toBe(true);
    return fixes.map(({ label }) => label);
  };
  // Head and shoulders from 1.4 m on 13.22 mm: 28.5 mm.
  const near = { lens: fixed, shot: { distanceM: 1.4 } };
  it('a fixed lens is moved, not set', () =>
    expect(missed(shotOf(near).build())).toEqual(['Stand Camera at 1.72 m']));
  it('a zoom is set', () =>
    expect(missed(shotOf({ shot: { distanceM: 1.4 } }).build())).toEqual([
      'Set Camera to 28.5 mm',
      'Stand Camera at 1.72 m',
    ]));
  it('a lens that lies in the cupboard and fits is put on', () =>
    expect(missed(withSpare(shotOf({ ...near, shot: { distanceM: 1.45 } }).build()))).toEqual([
      'Put Spare (29–31 mm f/2) on Camera',
      'Stand Camera at 1.72 m',
    ]));
  it('a body without a lens is offered what is there, and nothing else', () =>
    expect(missed(shotOf({ ...near, lens: null }).build())).toEqual(['Stand Camera at 1.72 m']));
});

const lit = (settings: Record<string, number | boolean>, lightLux: number): Rig =>
  shotOf({ settings, shot: { lightLux } }).build();

describe('exposure is judged where somebody has set it', () => {
  const codes = (rig: Rig): string[] =>
    analyse(rig)
      .findings.map(({ code }) => code)
      .filter((code) => code.startsWith('picture.too-'));
  it('unknown: nothing is said', () => {
    const unknown = shotOf({ camera: 'camera-full-frame', shot: { lightLux: 4000 } }).build();
    const camera = unknown.devices['camera'];
    if (!camera) throw new Error('no camera');
    const settings = Object.fromEntries(
      Object.entries(camera.settings).filter(([id]) => id !== 'iso'),
    );
    expect(
      codes({ ...unknown, devices: { ...unknown.devices, camera: { ...camera, settings } } }),
    ).toEqual([]);
  });
  it('by hand: f/2.8, 1/50, ISO 800 need 122.5 lux, and 400 are too bright', () =>
    expect(codes(lit({ 'f-number': 2.8, shutter: 50, iso: 800 }, 400))).toEqual([
      'picture.too-bright',
    ]));
  it('two stops of grey take it back', () =>
    expect(codes(lit({ 'f-number': 2.8, shutter: 50, iso: 800, 'grey-filter': 2 }, 400))).toEqual(
      [],
    ));
  it('automatic: never too bright, and too dark where ISO 3200 is not enough', () => {
    expect(codes(lit({ 'auto-exposure': true, 'f-number': 2.8, shutter: 50 }, 4000))).toEqual([]);
    // 250 · 2.8² ÷ (1/50 · 3200) = 30.6 lux
    expect(codes(lit({ 'auto-exposure': true, 'f-number': 2.8, shutter: 50 }, 15))).toEqual([
      'picture.too-dark',
    ]);
  });
});

describe('a stabiliser', () => {
  it('crops what is framed by 1.1', () => {
    const width = (stabiliser: boolean) =>
      analyse(
        shotOf({
          camera: 'camera-full-frame',
          settings: { stabiliser, 'overlays-off': true },
          shot: { distanceM: 2.4 },
        }).build(),
      ).findings.find(({ code }) => code === 'picture.shot-missed')?.title;
    expect(width(false)).toMatch(/Frames 1\.37 m height/);
    expect(width(true)).toMatch(/Frames 1\.25 m height/);
  });
});

const shutter = (value: number, hz: 50 | 60 | null, format = '1920x1080p50'): Rig => {
  const rig = shotOf({ settings: { shutter: value, format } }).build();
  return hz === null
    ? rig
    : apply(rig, { type: 'setMains', mains: { hz, volts: hz === 50 ? 230 : 120 } });
};

ruleCases('picture.flicker', {
  valid: {
    '1/50 on 50 Hz holds two cycles': shutter(50, 50),
    '1/100 on 50 Hz holds one': shutter(100, 50),
    '1/60 on 60 Hz': shutter(60, 60, '1920x1080p60'),
    'nobody has said what the mains is': shutter(60, null),
  },
  invalid: {
    '1/60 on 50 Hz holds 1.67': {
      rig: shutter(60, 50),
      level: 'note',
      sum: 1.667,
      fixes: ['Set Camera to 1/50 s'],
    },
    '1/125 on 50 Hz holds 0.8': {
      rig: shutter(125, 50),
      level: 'note',
      sum: 0.8,
      fixes: ['Set Camera to 1/100 s'],
    },
  },
});

ruleCases('picture.shutter-long', {
  valid: {
    '1/60 at 60 frames': shutter(60, null, '1920x1080p60'),
    '1/60 at 59.94 frames': shutter(60, null, '1920x1080p60000/1001'),
  },
  invalid: {
    '1/50 at 60 frames': {
      rig: shutter(50, null, '1920x1080p60'),
      level: 'warn',
      says: /a frame lasts 1\/60 s/,
      fixes: ['Set Camera to 1/60 s'],
    },
    '1/24 at 60 frames, on 60 Hz': {
      rig: shutter(24, 60, '1920x1080p60'),
      level: 'warn',
      fixes: ['Set Camera to 1/60 s'],
    },
  },
});
