import { analyse, fixesOf } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { coverage } from '../passes/coverage';
import { apply, type Rig, USUAL_DELIVERABLES } from '../rig';
import { fittingMbps } from './cards';

const asked = (lengthMin: number, ...classes: string[]): Rig => {
  const draft = new RigDraft('Case')
    .do({ type: 'writeBrief', brief: { lengthMin } })
    .do({ type: 'setHouseRules', rules: { switching: 'none, cut later' } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'files',
      deliverable: USUAL_DELIVERABLES['camera recordings'],
    })
    .device('screen', 'display-2160');
  classes.forEach((classId, index) =>
    draft.device(`camera-${index}`, classId, { name: `Camera ${index}` }),
  );
  return draft.build();
};

/** The first remedy for what is not delivered, applied. */
const started = (rig: Rig): Rig => {
  const analysis = analyse(rig);
  const finding = analysis.findings.find(({ code }) => code === 'brief.undelivered');
  const [fix] = finding ? fixesOf(analysis, finding) : [];
  return fix ? apply(rig, fix.command) : rig;
};

describe('letting cameras record on their cards', () => {
  it('fits a show on a card: 128 GB hold 10 h at 28.4 Mb/s', () =>
    expect(fittingMbps({ medium: 'card', capacityGb: 128, writeMBps: 60 }, 600)?.toFixed(1)).toBe(
      '28.4',
    ));
  it('starts every camera that has one, and delivers', () => {
    const rig = started(asked(60, 'camera-camcorder', 'camera-cinema'));
    expect(rig.devices['camera-0']?.settings).toEqual({ record: true });
    expect(rig.devices['camera-1']?.settings).toEqual({ record: true });
    expect(coverage(analyse(rig)).map(({ verdict }) => verdict)).toEqual(['met']);
  });
  it('lowers the bitrate of one whose card would be full before the end', () => {
    const rig = started(asked(600, 'camera-camcorder'));
    expect(rig.devices['camera-0']?.settings).toEqual({ record: true, 'card-mbps': 25 });
    expect(analyse(rig).findings.map(({ code }) => code)).not.toContain('computer.drive-full');
  });
  it('leaves one alone that would stop recording before the show does', () => {
    const rig = started(asked(60, 'camera-mirrorless'));
    expect(rig.devices['camera-0']?.settings).toEqual({});
  });
});
