import { blankRig, type Happened, type RunEvent, type RunPlan } from '@echo-loom/core';
import { GET as LOGBOOK, POST as BEGIN } from '@/app/api/rigs/[rigId]/runs/route';
import { GET as READ, POST as ADD } from '@/app/api/rigs/[rigId]/runs/[runId]/route';
import { leaveDatabase, makeDatabase, sqlRows } from './database-for-tests';
import { createRigFromText } from './rigs';
import { addEvents, beginRun, eventsBehind, listRuns, planOf } from './runs';

beforeAll(() => makeDatabase('runs'), 30_000);
afterAll(leaveDatabase);

const START = Date.UTC(2026, 11, 3, 19, 30);
const PLAN: RunPlan = {
  name: 'Night Tide',
  revision: 0,
  by: 'Ada',
  people: 2,
  clock: { is: 'real' },
  beginsAt: null,
  lengthMin: 50,
  lines: [],
  segments: [{ id: 'story', title: 'The story', lengthS: 2400 }],
};
const event = (at: number, happened: Happened, id = `event-${at}-${happened.is}`): RunEvent => ({
  id,
  atMs: START + at * 1000,
  by: 'Ada',
  happened,
});
const newRig = () => createRigFromText(JSON.stringify(blankRig('Night Tide')));
const begun = async (runId: string): Promise<string> => {
  const rigId = await newRig();
  expect(await beginRun(rigId, runId, PLAN)).toBe('begun');
  return rigId;
};
const asked = (body?: unknown) =>
  new Request('http://127.0.0.1/api/rigs/x/runs', {
    headers: { 'content-type': 'application/json', host: '127.0.0.1' },
    ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
  });
const told = async (response: Response) => ({
  status: response.status,
  body: (await response.json()) as Record<string, unknown>,
});

describe('a run', () => {
  it('begun twice with one plan is one; with another plan it is refused', async () => {
    const rigId = await begun('run-once-1');
    expect(await beginRun(rigId, 'run-once-1', PLAN)).toBe('begun');
    expect(await beginRun(rigId, 'run-once-1', { ...PLAN, people: 3 })).toBe('other run');
    expect(await beginRun(await newRig(), 'run-once-1', PLAN)).toBe('other run');
    expect(await listRuns(rigId)).toHaveLength(1);
    expect(await beginRun('no-such-rig', 'run-once-2', PLAN)).toBe('no rig');
  });
  it('has its plan for its own rig alone', async () => {
    const rigId = await begun('run-plan-1');
    expect(await planOf(rigId, 'run-plan-1')).toEqual(PLAN);
    expect(await planOf(await newRig(), 'run-plan-1')).toBeNull();
    expect(await planOf(rigId, 'run-nowhere')).toBeNull();
  });
  it('keeps each event once, whoever sends it how often, in the order of arrival', async () => {
    const rigId = await begun('run-events');
    const [live, mark] = [event(0, { is: 'live' }), event(5, { is: 'ticked', lineId: 'a' })];
    await addEvents(rigId, 'run-events', [mark]);
    await addEvents(rigId, 'run-events', [live, mark, live]);
    // The same id with other words does not write over what is there.
    await addEvents(rigId, 'run-events', [{ ...mark, by: 'Ben' }]);
    expect((await eventsBehind(rigId, 'run-events', 0))?.events).toEqual([
      { place: 1, event: mark },
      { place: 2, event: live },
    ]);
    expect((await eventsBehind(rigId, 'run-events', 1))?.events.map(({ place }) => place)).toEqual([
      2,
    ]);
  });
  it('loses nothing where twenty add at once, and whoever reads along misses none', async () => {
    const rigId = await begun('run-at-once');
    const seen: string[] = [];
    let after = 0;
    let isDone = false;
    const reading = (async () => {
      for (;;) {
        const last = isDone;
        for (const { place, event: one } of (await eventsBehind(rigId, 'run-at-once', after))
          ?.events ?? []) {
          seen.push(one.id);
          after = place;
        }
        if (last) return;
      }
    })();
    await Promise.all(
      Array.from({ length: 20 }, (_, who) =>
        addEvents(
          rigId,
          'run-at-once',
          [0, 1, 2].map((at) => event(at, { is: 'live' }, `event-${who}-${at}-at-once`)),
        ),
      ),
    );
    isDone = true;
    await reading;
    expect(new Set(seen).size).toBe(60);
    expect(seen).toHaveLength(60);
  });
  it('is told in the logbook by what happened in it', async () => {
    const rigId = await begun('run-logbook');
    await addEvents(rigId, 'run-logbook', [
      event(-5, { is: 'overruled', words: 'Guest is early' }),
      event(0, { is: 'live' }),
      event(0, { is: 'segment', segmentId: 'story' }),
      event(9, { is: 'incident', deviceId: null, what: 'Lamp out' }),
      event(20, { is: 'incident', deviceId: 'mic', what: 'Mic fell' }),
      event(-3, { is: 'measured', lineId: 'voice mic', value: -26, unit: 'dBFS' }),
      event(-2, { is: 'measured', lineId: 'voice mic', value: -24.5, unit: 'dBFS' }),
      event(60, { is: 'ended' }),
    ]);
    const [line] = await listRuns(rigId);
    expect(line).toMatchObject({
      stage: 'after',
      liveMs: START,
      endedMs: START + 60_000,
      incidents: ['Lamp out', 'Mic fell'],
      troubled: ['mic'],
      // Read again, the later one counts.
      measured: [{ lineId: 'voice mic', value: -24.5, unit: 'dBFS' }],
      overruled: 'Guest is early',
      segments: [{ segmentId: 'story', lastedS: 60 }],
    });
  });
  it('leaves out what a later version wrote, and keeps it', async () => {
    const rigId = await begun('run-later');
    await addEvents(rigId, 'run-later', [event(0, { is: 'live' })]);
    await sqlRows(
      `insert into run_events (run_id, place, event_id, event) values ('run-later', 2, 'from-later', '{"is":"new"}')`,
    );
    await sqlRows(`update runs set events = 2 where id = 'run-later'`);
    expect((await eventsBehind(rigId, 'run-later', 0))?.events).toHaveLength(1);
    await addEvents(rigId, 'run-later', [event(1, { is: 'ended' })]);
    expect((await eventsBehind(rigId, 'run-later', 2))?.events).toEqual([
      { place: 3, event: event(1, { is: 'ended' }) },
    ]);
  });
});

