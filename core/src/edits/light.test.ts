import { analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { lampSources } from '../passes/light';
import { doing, fill, key, lamp, lit, window } from '../rules/light-for-cases';
import { apply, type Rig } from '../rig';
import { setLight } from '../solve/light/answer';
import { moveLamp, raiseLamp } from './light';

/** A lamp on a bar of 4 × 0.6 m that looks to 90°, and one on a stand. */
const hung = (): Rig =>
  new RigDraft('Case')
    .support('bar', 'Grid, 3 m by 2 m', [3, 3, 90], {
      figures: { widthM: 4, depthM: 0.6, heightM: 2.4 },
    })
    .support('stand', 'Stand, light', [1, 1, 0], { figures: { heightM: 1.5 } })
    .device('hangs', 'light-spot', { name: 'Hangs' })
    .device('stands', 'light-panel', { name: 'Stands' })
    .stand('hangs', 'bar', 0, 0.1)
    .stand('stands', 'stand')
    .build();

const after = (rig: Rig, id: string, directionDeg: number, byM: number) => {
  const commands = moveLamp({ rig }, id, directionDeg, byM);
  if (commands.length === 0) return null;
  const then = apply(rig, { type: 'batch', label: 'Moved', commands });
  return lampSources(analyse(then)).find((source) => source.id === id)?.at ?? null;
};
const at = (id: string) => lampSources(analyse(hung())).find((source) => source.id === id)?.at;

describe('a lamp that is moved', () => {
  it.each([0, 180, 45, 200])(
    'along its bar goes to %i° on the plan, whichever way the bar looks',
    (directionDeg) => {
      const [from, to] = [at('hangs'), after(hung(), 'hangs', directionDeg, 0.2)];
      if (!from || !to) throw new Error('not moved');
      const turn = (directionDeg * Math.PI) / 180;
      expect(to.xM - from.xM).toBeCloseTo(0.2 * Math.sin(turn), 1);
      expect(to.yM - from.yM).toBeCloseTo(0.2 * Math.cos(turn), 1);
    },
  );
  it('does not leave the bar', () => {
    expect(after(hung(), 'hangs', 90, 0.5)).toBeNull();
    expect(after(hung(), 'hangs', 0, 2.5)).toBeNull();
  });
  it('takes its stand along, and draws it out', () => {
    const [from, to] = [at('stands'), after(hung(), 'stands', 90, 0.5)];
    expect((to?.xM ?? 0) - (from?.xM ?? 0)).toBeCloseTo(0.5, 6);
    expect(raiseLamp(analyse(hung()), 'stands', 0.3)).toMatchObject([
      { type: 'changeSupport', supportId: 'stand', support: { figures: { heightM: 1.8 } } },
    ]);
  });
});

describe('the sun through a window', () => {
  const turned = doing({
    type: 'changePerson',
    personId: 'host',
    person: { at: { xM: 3, yM: 1.5, facingDeg: 90 } },
  });
  const isOn = (atMin: number): boolean =>
    analyse(lit(turned, key, fill, window({ atMin, on: '2026-03-21' }))).findings.some(
      ({ code }) => code === 'light.sun-on',
    );
  it('reaches a face while it stands low, and passes over it once it stands higher', () => {
    expect(isOn(400)).toBe(true);
    // Three metres from the glass a sun over 25° comes in above the window.
    expect(isOn(600)).toBe(false);
  });
});

it('hair is let be up to a stop over the key, and no more', () => {
  const rig = lit(key, fill, lamp('hair', 'light-spot', 1.8, 160, 2.3, 30));
  const answer = setLight(analyse(rig), { aim: 'power', faceLux: 300 });
  const then = apply(rig, { type: 'batch', label: 'Set', commands: [...(answer?.commands ?? [])] });
  expect(analyse(then).findings.map(({ code }) => code)).not.toContain('light.hair-strong');
});
