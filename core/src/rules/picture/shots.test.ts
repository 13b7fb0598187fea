import { analyse } from '../../analyse';
import { framings } from '../../passes/framing';
import { ruleCases } from '../judge-for-cases';
import { shotOf } from '../rigs-for-cases';

ruleCases('picture.shot-missed', {
  valid: {
    'head and shoulders from 1.72 m with 35 mm': shotOf().build(),
    'a tenth too wide': shotOf({ shot: { distanceM: 1.9 } }).build(),
    'a distance nobody has measured': shotOf({ shot: { distanceM: null } }).build(),
  },
  invalid: {
    // 2.5 × 13.22 ÷ 35 = 0.944 m; 2.5 × 13.22 ÷ 0.65 = 50.846 mm
    'the same from 2.5 m': {
      rig: shotOf({ shot: { distanceM: 2.5 } }).build(),
      level: 'warn',
      says: /frames 0\.94 m of height .* 0\.65 m: too wide/,
      sum: 0.944,
      fixes: ['Set Camera to 50.8 mm', 'Stand Camera at 1.72 m'],
    },
    'a two-shot that cuts both off': {
      rig: shotOf({ shot: { wanted: 'two-shot', seatSpacingM: 1.2, distanceM: 1.72 } }).build(),
      level: 'warn',
      says: /1\.15 m of width and “two-shot” is 1\.80 m: too tight/,
      fixes: ['Set Camera to 22.5 mm', 'Stand Camera at 2.68 m'],
    },
    'a wall in the way: only the lens is offered': {
      rig: shotOf({ shot: { distanceM: 1, furthestM: 1.2 } }).build(),
      level: 'warn',
      fixes: ['Set Camera to 20.3 mm'],
    },
  },
});

ruleCases('picture.no-room', {
  valid: {
    'room enough': shotOf({ shot: { furthestM: 2 } }).build(),
    'a room nobody has measured': shotOf().build(),
  },
  invalid: {
    'a crop of 1.23 that asks for 2.12 m where there are 1.9': {
      rig: shotOf({
        camera: 'camera-mirrorless',
        settings: { format: '3840x2160p30', 'overlays-off': true },
        shot: { distanceM: 1.9, furthestM: 1.9 },
      }).build(),
      level: 'warn',
      says: /would stand at 2\.12 m, and it can go back 1\.90 m\. A 31\.4 mm lens would do from there; or 1080p/,
      sum: 2.117,
      fixes: ['Set Camera to 31.4 mm', /^Set Camera to 1080p/],
    },
  },
});

ruleCases('picture.punch-in', {
  valid: {
    '2160 lines cut twice as tight': shotOf({
      settings: { format: '3840x2160p60' },
      shot: { punchIn: 2 },
    }).build(),
    'nothing cut': shotOf().build(),
  },
  invalid: {
    '1080 lines cut twice as tight': {
      rig: shotOf({ shot: { punchIn: 2 } }).build(),
      level: 'warn',
      says: /Of Camera 1080 lines are kept, and 1080 are delivered/,
      sum: 1,
      fixes: ['Set Camera to 2160p60', 'Cut 1.00× at most'],
    },
  },
});

const looksAt = (offsetM: number, distanceM: number, side: 'beside' | 'below') =>
  shotOf({ shot: { eyeLine: { offsetM, distanceM, side } } }).build();
ruleCases('picture.eye-line', {
  valid: {
    '4 cm at 90 cm': looksAt(0.04, 0.9, 'beside'),
    'the same angle and a half below': looksAt(0.07, 0.9, 'below'),
  },
  invalid: {
    '12 cm at 90 cm beside': {
      rig: looksAt(0.12, 0.9, 'beside'),
      level: 'warn',
      says: /7\.6° beside the lens. The audience sees it/,
      sum: 7.595,
      fixes: ['Bring it within 4.7 cm of the lens'],
    },
    '6 cm at 90 cm beside': { rig: looksAt(0.06, 0.9, 'beside'), level: 'note', sum: 3.814 },
  },
});

