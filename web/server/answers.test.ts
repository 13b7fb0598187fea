import { z } from 'zod';
import { answering, fileBody, jsonBody, parsed, queryOf, Refused } from './answers';
import { strangerProblem } from './hosts';

const request = (
  body: BodyInit | null,
  headers: Record<string, string> = {},
  method = 'POST',
): Request =>
  new Request('http://127.0.0.1:4870/api/x?a=1&b=2&b=3', {
    method,
    headers: { host: '127.0.0.1:4870', ...headers },
    body: method === 'GET' ? null : body,
  });
const json = (body: BodyInit) => request(body, { 'content-type': 'application/json' });
const statusOf = async (ask: () => Promise<unknown>): Promise<number> => {
  try {
    await ask();
  } catch (error) {
    if (error instanceof Refused) return error.response.status;
    throw error;
  }
  return 200;
};

describe('who is answered', () => {
  const stranger = (headers: Record<string, string>, method = 'POST') =>
    strangerProblem(method, new Headers(headers));
  it('is whoever calls us by a local name, on any port', () => {
    for (const host of [
      '127.0.0.1',
      '127.0.0.1:4870',
      'localhost:80',
      'LOCALHOST:4870',
      '[::1]:4870',
    ])
      expect(stranger({ host }, 'GET')).toBeNull();
  });
  it('is nobody who calls us by another name: a page elsewhere may point its own name here', () => {
    for (const host of [
      'evil.example',
      'evil.example:4870',
      '127.0.0.1.evil.example',
      'localhost.evil.example',
      '',
      'localhost@evil.example',
      'localhost/..',
      '0.0.0.0:4870',
      '2130706433',
      '127.1',
    ])
      expect([host, stranger({ host }, 'GET')]).toEqual([
        host,
        expect.stringContaining('not one Echo Loom answers to'),
      ]);
  });
  it('may be given more names', () => {
    process.env.ECHO_LOOM_HOSTS = 'studio.lan, Shed.lan';
    expect([stranger({ host: 'studio.lan:4870' }), stranger({ host: 'shed.lan' })]).toEqual([
      null,
      null,
    ]);
    delete process.env.ECHO_LOOM_HOSTS;
    expect(stranger({ host: 'studio.lan:4870' })).not.toBeNull();
  });
  it('writes only from our own pages', () => {
    const host = '127.0.0.1:4870';
    expect(
      stranger({ host, origin: 'http://127.0.0.1:4870', 'sec-fetch-site': 'same-origin' }),
    ).toBeNull();
    expect(stranger({ host })).toBeNull();
    for (const origin of [
      'http://evil.example',
      'null',
      'http://127.0.0.1:9999',
      'http://localhost:4870',
      'file://',
    ])
      expect(stranger({ host, origin })).not.toBeNull();
    for (const site of ['cross-site', 'same-site'])
      expect(stranger({ host, 'sec-fetch-site': site })).not.toBeNull();
    expect(stranger({ host, origin: 'http://evil.example' }, 'GET')).toBeNull();
  });
});

