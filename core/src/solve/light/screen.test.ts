import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { fill, key, lit, wall } from '../../rules/light-for-cases';
import { apply, type Rig } from '../../rig';
import { missedNow, setLight } from './answer';
import { after, WISH } from './light-for-cases';

describe('a green screen', () => {
  const screen = (): Rig =>
    [-1, 1]
      .reduce(
        (draft, side) =>
          draft
            .device(`flood${side}`, 'light-flood', { name: `Flood ${side}` })
            .do({
              type: 'placeDevice',
              deviceId: `flood${side}`,
              at: { xM: 3 + side, yM: 2.1, facingDeg: 180 },
              aim: null,
            })
            .do({ type: 'raiseDevice', deviceId: `flood${side}`, heightM: 1.5 })
            .lamp(`flood${side}`, { at: 'turned', downDeg: 0 }),
        new RigDraft(
          'Case',
          lit(
            key,
            fill,
            wall({
              name: 'Green screen',
              is: 'green screen',
              at: { xM: 3, yM: 0.1, facingDeg: 0 },
              widthM: 2,
              heightM: 1.2,
              bottomM: 0.9,
              hue: 'green',
              reflects: 0.3,
            }),
          ),
        ),
      )
      .build();
  it('is lit evenly and like the face', () => {
    const analysis = analyse(screen());
    const answer = setLight(analysis, WISH);
    if (!answer) throw new Error('no answer');
    expect(answer.isMet).toBe(true);
    const then = after(analysis, answer.commands);
    expect(then.findings.filter(({ code }) => /light\.screen-(uneven|level)/.test(code))).toEqual(
      [],
    );
    expect(missedNow(then, WISH)).toEqual([]);
  });
  it('leaves lamps that stand too near off, and takes the key for it instead', () => {
    const near = analyse(
      apply(screen(), {
        type: 'batch',
        label: 'Nearer',
        commands: [-1, 1].map((side) => ({
          type: 'placeDevice' as const,
          deviceId: `flood${side}`,
          at: { xM: 3 + side, yM: 0.7, facingDeg: 180 },
          aim: null,
        })),
      }),
    );
    const answer = setLight(near, WISH);
    const floods = answer?.levels.filter(({ id }) => id.startsWith('flood')) ?? [];
    expect(floods).toHaveLength(2);
    for (const { to } of floods) expect(to).toBeLessThan(5);
  });
});
