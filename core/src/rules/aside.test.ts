import { analyse, type Analysis, fixesOf, reanalyse } from '../analyse';
import { apply, type Rig } from '../rig';
import { predict } from '../predict/predict';
import { nextStep } from '../solve/next-step';
import { asideCommands, figuresOf } from './aside';
import { demoRig } from './demo-for-cases';
import { type Finding, findingKey } from './rule';

const SHORT = 'sound.gain-short';

const found = (analysis: Analysis, code: string): Finding => {
  const finding = analysis.findings.find((one) => one.code === code);
  if (!finding) throw new Error(`no ${code}`);
  return finding;
};

const putAside = (rig: Rig, findings: readonly Finding[], reason = 'Only for rehearsals.'): Rig =>
  apply(rig, {
    type: 'batch',
    label: 'Put aside',
    commands: asideCommands(analyse(rig), findings, reason),
  });

const codes = (analysis: Analysis): string[] => analysis.findings.map(({ code }) => code);

describe('a finding put aside', () => {
  const rig = demoRig('night-tide');
  const before = analyse(rig);
  const short = found(before, SHORT);
  const aside = putAside(rig, [short]);
  const after = analyse(aside);

  it('presses no more, is listed with its reason, and counts apart', () => {
    expect(after.findings.map(findingKey)).toEqual(
      before.findings.map(findingKey).filter((key) => key !== findingKey(short)),
    );
    expect(after.aside.map(({ finding, reason }) => [finding.code, reason])).toEqual([
      [SHORT, 'Only for rehearsals.'],
    ]);
    // The co-reader is short as well, so the cause is told of one place fewer.
    const cause = (analysis: Analysis) =>
      analysis.causes.filter(({ finding }) => finding.code === SHORT);
    const places = (analysis: Analysis) => cause(analysis).flatMap((one) => one.places).length;
    expect(places(after)).toBe(places(before) - 1);
  });
  it('keeps the numbers it was judged by: 59.84 dB needed of 54', () => {
    const [record] = Object.values(aside.aside);
    expect(record?.figures).toEqual(expect.arrayContaining([59.84, 54]));
    expect(record?.figures).toEqual(figuresOf(before, short));
  });
  it('stays aside whatever else is edited', () => {
    const renamed = apply(aside, { type: 'renameDevice', deviceId: 'interface', name: 'Box' });
    expect(analyse(renamed).aside).toHaveLength(1);
  });
  it('is back as soon as one of its figures is another', () => {
    const farther = apply(aside, {
      type: 'setControl',
      deviceId: 'host-mic',
      control: 'distance',
      value: 0.3,
    });
    expect(analyse(farther).findings.map(findingKey)).toContain(findingKey(short));
    expect(analyse(farther).aside).toEqual([]);
  });
  it('put aside once more, it has one record, of now', () => {
    const farther = apply(aside, {
      type: 'setControl',
      deviceId: 'host-mic',
      control: 'distance',
      value: 0.3,
    });
    const again = putAside(farther, [found(analyse(farther), SHORT)], 'Still only for rehearsals.');
    expect(Object.values(again.aside).map(({ reason }) => reason)).toEqual([
      'Still only for rehearsals.',
    ]);
    expect(analyse(again).aside).toHaveLength(1);
  });
  it('taken up again, everything is as it was', () => {
    const [asideId = ''] = Object.keys(aside.aside);
    const up = apply(aside, { type: 'removeAside', asideId });
    expect(up.aside).toEqual({});
    expect(codes(analyse(up))).toEqual(codes(before));
  });
  it('goes with the device it is about', () => {
    const device = Object.keys(rig.devices).find((id) => findingKey(short).split('|').includes(id));
    if (device === undefined) throw new Error('about no device');
    expect(apply(aside, { type: 'removeDevice', deviceId: device }).aside).toEqual({});
  });
  it('is no next step, and no fix is said to bring it back', () => {
    const everything = putAside(rig, before.findings);
    const quiet = analyse(everything);
    expect(quiet.verdict).toEqual({ stops: 0, warns: 0, notes: 0 });
    expect(nextStep(quiet)).toBeNull();
    expect(quiet.aside).toHaveLength(before.findings.length);
  });
  it('a fix of something else that changes it does not bring it: it was there', () => {
    const other = found(after, 'brief.recorded-once');
    for (const fix of fixesOf(after, other))
      expect(predict(after, other, fix).brings.map(findingKey)).not.toContain(findingKey(short));
  });
  it('reanalysed, it is the same as analysed', () => {
    const again = reanalyse(before, aside);
    expect(again.findings).toEqual(after.findings);
    expect(again.aside).toEqual(after.aside);
  });
  it.each(['second-firing', 'harbour-hall'] as const)('each of %s can be, one by one', (name) => {
    const start = demoRig(name);
    const judged = analyse(start);
    for (const finding of judged.findings.slice(0, 12)) {
      const one = analyse(putAside(start, [finding]));
      expect(one.aside.map((item) => findingKey(item.finding))).toContain(findingKey(finding));
      expect(one.aside).toHaveLength(judged.aside.length + 1);
      expect(one.findings).toHaveLength(judged.findings.length - 1);
    }
  });
});