describe('a JSON body', () => {
  it('is read where it says that it is JSON', async () => {
    expect(await jsonBody(json('{"a":[1]}'), 100)).toEqual({ a: [1] });
    expect(
      await jsonBody(request('1', { 'content-type': 'Application/JSON; charset=utf-8' }), 100),
    ).toBe(1);
  });
  it('is refused otherwise, with the status that says why', async () => {
    expect(
      await statusOf(() => jsonBody(request('{}', { 'content-type': 'text/plain' }), 100)),
    ).toBe(415);
    expect(await statusOf(() => jsonBody(request('{}'), 100))).toBe(415);
    expect(await statusOf(() => jsonBody(json('x'.repeat(101)), 100))).toBe(413);
    expect(await statusOf(() => jsonBody(json('{'), 100))).toBe(400);
    expect(await statusOf(() => jsonBody(json(''), 100))).toBe(400);
    expect(await statusOf(() => jsonBody(json('['.repeat(100_000)), 1e6))).toBe(400);
    expect(
      await statusOf(() => jsonBody(json(new Uint8Array([0x22, 0xff, 0xfe, 0x22])), 100)),
    ).toBe(400);
    expect(await statusOf(() => jsonBody(json('{"a":1,"a":2}'), 100))).toBe(400);
  });
  it('of a file may say that it is bytes, or JSON, and nothing that a form could say', async () => {
    const of = (type: string) =>
      statusOf(() => fileBody(request('x', { 'content-type': type }), 10));
    expect([
      await of('application/octet-stream'),
      await of('application/json'),
      await of('text/plain'),
      await of('multipart/form-data'),
    ]).toEqual([200, 200, 415, 415]);
  });
  it('that is longer than it says is cut off at the limit', async () => {
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => controller.enqueue(new Uint8Array(64)),
    });
    const asked = new Request('http://127.0.0.1/', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: endless,
      duplex: 'half',
    } as RequestInit);
    expect(await statusOf(() => fileBody(asked, 1000))).toBe(413);
  });
});

describe('a query', () => {
  it('gives each name its value, and all of them where one stands twice', () => {
    expect(
      queryOf(request(null, {}, 'GET'), z.strictObject({ a: z.string(), b: z.array(z.string()) })),
    ).toEqual({ a: '1', b: ['2', '3'] });
  });
  it('is refused with what is wrong and where', async () => {
    const refused = await statusOf(async () =>
      queryOf(request(null, {}, 'GET'), z.strictObject({ a: z.string(), b: z.string() })),
    );
    expect(refused).toBe(400);
  });
  it('tells no more than a hundred problems', async () => {
    try {
      parsed(
        z.array(z.number()),
        Array.from({ length: 500 }, () => 'x'),
      );
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      expect(((await error.response.json()) as { problems: unknown[] }).problems).toHaveLength(100);
    }
    expect.assertions(1);
  });
});

describe('every route handler', () => {
  const of = (handle: () => Promise<Response>, headers: Record<string, string> = {}) =>
    answering(handle)(request('{}', headers));
  const failing = (error: unknown) => of(() => Promise.reject(error));
  it('turns strangers away before it does anything', async () => {
    let isCalled = false;
    const response = await of(
      async () => {
        isCalled = true;
        return new Response();
      },
      { origin: 'http://evil.example' },
    );
    expect([response.status, isCalled]).toEqual([403, false]);
  });
  it('turns away what a page elsewhere asks for, also where it only reads', async () => {
    const of = async (site: string) =>
      (
        await answering(async () => new Response())(
          request(null, { 'sec-fetch-site': site }, 'GET'),
        )
      ).status;
    expect([
      await of('cross-site'),
      await of('same-site'),
      await of('none'),
      await of('same-origin'),
    ]).toEqual([403, 403, 200, 200]);
  });
  it('says in words that the database is away, or busy, and when to come again', async () => {
    const away = await failing(
      new Error('Failed query', { cause: Object.assign(new Error('x'), { code: 'ECONNREFUSED' }) }),
    );
    expect([away.status, away.headers.get('retry-after'), await away.json()]).toEqual([
      503,
      '1',
      { says: 'The database does not answer.' },
    ]);
    for (const code of ['57P01', '08006', '53300'])
      expect((await failing(Object.assign(new Error('x'), { code }))).status).toBe(503);
    expect((await failing(new Error('Connection terminated unexpectedly'))).status).toBe(503);
    const busy = await failing(Object.assign(new Error('x'), { code: '55P03' }));
    expect([busy.status, await busy.json()]).toEqual([
      503,
      { says: 'Somebody else is changing this just now.' },
    ]);
  });
  it('shows nothing of its insides where it stumbles', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const response = await failing(new Error('select secret from nowhere'));
    expect([response.status, await response.json()]).toEqual([
      500,
      { says: 'Something went wrong on the server; it has been logged.' },
    ]);
    expect(log).toHaveBeenCalledTimes(1);
    log.mockRestore();
  });
});
