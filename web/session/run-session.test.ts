import { type Happened, type RunEvent, type RunPlan, runState, seeded } from '@echo-loom/core';
import { Storage } from './browser-for-tests';
import type { RunBox } from './run-memory';
import { openRun, type RunAround, type RunSession } from './run-session';

/** A run in several windows, with a server that is killed at any moment: before it hears, or before it answers. */

const PLAN: RunPlan = {
  name: 'Night Tide',
  revision: 0,
  by: 'Ada',
  people: 1,
  clock: { is: 'real' },
  beginsAt: null,
  lengthMin: 50,
  lines: [],
  segments: [],
};
const RUN = { rigId: 'tide', runId: 'run-chaos-1', plan: PLAN };

/** What can go wrong with one request. */
type Trouble = 'none' | 'not heard' | 'not answered' | 'database away';

class Server {
  readonly events: RunEvent[] = [];
  trouble: () => Trouble = () => 'none';
  clockMs = 1_000_000;
  asked = 0;
  readonly fetch = async (path: string, init?: RequestInit): Promise<Response> => {
    this.asked += 1;
    const trouble = this.trouble();
    await Promise.resolve();
    if (trouble === 'not heard') throw new TypeError('network');
    if (trouble === 'database away') return Response.json({ says: 'away' }, { status: 503 });
    const answer = this.answer(path, init);
    if (trouble === 'not answered') throw new TypeError('network');
    return answer;
  };
  private answer(path: string, init?: RequestInit): Response {
    const serverMs = this.clockMs;
    if (init?.method === 'POST') {
      const { events } = JSON.parse(String(init.body)) as { events: RunEvent[] };
      for (const event of events)
        if (!this.events.some(({ id }) => id === event.id)) this.events.push(event);
      return Response.json({ kept: events.map(({ id }) => id), serverMs });
    }
    const after = Number(new URL(path, 'http://x').searchParams.get('after'));
    const events = this.events
      .map((event, at) => ({ place: at + 1, event }))
      .filter(({ place }) => place > after);
    return Response.json({ events, hasMore: false, serverMs });
  }
}

let ids = 0;
const around = (server: Server, box: RunBox): RunAround => ({
  box,
  fetch: server.fetch,
  steadyMs: () => server.clockMs,
  wallMs: () => server.clockMs,
  newId: () => `event-${String(++ids).padStart(6, '0')}`,
});
const windowOn = (server: Server, box: RunBox, steadyMs = () => server.clockMs): RunSession =>
  openRun(RUN, { ...around(server, box), steadyMs });

/** What is kept to be sent. */
const unsentIn = (box: RunBox): number =>
  Array.from({ length: box.length }, (_, at) => box.key(at)).filter((key) =>
    key?.startsWith('echo-loom-run run-chaos-1 '),
  ).length;

const shownIn = (session: RunSession) => session.store.getState();