const focus = (fNumber: number, more: Record<string, number> = {}) =>
  shotOf({ settings: { 'f-number': fNumber, ...more } }).build();
ruleCases('picture.sharp-thin', {
  valid: {
    'f/5.6 on somebody who sits': focus(5.6),
    'an autofocus that follows': shotOf({
      camera: 'camera-mirrorless',
      settings: { 'overlays-off': true, 'f-number': 2 },
    }).build(),
  },
  invalid: {
    'f/2 on somebody who sits': {
      rig: focus(2),
      level: 'warn',
      sum: 18.587,
      says: /sways 20 cm/,
      fixes: ['Close Camera to f/2.8'],
    },
  },
});

const lit = (lightLux: number) => shotOf({ shot: { lightLux } }).build();
ruleCases('picture.too-dark', {
  valid: {
    '122.5 lux at f/2.8, 1/50 s and ISO 800': lit(122.5),
    'a light nobody has measured': shotOf().build(),
  },
  invalid: {
    'half a stop and more too little': {
      rig: lit(61.25),
      level: 'warn',
      says: /needs 122 lux and 61 fall/,
      sum: 122.5,
      fixes: ['Set Camera to ISO 1600'],
    },
  },
});
ruleCases('picture.too-bright', {
  valid: { 'twice as much': lit(245) },
  invalid: {
    'eight times as much': {
      rig: lit(980),
      level: 'warn',
      says: /3\.0 stops more light .* grey filter of 3 stops/,
      sum: 122.5,
      fixes: ['Set Camera to ISO 200', 'Set the grey filter of Camera to 3 stops'],
    },
  },
});

ruleCases('picture.unmeasured', {
  valid: { 'everything known': shotOf().build() },
  invalid: {
    'a distance nobody has measured': {
      rig: shotOf({ shot: { distanceM: null } }).build(),
      level: 'note',
      says: /not known how far the lens is from the subject/,
    },
    'two seats without a distance': {
      rig: shotOf({ shot: { wanted: 'two-shot' } }).build(),
      level: 'note',
      says: /how far apart the seats are/,
    },
    'a sensor that is not known': {
      rig: shotOf()
        .do({ type: 'setFigure', deviceId: 'camera', path: 'camera.sensorWidthMm', value: null })
        .build(),
      level: 'note',
      says: /the size of the sensor/,
    },
  },
});

ruleCases('picture.slider', {
  valid: {
    'a camera that stands still': shotOf().build(),
    'a short travel': shotOf({ shot: { travelM: 0.3 } }).build(),
  },
  invalid: {
    'a metre of travel at 1.72 m': {
      rig: shotOf({ shot: { travelM: 1 } }).build(),
      level: 'note',
      says: /pan 32\.4° in all .* 0\.58 m from the middle/,
      sum: 32.418,
    },
  },
});

describe('the figures of a shot', () => {
  it('tells the crop of the mode, the lens on full frame and the space over the head', () => {
    const [framing] = framings(
      analyse(
        shotOf({
          camera: 'camera-mirrorless',
          settings: { format: '3840x2160p30', 'overlays-off': true },
          shot: { distanceM: 2.12, backgroundM: 1.5 },
        }).build(),
      ),
    );
    expect(framing?.crop).toBe(1.23);
    expect(framing?.distanceForWantedM).toBeCloseTo(2.117, 3);
    expect(framing?.heightM).toBeCloseTo(0.651, 3);
    expect(framing?.fullFrameFocalMm).toBeCloseTo(65.95, 2);
    expect(framing?.punchInMost).toBe(2);
    // A third of 0.651 m less the 0.11 m from eyes to crown.
    expect(framing?.headroomShare).toBeCloseTo(0.164, 3);
  });
});
