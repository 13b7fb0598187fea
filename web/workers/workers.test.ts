import {
  analyse,
  apply,
  type Command,
  findingKey,
  fixesOf,
  importRig,
  predict,
  type Rig,
  setForVoice,
  voices,
} from '@echo-loom/core';
import { expose, proxy, wrap } from 'comlink';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import nodeEndpoint from 'comlink/dist/umd/node-adapter';
import { type Engine, EngineQueue, type Task } from './queue';
import { changesOf, withChanges } from './rig-changes';
import { EngineTasks } from './tasks';

const demo = (name: string): Rig => {
  const read = importRig(readFileSync(path.resolve('demo', `${name}.rig.json`)));
  if (!read.ok) throw new Error(`${name} cannot be read`);
  return read.rig;
};
const rig = demo('second-firing');
const edit = (command: Command): Rig => apply(rig, command);

describe('what differs between two rigs', () => {
  const copied = (from: Rig, to: Rig): Rig =>
    // As it goes to the worker: a copy.
    withChanges(from, structuredClone(changesOf(from, to)));

  it('is everything where there is none yet', () =>
    expect(withChanges(null, structuredClone(changesOf(null, rig)))).toEqual(rig));
  it('is nothing between a rig and itself', () =>
    expect(changesOf(rig, rig)).toEqual({ parts: {}, entries: {} }));
  it('is one device where one control was turned, and the others stay the same objects', () => {
    const after = edit({ type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 33 });
    expect(Object.keys(changesOf(rig, after).entries['devices']?.set ?? {})).toEqual(['interface']);
    const there = copied(rig, after);
    expect(there).toEqual(after);
    expect(there.devices['host-mic']).toBe(rig.devices['host-mic']);
  });
  it('tells what is gone', () => {
    const after = edit({ type: 'removeDevice', deviceId: 'host-mic' });
    expect(changesOf(rig, after).entries['devices']?.gone).toEqual(['host-mic']);
    expect(copied(rig, after)).toEqual(after);
  });
  it('leads from any rig to any other', () => {
    const others = ['night-tide', 'harbour-hall'].map(demo);
    for (const other of others) {
      expect(copied(rig, other)).toEqual(other);
      expect(copied(other, rig)).toEqual(rig);
    }
  });
});

/** The tasks with a small rig, for what takes long on a large one. */
const forNightTide = (): EngineTasks => {
  const tasks = new EngineTasks();
  tasks.follow(changesOf(null, demo('night-tide')));
  return tasks;
};

describe('the engine’s tasks', () => {
  const tasks = new EngineTasks();
  tasks.follow(changesOf(null, rig));
  const analysis = analyse(rig);

  it('offer the fixes of a finding with what each would change, as the engine here says', () => {
    // One of each rule: a second of the same goes the same way.
    const ofEachRule = new Map(analysis.findings.map((finding) => [finding.code, finding]));
    expect(ofEachRule.size).toBeGreaterThan(20);
    for (const finding of ofEachRule.values())
      expect(
        tasks.offers(findingKey(finding)).map(({ fix, prediction }) => [fix, prediction]),
      ).toEqual(fixesOf(analysis, finding).map((fix) => [fix, predict(analysis, finding, fix)]));
  });
  it('offer nothing for a finding that is gone', () =>
    expect(tasks.offers('sound.noise|device|nobody')).toEqual([]));
  it('set a voice as the engine here would', () => {
    const [stage] = voices(analysis);
    if (!stage) throw new Error('the demo has voices');
    expect(tasks.settingsFor(stage.index)).toEqual(setForVoice(analysis, stage));
  });
  it('say how far they are', () => {
    const seen: string[] = [];
    tasks.settingsForAll((tried, of) => seen.push(`${tried} of ${of}`));
    expect(seen).toEqual(
      voices(analysis).map((_, place) => `${place} of ${voices(analysis).length}`),
    );
  });
  it('hand over only data', async () => {
    const [stage] = voices(analysis);
    if (!stage) throw new Error('the demo has voices');
    for (const answer of [
      tasks.settingsFor(stage.index),
      tasks.remedies(stage.index),
      tasks.sizeStudy(2160),
      await tasks.nextStep(),
      forNightTide().allFree([]),
    ])
      expect(structuredClone(answer)).toEqual(answer);
  });
  it('refuse to answer before they have a rig', () =>
    expect(() => new EngineTasks().remedies(0)).toThrow('before it was given a rig'));
});

