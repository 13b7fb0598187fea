import { analyse } from '../analyse';
import { CATALOGUE, classById } from '../catalogue';
import { apply } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { compareIn, worstVoice } from './compare';

const analysis = analyse(demoRig('second-firing'));
const interfaces = CATALOGUE.filter(({ kind }) => kind === 'interface');

describe('interfaces in Second Firing', () => {
  const tried = compareIn(analysis, 'interface', interfaces.slice(0, 4));
  it('are each told, those that cannot stand there with the reason', () => {
    expect(tried).toHaveLength(Math.min(4, interfaces.length));
    expect(tried.some(({ why }) => why === null)).toBe(true);
    for (const { why, verdict, commands } of tried)
      expect([why === null, verdict === null, commands.length > 0]).toEqual(
        why === null ? [true, false, true] : [false, true, false],
      );
  });
  it('have the figures that swapping each by hand gives', () => {
    for (const { why, verdict, worst, commands } of tried) {
      if (why !== null) continue;
      const byHand = analyse(commands.reduce((rig, command) => apply(rig, command), analysis.rig));
      expect(verdict).toEqual(byHand.verdict);
      expect(worst).toEqual(worstVoice(byHand));
    }
  });
  it('is the device itself where it is compared with itself', () => {
    const own = analysis.rig.devices['interface']?.model;
    if (!own) throw new Error('it is there');
    const [same] = compareIn(analysis, 'interface', [own]);
    expect([same?.brings, same?.takes, same?.verdict]).toEqual([[], [], analysis.verdict]);
  });
  it('say which cable would hang loose', () => {
    const [microphone] = compareIn(analysis, 'interface', [classById('webcam')]);
    expect(microphone?.why).toMatch(/^.* has no socket left for the cable in “.*”\.$/);
  });
});
