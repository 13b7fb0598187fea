import fc from 'fast-check';
import { analyse } from '../analyse';
import { checklist, type RunsOut } from '../day';
import { demoRig } from '../rules/demo-for-cases';
import { rate } from '../units';
import {
  frameAt,
  framesOf,
  liveGate,
  type Happened,
  logged,
  logToChapters,
  logToCsv,
  logToEdl,
  mayDrop,
  onAir,
  type RunEvent,
  runEventSchema,
  runNowMs,
  runningOut,
  type RunPlan,
  runPlanSchema,
  runState,
  TIMECODE_RATES,
  timecode,
} from '.';

const START = Date.UTC(2026, 11, 3, 19, 30);
const NTSC = rate(30_000, 1001);

/** An event so many seconds after half past seven. */
const event = (s: number, happened: Happened, id = `event-${s}-${happened.is}`): RunEvent => ({
  id: id.replace(/[^\w-]/g, '-').padEnd(8, 'x'),
  atMs: START + s * 1000,
  by: 'Ada',
  happened,
});

const PLAN: RunPlan = {
  name: 'Second Firing',
  revision: 12,
  by: 'Ada',
  people: 2,
  clock: { is: 'real' },
  beginsAt: '19:30',
  lengthMin: 10,
  lines: [],
  segments: [
    { id: 'hello', title: 'Hello', lengthS: 60 },
    { id: 'wheel', title: 'At the wheel', lengthS: 400 },
    { id: 'bye', title: 'Goodbye', lengthS: 120 },
  ],
};

const SHOW: readonly RunEvent[] = [
  event(-30, { is: 'ticked', lineId: 'a' }),
  event(0, { is: 'live' }),
  event(0, { is: 'segment', segmentId: 'hello' }),
  event(75, { is: 'segment', segmentId: 'wheel' }),
  event(100, { is: 'marked', kind: 'marker', text: 'The lid slips' }),
  event(130.5, { is: 'incident', deviceId: 'host-camera', what: 'No picture' }),
  event(131, { is: 'died', deviceId: 'host-camera' }),
  event(200, { is: 'marked', kind: 'marker', text: '' }),
  event(300, { is: 'segment', segmentId: 'bye' }),
  event(420, { is: 'ended' }),
];

describe('a stream of events', () => {
  const state = runState(SHOW);
  it('comes to where the show stands', () => {
    expect(state.stage).toBe('after');
    expect(state.liveMs).toBe(START);
    expect(state.segments.map(({ fromMs, toMs }) => [fromMs - START, (toMs ?? 0) - START])).toEqual(
      [
        [0, 75_000],
        [75_000, 300_000],
        [300_000, 420_000],
      ],
    );
    expect(state.marks.map(({ kind, number }) => `${kind} ${number}`)).toEqual([
      'marker 1',
      'incident 1',
      'marker 2',
    ]);
    expect([...state.dead.keys()]).toEqual(['host-camera']);
  });
  it('comes to the same in whatever order it arrives, and twice', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray([...SHOW], { minLength: SHOW.length }), (shuffled) => {
        expect(runState(shuffled)).toEqual(state);
      }),
    ));
  it('forgets what was withdrawn, and numbers the rest anew', () => {
    const marker = SHOW[4];
    const without = runState([...SHOW, event(500, { is: 'withdrawn', eventId: marker?.id ?? '' })]);
    expect(without.marks.map(({ kind, number }) => `${kind} ${number}`)).toEqual([
      'incident 1',
      'marker 1',
    ]);
  });
  it('is live again when it goes live after its end, and counts on from the first time', () => {
    const again = runState([...SHOW, event(600, { is: 'live' }, 'event-live-again')]);
    expect([again.stage, again.liveMs]).toEqual(['live', START]);
  });
  it('takes only events that can be read again', () => {
    for (const one of SHOW)
      expect(runEventSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one);
    expect(runPlanSchema.parse(PLAN)).toEqual(PLAN);
    expect(runEventSchema.safeParse({ ...SHOW[0], atMs: 1.5 }).success).toBe(false);
    expect(runEventSchema.safeParse({ ...SHOW[0], extra: 1 }).success).toBe(false);
  });
});

