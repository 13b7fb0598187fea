import { blankThing, CATALOGUE, takeCommand } from '@echo-loom/core';
import { gzipSync } from 'node:zlib';
import type { Random } from './spoil';
import { mangle, pick, spoil } from './spoil';

export interface Input {
  readonly method: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: Buffer | string;
}

const JSON_TYPE = { 'content-type': 'application/json' };

const BYTES_TYPE = { 'content-type': 'application/octet-stream' };

const IDS = [
  'night-tide',
  'nothing',
  '%00',
  '%ff',
  '%E0%A4%A',
  '..%2f..',
  'a'.repeat(5000),
  '%F0%9F%8E%A4',
  "x'or'1",
  '-1',
  'second-firing%20',
  '',
];

const NUMBERS = [
  '0',
  '-1',
  '2.5',
  '2147483648',
  '99999999999999999999',
  'NaN',
  '',
  '%00',
  '1e3',
  '0x10',
  ' 1',
  '١',
];

const COMMANDS: readonly object[] = [
  { type: 'renameRig', name: 'Renamed' },
  { type: 'setHouseRules', rules: { headroomDb: 12, recordingsOfVoice: 2 } },
  { type: 'addPlace', placeId: 'shed', place: { name: 'Shed' } },
  {
    type: 'batch',
    label: 'Several',
    commands: [
      { type: 'renameRig', name: 'x' },
      { type: 'writeNotes', notes: 'y' },
    ],
  },
  { type: 'revert', does: 'undo', entryId: 'some-entry' },
  {
    type: 'connect',
    linkId: 'a',
    from: { deviceId: 'a', portId: 'b' },
    to: { deviceId: 'c', portId: 'd' },
    cable: { kind: 'balanced', lengthM: 2 },
  },
  { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 20 },
  { type: 'setFigure', deviceId: 'interface', path: 'ports.mic-1.inputOhms', value: 1000 },
];

/** What is done with the library, none of it right. */
const SOME_THING = {
  ...blankThing('Attack', 'device'),
  modelRef: 'mic-dynamic-quiet',
  serial: 'A-1',
};

/** Edits of the list of things that are sound as they stand, to be broken. */
const THINGS_DEEDS: readonly unknown[] = [
  { does: 'save', things: [{ id: null, from: 0, thing: SOME_THING }] },
  { does: 'save', things: [{ id: 'zoom', from: 1, thing: null }] },
  { does: 'take csv', text: 'Id,Name,Kind\r\nx,Tape,other\r\n', isSure: true },
  {
    does: 'take cells',
    cells: [
      ['Name', 'Kind'],
      ['Tape', 'other'],
    ],
    isSure: true,
  },
  {
    does: 'take in rig',
    rigId: 'night-tide',
    author: 'attack-browser',
    command: takeCommand('device', 'host-mic', null),
  },
];

/** A run, and what happens in one, sound as they stand. */
const RUN_DEEDS: readonly (readonly [path: string, deed: object])[] = [
  [
    '/api/rigs/night-tide/runs',
    {
      id: 'attack-run-1',
      plan: {
        name: 'Attack',
        revision: 0,
        by: 'Nobody',
        people: 1,
        clock: { is: 'real' },
        beginsAt: null,
        lengthMin: 50,
        lines: [],
        segments: [{ id: 'one', title: 'One', lengthS: 60 }],
      },
    },
  ],
  [
    '/api/rigs/night-tide/runs/attack-run-1',
    {
      events: [
        { id: 'attack-event-1', atMs: 1_800_000_000_000, by: 'Nobody', happened: { is: 'live' } },
      ],
    },
  ],
];

const LIBRARY_DEEDS: readonly object[] = [
  { does: 'save', id: null, from: 0, model: { name: 'No model' } },
  { does: 'save', id: 'nobody', from: 7, model: CATALOGUE[0] },
  { does: 'save', id: '../x', from: 0, model: CATALOGUE[0] },
  { does: 'remove', id: 'nobody' },
  { does: 'update', id: 'nobody', rigId: 'night-tide', author: 'attack-browser' },
  { does: 'take json', text: '{"kind":"echo-loom-library","version":1,"models":[]}' },
  { does: 'take csv', text: 'model,path,value\nnobody,name,x', isSure: true },
];

const DEEDS: readonly object[] = [
  { does: 'create', name: 'New' },
  { does: 'rename', id: 'night-tide', name: 'Renamed' },
  { does: 'duplicate', id: 'nothing' },
  { does: 'put away', id: 'nothing' },
  { does: 'choose currency', currency: 'EUR' },
  { does: 'build', answers: { name: 'x' } },
];