describe('a run that is open', () => {
  it('shows at once what is ticked, and sends it', async () => {
    const server = new Server();
    const session = windowOn(server, new Storage());
    session.record({ is: 'ticked', lineId: 'a' }, 'Ada');
    expect(runState(shownIn(session).events).ticks.has('a')).toBe(true);
    expect(shownIn(session).unsent).toBe(1);
    await session.catchUp();
    expect(shownIn(session).unsent).toBe(0);
    expect(server.events).toHaveLength(1);
  });
  it('says that the server is away, keeps what is ticked, and sends it when it is back', async () => {
    const server = new Server();
    const box = new Storage();
    const session = windowOn(server, box);
    server.trouble = () => 'not heard';
    for (const lineId of ['a', 'b', 'c']) session.record({ is: 'ticked', lineId }, 'Ada');
    await session.catchUp();
    expect(shownIn(session)).toMatchObject({ isAway: true, unsent: 3 });
    expect(unsentIn(box)).toBe(3);
    server.trouble = () => 'none';
    await session.catchUp();
    expect(shownIn(session)).toMatchObject({ isAway: false, unsent: 0 });
    expect(unsentIn(box)).toBe(0);
    expect(server.events).toHaveLength(3);
  });
  it('takes up what a page that is gone had kept, and does not send another run’s', async () => {
    const server = new Server();
    const box = new Storage();
    server.trouble = () => 'database away';
    windowOn(server, box).record({ is: 'ticked', lineId: 'a' }, 'Ada');
    box.setItem('echo-loom-run run-other-12 event-x', '{}');
    box.setItem('echo-loom-run run-chaos-1 event-torn', '{"id":"ev');
    server.trouble = () => 'none';
    const again = windowOn(server, box);
    expect(runState(shownIn(again).events).ticks.has('a')).toBe(true);
    await again.catchUp();
    expect(server.events).toHaveLength(1);
  });
  it('keeps the order in which one window does things, within a millisecond too', async () => {
    const server = new Server();
    const session = windowOn(server, new Storage());
    for (let times = 0; times < 50; times++) {
      session.record({ is: 'ticked', lineId: 'a' }, 'Ada');
      session.record({ is: 'unticked', lineId: 'a' }, 'Ada');
    }
    await session.catchUp();
    expect(runState(server.events).ticks.size).toBe(0);
  });
  it('goes by the server’s clock, whatever its own says', async () => {
    const server = new Server();
    const session = windowOn(server, new Storage(), () => 5);
    await session.catchUp();
    expect(session.nowMs()).toBe(server.clockMs);
    expect(session.clock.withinMs()).toBe(0);
  });
  it('knows what it was told, and the server’s clock, when it is loaded again without the server', async () => {
    const server = new Server();
    const box = new Storage();
    const before = windowOn(server, box);
    before.record({ is: 'live' }, 'Ada');
    await before.catchUp();
    server.trouble = () => 'not heard';
    before.record({ is: 'ticked', lineId: 'a' }, 'Ada');
    // This machine’s clock is a minute behind the server’s, and another page starts its steady clock at nought.
    const late = () => server.clockMs - 60_000;
    const ahead = openRun(RUN, { ...around(server, box), wallMs: late, steadyMs: () => 5 });
    expect(shownIn(ahead).events.map(({ happened }) => happened.is)).toEqual(['live', 'ticked']);
    expect(shownIn(ahead).unsent).toBe(1);
    expect(runState(shownIn(ahead).events).stage).toBe('live');
    server.trouble = () => 'none';
    await ahead.catchUp();
    server.trouble = () => 'not heard';
    const again = openRun(RUN, { ...around(server, box), wallMs: late, steadyMs: () => 77 });
    expect(again.nowMs()).toBe(server.clockMs);
    expect(shownIn(again)).toMatchObject({ unsent: 0, events: { length: 2 } });
    await again.catchUp();
    expect(shownIn(again)).toMatchObject({ isAway: true, events: { length: 2 } });
  });
  it('sends again what the server was told once and no longer has', async () => {
    const server = new Server();
    const box = new Storage();
    const before = windowOn(server, box);
    before.record({ is: 'live' }, 'Ada');
    before.record({ is: 'ticked', lineId: 'a' }, 'Ada');
    await before.catchUp();
    expect(unsentIn(box)).toBe(0);
    // Put back from a backup that was made between the two.
    server.events.pop();
    const again = windowOn(server, box);
    await again.catchUp();
    expect(server.events.map(({ happened }) => happened.is)).toEqual(['live', 'ticked']);
    expect(shownIn(again)).toMatchObject({ unsent: 0, events: { length: 2 } });
    expect(unsentIn(box)).toBe(0);
  });
  it('remembers the latest runs, forgets the oldest, and reads nothing that is torn', async () => {
    const server = new Server();
    const box = new Storage();
    box.setItem('echo-loom-run-told run-chaos-1', '{"events":[{"id":"ev');
    box.setItem('echo-loom-runs-told', 'torn');
    const hear = async (runId: string): Promise<void> => {
      const session = openRun({ ...RUN, runId }, around(server, box));
      expect(shownIn(session).events).toEqual([]);
      session.record({ is: 'live' }, 'Ada');
      await session.catchUp();
    };
    for (const runId of ['run-chaos-1', 'run-chaos-2', 'run-chaos-3', 'run-chaos-4', 'run-chaos-5'])
      await hear(runId);
    const kept = [1, 2, 3, 4, 5].map((at) => box.getItem(`echo-loom-run-told run-chaos-${at}`));
    expect(kept.map((text) => text?.includes('"is":"live"') ?? false)).toEqual([
      false,
      true,
      true,
      true,
      true,
    ]);
  });
  it('goes on where the browser has no room to remember', async () => {
    const server = new Server();
    const full = new Storage();
    full.setItem = () => {
      throw new Error('QuotaExceededError');
    };
    const session = windowOn(server, full);
    session.record({ is: 'live' }, 'Ada');
    await session.catchUp();
    expect(server.events).toHaveLength(1);
    expect(shownIn(session)).toMatchObject({ unsent: 0, isAway: false });
  });
  it('shows what the server refuses, and keeps it', async () => {
    const server = new Server();
    const session = openRun(RUN, {
      box: new Storage(),
      fetch: async () =>
        Response.json({ says: 'There is no such run of this rig.' }, { status: 404 }),
      steadyMs: () => 0,
      wallMs: () => server.clockMs,
      newId: () => 'event-refused',
    });
    session.record({ is: 'live' }, 'Ada');
    await session.catchUp();
    expect(shownIn(session)).toMatchObject({
      refused: 'There is no such run of this rig.',
      unsent: 1,
    });
  });
});

describe('killed at random', () => {
  it.each([1, 2, 3, 4, 5])(
    'no tick and no mark is lost, and both windows end the same (%i)',
    async (seed) => {
      const chance = seeded(seed, []);
      const server = new Server();
      server.trouble = () =>
        chance.once(2) ? chance.oneOf(['not heard', 'not answered', 'database away']) : 'none';
      const boxes = [new Storage(), new Storage()];
      const windows = boxes.map((box) => windowOn(server, box));
      const made: string[] = [];
      for (let step = 0; step < 200; step++) {
        server.clockMs += chance.integer(0, 400);
        const at = chance.integer(0, 1);
        const [box, session] = [boxes[at], windows[at]];
        if (!box || !session) continue;
        // The tab dies, with whatever it was sending; the next one has only what the browser kept.
        if (chance.once(12)) windows[at] = windowOn(server, box);
        else if (chance.once(3)) void session.catchUp();
        else {
          const lineId = `line-${chance.integer(1, 9)}`;
          const is = chance.oneOf(['ticked', 'unticked', 'marked']);
          const happened: Happened =
            is === 'marked' ? { is, kind: 'marker', text: '' } : { is, lineId };
          made.push(session.record(happened, chance.oneOf(['Ada', 'Ben'])).id);
        }
        if (chance.once(4)) await Promise.resolve();
      }
      server.trouble = () => 'none';
      for (let round = 0; round < 3; round++)
        for (const session of windows) await session.catchUp();
      expect(made.length).toBeGreaterThan(80);
      expect(server.events.map(({ id }) => id).sort()).toEqual([...made].sort());
      const [one, two] = windows.map((session) => runState(shownIn(session).events));
      expect(one).toEqual(two);
      expect(one).toEqual(runState(server.events));
      expect(boxes.map(unsentIn)).toEqual([0, 0]);
    },
  );
});