describe('the queue', () => {
  const engines: { end: () => void; ended: boolean }[] = [];
  let fail: (error: Error) => void = () => undefined;
  const start = (): Engine => {
    const { port1, port2 } = new MessageChannel();
    expose(new EngineTasks(), nodeEndpoint(port2));
    const engine = {
      tasks: wrap<EngineTasks>(nodeEndpoint(port1)),
      ended: false,
      end: () => {
        engine.ended = true;
        port1.close();
      },
      onFailure: (told: (error: Error) => void) => {
        fail = told;
      },
    };
    engines.push(engine);
    return engine;
  };
  let queue = new EngineQueue(start);
  beforeEach(() => {
    queue = new EngineQueue(start);
  });
  afterEach(() => {
    queue.end();
    engines.splice(0).forEach(({ end }) => end());
  });

  const [finding] = analyse(rig).findings;
  const key = finding ? findingKey(finding) : '';
  const offers = (about: Rig = rig, more: Partial<Task<unknown>> = {}): Task<unknown> => ({
    rig: about,
    ask: (tasks) => tasks.offers(key),
    isSeen: () => true,
    isLong: false,
    ...more,
  });
  const alive = () => new AbortController().signal;

  it('answers through the worker’s door', async () =>
    expect(await queue.run(offers(), alive())).toEqual(
      (() => {
        const tasks = new EngineTasks();
        tasks.follow(changesOf(null, rig));
        return tasks.offers(key);
      })(),
    ));
  it('works one after the other, what is seen first', async () => {
    const order: string[] = [];
    const named = (name: string, seen: boolean) =>
      queue.run(offers(rig, { isSeen: () => seen }), alive()).then(() => order.push(name));
    await Promise.all([named('first', false), named('hidden', false), named('seen', true)]);
    expect(order).toEqual(['first', 'seen', 'hidden']);
  });
  it('answers each task for its own rig', async () => {
    const renamed = edit({ type: 'renameDevice', deviceId: 'host-mic', name: 'Her mic' });
    const said = (about: Rig) =>
      queue.run(
        { ...offers(about), ask: async (tasks) => JSON.stringify(await tasks.offers(key)) },
        alive(),
      );
    const [a, b, c] = await Promise.all([said(rig), said(renamed), said(rig)]);
    expect(a).toBe(c);
    expect(typeof b).toBe('string');
  });
  it('takes out a task that is no longer wanted', async () => {
    const cancelling = new AbortController();
    const first = queue.run(offers(), alive());
    const second = queue.run(offers(), cancelling.signal);
    cancelling.abort();
    await expect(second).rejects.toThrow('No longer wanted');
    await first;
  });
  it('ends a search that is no longer wanted, and answers the next one anew', async () => {
    const cancelling = new AbortController();
    const search = queue.run(offers(rig, { isLong: true }), cancelling.signal);
    cancelling.abort();
    await expect(search).rejects.toThrow('No longer wanted');
    expect(engines[0]?.ended).toBe(true);
    await expect(queue.run(offers(), alive())).resolves.toBeDefined();
    expect(engines).toHaveLength(2);
  });
  it('stops what breathes on the way when it is no longer wanted, and keeps the engine', async () => {
    const cancelling = new AbortController();
    const tried: number[] = [];
    let of = 0;
    const seeking = queue.run(
      {
        ...offers(),
        ask: (tasks) =>
          tasks.nextStep(
            proxy((at: number, all: number) => {
              tried.push(at);
              of = all;
              cancelling.abort();
            }),
          ),
      },
      cancelling.signal,
    );
    await expect(seeking).rejects.toThrow('No longer wanted');
    await expect(queue.run(offers(), alive())).resolves.toBeDefined();
    expect(tried.length).toBeLessThan(of);
    expect(engines).toHaveLength(1);
  });
  it('tells what went wrong, and goes on', async () => {
    const broken = queue.run({ ...offers(), ask: (tasks) => tasks.remedies(-1) }, alive());
    await expect(broken).rejects.toThrow('The rig has no stage -1');
    await expect(queue.run(offers(), alive())).resolves.toBeDefined();
  });
  it('fails what it was at where the engine itself dies', async () => {
    const lost = queue.run(offers(), alive());
    await Promise.resolve();
    fail(new Error('The engine stopped'));
    await expect(lost).rejects.toThrow('The engine stopped');
  });
  it('asks nothing for a task that was cancelled before it was asked', async () => {
    await expect(queue.run(offers(), AbortSignal.abort())).rejects.toThrow('No longer wanted');
    expect(engines).toHaveLength(0);
  });
});
