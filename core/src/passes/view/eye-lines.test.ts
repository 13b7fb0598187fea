import { analyse } from '../../analyse';
import { roomWithCamera } from '../../rules/plan-for-cases';
import { angleAtEyes, eyeLines } from './eye-lines';

const EYES = { xM: 0, yM: 0, zM: 1.2 };

describe('an eye line', () => {
  it('is 7.6° for 12 cm beside a lens at 90 cm', () =>
    expect(
      angleAtEyes(EYES, { xM: 0, yM: 0.9, zM: 1.2 }, { xM: 0.12, yM: 0.9, zM: 1.2 }),
    ).toBeCloseTo(7.6, 1));
  it('counts what is below the lens as well', () =>
    expect(angleAtEyes(EYES, { xM: 0, yM: 1, zM: 1.2 }, { xM: 0, yM: 1, zM: 0.2 })).toBeCloseTo(
      45,
      9,
    ));
  it('is told for each face, against screens and everybody else', () => {
    const rig = roomWithCamera()
      .person('guest', 'Guest', { at: { xM: 4, yM: 1, facingDeg: 0 } })
      .support('desk', 'Desk, 1.4 m', [3, 1.9, 0])
      .device('screen', 'display-sdi', { name: 'Notes' })
      .stand('screen', 'desk')
      .build();
    expect(
      eyeLines(analyse(rig)).map(({ person, camera, at, deg }) => [
        person,
        camera,
        at,
        Math.round(deg),
      ]),
    ).toEqual([
      ['Host', 'Camera', 'Notes', 24],
      ['Host', 'Camera', 'Guest', 90],
    ]);
  });
});