describe('the doors', () => {
  const params = (rigId: string, runId = '') => ({ params: Promise.resolve({ rigId, runId }) });
  it('begin, add, read, and tell the clock of the server', async () => {
    const rigId = await newRig();
    const before = Date.now();
    const begins = await told(await BEGIN(asked({ id: 'run-by-door', plan: PLAN }), params(rigId)));
    expect(begins.status).toBe(200);
    expect(begins.body['serverMs']).toBeGreaterThanOrEqual(before);
    const one = event(0, { is: 'live' });
    const added = await told(await ADD(asked({ events: [one] }), params(rigId, 'run-by-door')));
    expect(added.body['kept']).toEqual([one.id]);
    const read = await told(await READ(asked(), params(rigId, 'run-by-door')));
    // Its window has the plan, and asks every moment.
    expect(read.body).not.toHaveProperty('plan');
    expect(read.body).toMatchObject({
      events: [{ place: 1, event: one }],
      hasMore: false,
    });
    expect((await told(await LOGBOOK(asked(), params(rigId)))).body['runs']).toHaveLength(1);
  });
  it.each([
    ['no such rig', () => LOGBOOK(asked(), params('nowhere')), 404],
    ['no such run', () => READ(asked(), params('nowhere', 'run-nowhere')), 404],
    ['a name that cannot be', () => READ(asked(), params('a\0b', 'run\0x')), 404],
    [
      'an event without time',
      () => ADD(asked({ events: [{ id: 'event-xx' }] }), params('a', 'b')),
      400,
    ],
    ['no events', () => ADD(asked({ events: [] }), params('a', 'b')), 400],
    ['a run without plan', () => BEGIN(asked({ id: 'run-no-plan' }), params('a')), 400],
  ])('refuse %s in words', async (_what, ask, status) => {
    const answered = await told(await ask());
    expect(answered.status).toBe(status);
    expect(answered.body['says']).not.toBe('');
  });
});
