import { analyse, type Analysis, reanalyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { apply, type Rig, type SimpleCommand } from '../../rig';
import { randomRig } from '../../random-for-cases';
import { secondFiringWithConsole } from '../../rules/time/console-for-cases';
import { demoRig } from '../../rules/demo-for-cases';
import { done, known, sure, workedTime } from '../../rules/time/time-for-cases';
import { solveTiming } from '.';
import { type OtherWay, otherWays } from './other-ways';
import { times } from '../../runs-for-cases';

const NO_CONSOLE: SimpleCommand = { type: 'disconnect', linkId: 'interface-out-1-to-switcher' };

/** Worked D by the computer alone, and a second camera by a capture device of its own. */
const twoCameras: Rig = done(
  new RigDraft('Two cameras', done(sure, NO_CONSOLE))
    .device('side', 'camera-camcorder', {
      name: 'Side camera',
      settings: { format: '1920x1080p30000/1001' },
    })
    .device('side-capture', 'capture-5g', { name: 'Side capture' })
    .link('side.hdmi', 'side-capture.in')
    .link('side-capture.usb', 'computer.usb-3', 2)
    .build(),
  known('e', 'side', null, 66.73),
  known('f', 'side-capture', 'picture', 50),
);

const ofKind = (ways: readonly OtherWay[], kind: OtherWay['kind']): OtherWay => {
  const way = ways.find((one) => one.kind === kind);
  if (!way) throw new Error(`no way of kind ${kind}`);
  return way;
};

const wired = (analysis: Analysis, { commands }: OtherWay): Analysis =>
  reanalyse(
    analysis,
    apply(analysis.rig, { type: 'batch', label: 'Wire', commands: [...commands] }),
  );

describe('other ways than delays', () => {
  it('all cameras the same way: one delay instead of two, and it is as promised once it is wired', () => {
    const analysis = analyse(twoCameras);
    const way = ofKind(otherWays(analysis), 'cameras the same way');
    expect(way.label).toBe('Plug Side camera into Switcher, Input 2');
    expect([way.now.asSetMs, way.after.asSetMs].map((ms) => ms?.toFixed(2))).toEqual([
      '143.77',
      '143.77',
    ]);
    expect([way.now.delays, way.after.delays]).toEqual([2, 1]);
    const after = wired(analysis, way);
    expect(solveTiming(after)?.worstBeforeMs).toBeCloseTo(way.after.allSetMs ?? NaN, 6);
    expect(after.findings.map(({ code }) => code)).not.toContain('time.cameras-apart');
  });

  it('past the converter that makes one camera late, where another goes in without', () => {
    const late = new RigDraft('Late', done(sure, NO_CONSOLE))
      .device('side', 'camera-camcorder', {
        name: 'Side camera',
        settings: { format: '1920x1080p30000/1001' },
      })
      .device('scan', 'converter-scan', { name: 'Converter' })
      .link('side.hdmi', 'scan.in')
      .link('scan.out', 'switcher.in-2')
      .build();
    const analysis = analyse(done(late, known('e', 'side', null, 66.73)));
    const way = ofKind(otherWays(analysis), 'cameras the same way');
    expect(way.label).toBe('Plug Side camera into Switcher, Input 3');
    expect(way.after.allSetMs).toBeLessThan(0.1);
    expect(way.now.allSetMs).toBeGreaterThan(30);
  });
  it('no camera off the machine that records it alone, though it would come the same way', () => {
    const recorded = new RigDraft('Recorded', twoCameras)
      .do({ type: 'disconnect', linkId: 'side-hdmi-to-side-capture' })
      .device('own', 'recorder-picture', { name: 'Own recorder' })
      .link('side.hdmi', 'own.in')
      .link('own.loop', 'side-capture.in')
      .build();
    expect(otherWays(analyse(recorded)).map(({ kind }) => kind)).not.toContain(
      'cameras the same way',
    );
  });

  it('sound put into the picture: the computer’s own input is left out, 99.60 ms remain for one delay', () => {
    const analysis = analyse(sure);
    const way = ofKind(otherWays(analysis), 'sound with the picture');
    expect(way.label).toBe('Turn off “USB 2 is heard in the programme” at Computer');
    expect([way.now.asSetMs, way.after.asSetMs].map((ms) => ms?.toFixed(2))).toEqual([
      '143.77',
      '99.60',
    ]);
    expect([way.now.delays, way.after.delays]).toEqual([2, 1]);
    const { findings } = wired(analysis, way);
    expect(findings.filter(({ code }) => code.startsWith('time.'))).toEqual([]);
  });

  it('sound put into the picture by a new cable, where the house lets 99.60 ms be and no delay is to be set', () => {
    const analysis = analyse(
      done(sure, NO_CONSOLE, { type: 'setTimeRules', timeRules: { earlyMs: 100 } }),
    );
    const way = ofKind(otherWays(analysis), 'sound with the picture');
    expect(way.commands).toContainEqual(
      expect.objectContaining({
        type: 'connect',
        from: { deviceId: 'interface', portId: 'out-1' },
        to: { deviceId: 'switcher', portId: 'sound-1' },
      }),
    );
    expect(way.commands).toContainEqual({
      type: 'setControl',
      deviceId: 'computer',
      control: 'usb-2-heard',
      value: false,
    });
    expect(way.commands.map(({ type }) => type)).not.toContain('setDelay');
    expect(way.after).toMatchObject({ asSetMs: expect.closeTo(99.6, 2), isLetBe: true });
  });

  it('recorded elsewhere, where nobody knows what is apart at the computer', () => {
    const way = ofKind(
      otherWays(analyse(done(workedTime(), { type: 'removeDevice', deviceId: 'recorder' }))),
      'recorded elsewhere',
    );
    expect(way.label).toBe('Add Recorder in sync to Switcher, Auxiliary 1');
    expect(way.now.asSetMs).toBeNull();
    expect(way.after.allSetMs).toBeLessThan(1);
  });

  const ends = ({ traced }: Analysis): string[] =>
    traced.threads.map(
      ({ signal, source, end }) => `${signal} ${source.device.id} ${end.device.id}`,
    );
  it('none that would leave somebody unseen or unheard anywhere, or brings a stop', () => {
    const starts = [twoCameras, sure, secondFiringWithConsole(), demoRig('harbour-hall')];
    for (let seed = 0; seed < times(8); seed++) {
      const analysis = analyse(randomRig(seed, starts));
      for (const way of otherWays(analysis)) {
        const then = wired(analysis, way);
        expect(ends(then)).toEqual(expect.arrayContaining(ends(analysis)));
        expect(then.verdict.stops).toBeLessThanOrEqual(analysis.verdict.stops);
      }
    }
  });

  it('nothing where delays do as well: Second Firing, Night Tide', () => {
    for (const name of ['second-firing', 'night-tide'] as const)
      expect(otherWays(analyse(demoRig(name)))).toEqual([]);
  });
});
