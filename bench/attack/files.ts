import { readFileSync } from 'node:fs';
import { type Served, sleep } from '../../e2e/served';

export interface FileResult {
  readonly what: string;
  readonly status: number;
  readonly seconds: number;
  /** Slowest answer of the health check meanwhile */
  readonly healthMs: number;
  /** Memory the server took more than before, at its most */
  readonly moreMb: number;
}

const MIB = 1024 * 1024;
const filled = (unit: string, bytes: number): string =>
  unit.repeat(Math.ceil(bytes / unit.length)).slice(0, bytes);

/** Rigs of legal size: the valid ones must be taken. */
/** So many things by number, as JSON between commas. */
const fields = (count: number, each: (n: number) => string): string =>
  Array.from({ length: count }, (_, n) => each(n)).join(',');
const rigOf = (version: number, devices: number, device: (n: number) => string): string =>
  `{"version":${version},"devices":{${fields(devices, (n) => `"d-${n}":${device(n)}`)}}}`;

const largeRig = (file: string, devices: number): string => {
  const rig = JSON.parse(readFileSync(file, 'utf8')) as {
    devices: Record<string, object>;
    links: object;
    shots: object;
    scenes: object;
    panel: object;
  };
  const models = Object.entries(rig.devices);
  const many: Record<string, object> = {};
  for (let n = 0; n < devices; n++) {
    const [id, device] = models[n % models.length] ?? ['', {}];
    many[`${id.slice(0, 36)}-${n}`] = { ...device, personId: null, placeId: null, sightId: null };
  }
  return JSON.stringify({
    ...rig,
    devices: many,
    links: {},
    shots: {},
    scenes: {},
    panel: { columns: 4, buttons: {} },
  });
};

/** The largest files of each kind of malice. */
export const HOSTILE: Readonly<Record<string, () => string>> = {
  '80 kB of open brackets, each a mistake': () => filled('[}', 80_000),
  '10 MB of mistakes': () => filled('}{,:', 10 * MIB),
  '10 MB list of lists': () => `[${filled('[],', 10 * MIB - 4)}[]]`,
  '10 MB list of numbers': () => `[${filled('1,', 10 * MIB - 4)}1]`,
  '10 MB, 230,000 repeated keys': () =>
    `{${'"the same key again and again, 20 ":1,'.repeat(230_000)}"x":1}`,
  '10 MB of different keys': () =>
    `{${Array.from({ length: 700_000 }, (_, n) => `"k${n}":1`).join(',')}}`,
  '10 MB nested': () => filled('[', 10 * MIB),
  '10 MB in one string': () => `{"version":5,"name":"${filled('x', 10 * MIB - 40)}"}`,
  '10 MB string without an end': () => `{"version":5,"name":"${filled('\\"', 10 * MIB - 40)}`,
  '10 MB of wide rooms': () => rigOf(5, 60, () => `{${fields(15_000, (k) => `"k${k}":1`)}}`),
  '10 MB of old places': () => rigOf(1, 19_000, (n) => `{"place":"!${'?'.repeat(n % 400)}${n}"}`),
  'valid rig of 6,000 devices (one over the limit and more)': () =>
    largeRig('demo/harbour-hall.rig.json', 6000).slice(0, 10 * MIB),
};
export const VALID: Readonly<Record<string, () => string>> = {
  'valid rig of 5,000 devices': () => largeRig('demo/harbour-hall.rig.json', 5000),
};

/** Resident memory of a process. @unit MB */
const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** Sends one file and watches what it does to everybody else. */
const send = async (served: Served, what: string, text: string): Promise<FileResult> => {
  const pid = served.pid ?? 0;
  const before = residentMb(pid);
  let isOn = true;
  let healthMs = 0;
  let most = before;
  const watching = (async () => {
    while (isOn) {
      const began = performance.now();
      await served.health();
      healthMs = Math.max(healthMs, performance.now() - began);
      most = Math.max(most, residentMb(pid));
      await sleep(10);
    }
  })();
  const body = new Blob([text]);
  const began = performance.now();
  const response = await fetch(`${served.url}/api/rigs/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body,
  });
  await response.arrayBuffer();
  const seconds = (performance.now() - began) / 1000;
  isOn = false;
  await watching;
  return {
    what,
    status: response.status,
    seconds: Number(seconds.toFixed(2)),
    healthMs: Math.round(healthMs),
    moreMb: Math.round(most - before),
  };
};

export const sendFiles = async (served: Served): Promise<FileResult[]> => {
  const results: FileResult[] = [];
  for (const [what, make] of Object.entries({ ...HOSTILE, ...VALID })) {
    results.push(await send(served, what, make()));
    await sleep(300);
  }
  return results;
};
