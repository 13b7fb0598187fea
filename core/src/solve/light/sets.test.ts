import { analyse, type Analysis } from '../../analyse';
import { apply, type Rig, type SimpleCommand } from '../../rig';
import { about, camera, doing, fill, key, lit } from '../../rules/light-for-cases';
import { missedNow } from './answer';
import { setLightInSets } from './sets';
import type { LightWish } from './wish';

const WISH: LightWish = { aim: 'power', faceLux: 300 };

const batch = (rig: Rig, commands: readonly SimpleCommand[]): Rig =>
  apply(rig, { type: 'batch', label: 'Looks', commands: [...commands] });

/** The host talks where the lamps are made for, and then stands so far ahead. */
const twoSets = (farM: number): Analysis =>
  analyse(
    lit(
      key,
      fill,
      camera(),
      doing(
        { type: 'keepSet', setId: 'talk', name: 'Talk' },
        {
          type: 'changePerson',
          personId: 'host',
          person: { at: { ...about(farM, 0), facingDeg: 0 } },
        },
        { type: 'keepSet', setId: 'wheel', name: 'Wheel' },
        { type: 'standAsSet', setId: 'talk' },
      ),
    ),
  );

describe('every set with the same lamps', () => {
  it('is nothing where there is no set', () => {
    const found = setLightInSets(analyse(lit(key, fill)), WISH);
    expect(found).toEqual({ together: null, sets: [], looks: [] });
  });
  it('keeps a look for each that meets the wish there, and leaves the lamps as they are set', () => {
    const analysis = twoSets(0.5);
    const { sets, looks } = setLightInSets(analysis, WISH);
    expect(sets.map(({ name, answer }) => [name, answer?.isMet])).toEqual([
      ['Talk', true],
      ['Wheel', true],
    ]);
    const after = batch(analysis.rig, looks);
    expect(Object.values(after.looks).map(({ name, setId }) => [name, setId])).toEqual([
      ['Talk', 'talk'],
      ['Wheel', 'wheel'],
    ]);
    expect(Object.values(after.devices).map(({ settings }) => settings)).toEqual(
      Object.values(analysis.rig.devices).map(({ settings }) => settings),
    );
    for (const [lookId, { setId }] of Object.entries(after.looks)) {
      const standing = batch(after, [
        { type: 'standAsSet', setId: setId ?? '' },
        { type: 'recallLook', lookId },
      ]);
      expect(missedNow(analyse(standing), WISH)).toEqual([]);
    }
    // Asked again it writes over its own looks.
    const again = setLightInSets(analyse(after), WISH);
    expect(Object.keys(batch(after, again.looks).looks)).toEqual(Object.keys(after.looks));
  });
  it('finds one setting for both where there is one: it meets the wish in each', () => {
    const analysis = twoSets(0.2);
    const { together } = setLightInSets(analysis, WISH);
    expect(together?.isMet).toBe(true);
    const set = batch(analysis.rig, together?.commands ?? []);
    for (const setId of ['talk', 'wheel'])
      expect(missedNow(analyse(apply(set, { type: 'standAsSet', setId })), WISH)).toEqual([]);
  });
  it('says in which set what is missed where one setting cannot do', () => {
    const { together, sets } = setLightInSets(twoSets(1.7), WISH);
    expect(together?.isMet).toBe(false);
    expect(together?.says).toMatch(/Host in (Talk|Wheel): /);
    expect(sets.some(({ answer }) => answer?.isMet)).toBe(true);
  });
});
