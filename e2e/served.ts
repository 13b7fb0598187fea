import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import path from 'node:path';

export const ROOT = path.resolve(import.meta.dirname, '..');

export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });

export const sleep = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** One instance of the application as it is served, on a port of its own. */
export class Served {
  private server: ChildProcess | null = null;
  readonly url: string;

  constructor(
    readonly port: number,
    readonly databaseUrl: string,
  ) {
    this.url = `http://127.0.0.1:${port}`;
  }

  /** Puts the demo's rigs on the shelf. */
  loadDemo(): void {
    const env = { ...process.env, DATABASE_URL: this.databaseUrl };
    execFileSync(process.execPath, ['--import', 'tsx', 'server/load-demo.ts'], {
      cwd: path.join(ROOT, 'web'),
      env,
    });
  }

  get pid(): number | undefined {
    return this.server?.pid;
  }

  /** Starts it and waits until it answers. @throws when it does not within 30 s */
  async start(): Promise<void> {
    const env = { ...process.env, DATABASE_URL: this.databaseUrl, NEXT_TELEMETRY_DISABLED: '1' };
    this.server = spawn(process.execPath, [path.join(ROOT, 'web/front.mjs'), String(this.port)], {
      cwd: path.join(ROOT, 'web'),
      env,
      stdio: ['ignore', 'ignore', process.env['SERVER_LOG'] ? 'inherit' : 'ignore'],
    });
    for (let n = 0; n < 300; n++) {
      if ((await this.health()) === 200) return;
      await sleep(100);
    }
    throw new Error('the application does not answer');
  }

  /** The status its health answers with; 0 where it does not answer. */
  health(): Promise<number> {
    return fetch(`${this.url}/api/health`, { signal: AbortSignal.timeout(5000) }).then(
      ({ status }) => status,
      () => 0,
    );
  }

  get isRunning(): boolean {
    return this.server !== null && this.server.exitCode === null && this.server.signalCode === null;
  }

  /** Ends it: at once, as a power cut would, unless told otherwise. */
  async end(signal: 'SIGKILL' | 'SIGTERM' = 'SIGKILL'): Promise<void> {
    const { server } = this;
    this.server = null;
    if (!server || server.exitCode !== null || server.signalCode !== null) return;
    const ended = new Promise((done) => server.once('exit', done));
    server.kill(signal);
    await ended;
  }
}

/** A private PostgreSQL of this checkout. */
export const cluster = (action: 'start' | 'stop' | 'remove', name: string, option = ''): string =>
  execFileSync(
    path.join(ROOT, 'bin/private-postgres'),
    [action, name, ...(option ? [option] : [])],
    { encoding: 'utf8' },
  ).trim();