describe('the gate', () => {
  const lines = checklist(analyse(demoRig('night-tide')));
  const musts = lines.filter(({ isMust, phase }) => isMust && phase !== 'strike');
  const ticked = (ids: readonly string[]) =>
    runState(ids.map((lineId, at) => event(-at, { is: 'ticked', lineId }, `event-tick-${at}`)));
  it('is shut by each must-line that is open, and by a stop', () => {
    expect(musts.length).toBeGreaterThan(3);
    const all = musts.map(({ id }) => id);
    expect(liveGate(lines, ticked(all), 0).isOpen).toBe(true);
    expect(liveGate(lines, ticked(all), 1).isOpen).toBe(false);
    for (const id of all) {
      const gate = liveGate(lines, ticked(all.filter((other) => other !== id)), 0);
      expect(gate.isOpen).toBe(false);
      expect(gate.open.map((line) => line.id)).toEqual([id]);
    }
  });
  it('is opened in words, and still says what is open', () => {
    const gate = liveGate(
      lines,
      runState([event(0, { is: 'overruled', words: 'Guest is early' })]),
      2,
    );
    expect(gate).toMatchObject({ isOpen: true, stops: 2 });
    expect(gate.open).toHaveLength(musts.length);
  });
});

describe('now, next and how far over', () => {
  const until = (s: number) => runState(SHOW.filter(({ atMs }) => atMs <= START + s * 1000));
  const at = (s: number) => onAir(PLAN, until(s), START + s * 1000);
  it('is reckoned from what was planned of what is to come', () => {
    // Planned 580 s of 600: 20 s under while all goes as planned.
    expect(at(30)).toMatchObject({
      now: { id: 'hello' },
      next: { id: 'wheel' },
      leftS: 30,
      overS: -20,
    });
    // Ten over in “Hello”: it ends now, and the rest takes 520.
    expect(at(70)).toMatchObject({ leftS: -10, sinceLiveS: 70, overS: -10 });
    expect(at(75)).toMatchObject({ now: { id: 'wheel' }, leftS: 400, overS: -5 });
    // “Goodbye” began at 300, with 120: ends at 420.
    expect(at(300)).toMatchObject({ now: { id: 'bye' }, next: null, overS: -180 });
  });
  it('before live the first is next; afterwards nothing is', () => {
    expect(at(-10)).toMatchObject({ now: null, next: { id: 'hello' }, overS: null });
    expect(at(430)).toMatchObject({ now: null, next: null, sinceLiveS: 420 });
  });
  const battery: RunsOut = {
    id: 'battery roaming',
    deviceId: 'roaming',
    name: 'Roaming camera',
    what: 'battery',
    afterMin: 112,
    says: '',
    sum: '',
  };
  const card: RunsOut = { ...battery, id: 'card two', what: 'card', afterMin: 81 };
  it('what runs out is told by the clock: the battery at 01:52, the card at 01:21', () => {
    const all = runningOut([battery, card], until(0), START);
    expect(all.map(({ endsMs }) => (endsMs - START) / 60_000)).toEqual([81, 112]);
    expect(runningOut([battery, card], until(-1), START)).toEqual([]);
  });
  it('a fresh one counts from when it was put in', () => {
    const state = runState([
      ...SHOW.slice(0, 3),
      event(600, { is: 'fresh', runsOutId: 'card two' }),
    ]);
    const [first, second] = runningOut([battery, card], state, START + 600_000);
    expect([first?.id, second?.id]).toEqual(['card two', 'battery roaming']);
    expect(first?.leftS).toBe(81 * 60);
  });
  it('a rehearsal’s clock runs as fast as it is told', () => {
    const clock = { is: 'simulated', fromMs: START, serverMs: 1000, speed: 10 } as const;
    expect(runNowMs(clock, 7000)).toBe(START + 60_000);
    expect(runNowMs({ is: 'real' }, 7000)).toBe(7000);
  });
});