/** One broken input for each door. */
export const makeDoors = (
  rig: Buffer,
  backup: Buffer,
  entry: { id: string },
): Record<string, (random: Random, n: number) => Input> => {
  const rigValue = JSON.parse(rig.toString()) as unknown;
  const json = (random: Random, value: unknown): string | Buffer => {
    const text = JSON.stringify(spoil(random, value)) ?? '';
    return random() < 0.15
      ? mangle(random, Buffer.from(text))
      : random() < 0.02
        ? '['.repeat(100_000)
        : text;
  };
  const type = (random: Random): Record<string, string> =>
    random() < 0.95
      ? JSON_TYPE
      : pick<Record<string, string>>(random, [
          {},
          { 'content-type': 'text/plain' },
          { 'content-type': 'multipart/form-data; boundary=x' },
        ]);
  return {
    import: (random) => ({
      method: 'POST',
      path: '/api/rigs/import',
      headers: random() < 0.98 ? BYTES_TYPE : {},
      body: random() < 0.6 ? json(random, rigValue) : mangle(random, rig),
    }),
    entries: (random, n) => {
      const item = {
        id: `broken-${n}-entry`,
        author: 'author-broken',
        command: spoil(random, pick(random, COMMANDS)),
      };
      const request = { version: 5, on: { revision: 0, entryId: null }, entries: [item] };
      const body =
        random() < 0.5
          ? JSON.stringify({ ...request, entries: [item, entry] })
          : json(random, request);
      return {
        method: 'POST',
        path: `/api/rigs/${random() < 0.9 ? 'second-firing' : pick(random, IDS)}/entries`,
        headers: type(random),
        body,
      };
    },
    shelf: (random) => ({
      method: 'POST',
      path: '/api/shelf',
      headers: type(random),
      body: json(random, pick(random, DEEDS)),
    }),
    library: (random) => ({
      method: 'POST',
      path: '/api/library',
      headers: type(random),
      body: json(random, pick(random, LIBRARY_DEEDS)),
    }),
    things: (random) => ({
      method: 'POST',
      path: '/api/things',
      headers: type(random),
      body: json(random, pick(random, THINGS_DEEDS)),
    }),
    runs: (random) => {
      const [path, deed] = pick(random, RUN_DEEDS);
      return { method: 'POST', path, headers: type(random), body: json(random, deed) };
    },
    query: (random) => {
      const id = pick(random, IDS);
      const number = pick(random, NUMBERS);
      const paths = [
        `/api/rigs/${id}/entries?after=${number}`,
        `/api/rigs/${id}/entries?after=${number}&after=1`,
        `/api/rigs/${id}/export?as=${number}`,
        `/api/rigs/${id}`,
        `/api/rigs/${id}/raw`,
        `/api/library?as=${number}`,
        `/api/things?as=${number}`,
        `/api/rigs/night-tide/runs/${id}?after=${number}`,
        `/api/rigs/${id}/runs`,
        `/rigs/night-tide/runs/${id}`,
        `/api/library/${id}`,
        `/library/${id}`,
        `/api/rigs/night-tide/entries?after=0&is=${number}`,
        `/rigs/${id}`,
        `/new/${id}?name=${number}`,
        `/${id}`,
      ];
      return {
        method: pick(random, ['GET', 'GET', 'GET', 'HEAD', 'PUT', 'DELETE', 'PATCH']),
        path: pick(random, paths),
      };
    },
    events: (random) => ({
      method: 'GET',
      path: `/api/events?${pick(random, ['rig', 'rigs', 'rig[]', ''])}=${pick(
        random,
        IDS.filter((id) => id !== 'night-tide'),
      )}`,
    }),
    restore: (random) => {
      const body =
        random() < 0.5
          ? mangle(random, backup)
          : gzipSync(
              mangle(random, Buffer.from('{"format":"echo-loom backup","version":1}\n[0,[]]\n')),
            );
      return {
        method: 'POST',
        path: '/api/restore',
        headers: random() < 0.95 ? BYTES_TYPE : {},
        body,
      };
    },
    pages: (random) => ({
      method: pick(random, ['POST', 'PUT', 'POST']),
      path: pick(random, ['/', '/rigs/night-tide', '/away', '/new/hybrid']),
      headers: pick<Record<string, string>>(random, [
        { 'next-action': 'abc' },
        { 'content-type': 'multipart/form-data; boundary=x' },
        { 'content-type': 'text/plain', 'next-action': '0'.repeat(42) },
        {},
      ]),
      body: json(random, ['x']),
    }),
    headers: (random) => ({
      method: pick(random, ['GET', 'POST']),
      path: pick(random, [
        '/',
        '/api/health',
        '/api/shelf',
        '/api/rigs/night-tide/entries?after=0',
      ]),
      headers: {
        ...JSON_TYPE,
        host: pick(random, [
          'evil.example',
          '',
          '127.0.0.1.evil',
          'localhost:99999',
          '[::1',
          'a'.repeat(300),
        ]),
        origin: pick(random, ['http://evil.example', 'null', '']),
      },
      body: '',
    }),
  };
};