describe('timecode', () => {
  it.each([
    // SMPTE ST 12-1: two numbers are left out each minute but every tenth.
    [1799, '00:00:59;29'],
    [1800, '00:01:00;02'],
    [17_981, '00:09:59;29'],
    [17_982, '00:10:00;00'],
    [107_892, '01:00:00;00'],
  ])('frame %i at 29.97 is %s', (frames, text) => {
    expect(timecode(frames, NTSC, true)).toBe(text);
    expect(framesOf(text, NTSC, true)).toBe(frames);
  });
  it('an hour of it is an hour: 3.6 ms off at most, without dropping 3.6 s', () => {
    expect(frameAt(3_600_000, NTSC)).toBe(107_892);
    expect(timecode(107_892, NTSC, false)).toBe('00:59:56:12');
    expect(timecode(90_000, rate(25), false)).toBe('01:00:00:00');
    expect(timecode(215_784, rate(60_000, 1001), true)).toBe('01:00:00;00');
  });
  it('reads back what it wrote, at every rate', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...TIMECODE_RATES),
        fc.boolean(),
        fc.nat(2_000_000),
        (of, wantsDrop, frames) => {
          const isDrop = wantsDrop && mayDrop(of);
          expect(framesOf(timecode(frames, of, isDrop), of, isDrop)).toBe(frames);
        },
      ),
    ));
  it('refuses what no clock shows', () => {
    expect(framesOf('00:01:00;00', NTSC, true)).toBeNull();
    expect(framesOf('00:00:00:25', rate(25), false)).toBeNull();
    expect(framesOf('24:00:00:00', rate(25), false)).toBeNull();
    expect(framesOf('1:00:00:00', rate(25), false)).toBeNull();
  });
});

describe('the log as files', () => {
  const list = {
    title: 'Second Firing',
    rate: rate(25),
    isDrop: false,
    start: '10:00:00:00',
    reel: 'Host camera',
    offsetMs: -480,
  };
  it('an edit decision list has an event of one frame for each, the offset applied', () => {
    const made = logToEdl(PLAN, SHOW, list);
    if ('why' in made) throw new Error(made.why);
    const lines = made.lists[0]?.split('\r\n') ?? [];
    expect(lines.slice(0, 2)).toEqual(['TITLE: SECOND FIRING', 'FCM: NON-DROP FRAME']);
    // Half past and 100 s: frame 2500 of the show, twelve frames sooner in the recording.
    const at = lines.indexOf('* COMMENT: marker 1: The lid slips');
    expect(lines[at - 1]).toBe(
      '002  HOSTCAME V     C        10:01:39:13 10:01:39:14 10:01:40:00 10:01:40:01',
    );
    // What would stand before the recording began is left out, and counted.
    expect(made.leftOut).toBe(1);
  });
  it('says why where there is none', () => {
    expect(logToEdl(PLAN, SHOW, { ...list, isDrop: true })).toEqual({
      why: 'At 25 frames a second no numbers are dropped.',
    });
    expect(logToEdl(PLAN, SHOW, { ...list, start: '10:00' })).toHaveProperty('why');
    expect(logToEdl(PLAN, [], list)).toHaveProperty('why');
  });
  it('more than 999 events become more lists', () => {
    const many = Array.from({ length: 1200 }, (_, at) =>
      event(at + 1, { is: 'marked', kind: 'marker', text: '' }, `event-mark-${at}`),
    );
    const made = logToEdl(PLAN, [SHOW[1] ?? event(0, { is: 'live' }), ...many], list);
    if ('why' in made) throw new Error(made.why);
    expect(made.lists).toHaveLength(2);
    expect(made.lists[1]?.split('\r\n').filter((line) => /^\d{3} {2}/.test(line))).toHaveLength(
      201,
    );
  });
  it('a table has thousandths since the start, the time of the day, and no formula', () => {
    const csv = logToCsv(
      PLAN,
      [...SHOW, event(7, { is: 'marked', kind: 'marker', text: '=1+1' })],
      (id) => `the ${id}`,
      60,
    ).split('\r\n');
    expect(csv).toContain('2:10.500,20:32:10,incident,incident 1: No picture,the host-camera,Ada');
    expect(csv[0]).toBe('Since the start,Time of day,Kind,What,Device,By');
  });
  it('chapters begin at nothing, and those that are too near are one', () => {
    expect(logToChapters(PLAN, SHOW)).toBe('0:00 Hello\n1:15 At the wheel\n5:00 Goodbye\n');
    const late = SHOW.filter(({ happened }) => happened.is !== 'segment').concat(
      event(60, { is: 'marked', kind: 'chapter', text: 'Glaze' }),
      event(64, { is: 'marked', kind: 'chapter', text: 'Too near' }),
    );
    expect(logToChapters(PLAN, late)).toBe('0:00 Second Firing\n1:00 Glaze\n');
  });
  it('is in the order of the clock', () => {
    const moments = logged(PLAN, [...SHOW].reverse()).map(({ atMs }) => atMs);
    expect(moments).toEqual([...moments].sort((a, b) => a - b));
  });
});
