/** Names this application may be called by. A page of another site that points its own name here must find nobody. */

const LOCAL = ['localhost', '127.0.0.1', '[::1]'];

/** Names from the environment: host names without port, separated by commas. */
const allowed = (): ReadonlySet<string> => {
  const more = (process.env.ECHO_LOOM_HOSTS ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase());
  return new Set([...LOCAL, ...more.filter((name) => name !== '')]);
};

/** `studio.local:4870` → `studio.local`; null for what is no host at all. */
const nameOf = (host: string): string | null => {
  try {
    return new URL(`http://${host}`).host === host.toLowerCase() || host.endsWith(':80')
      ? new URL(`http://${host}`).hostname
      : null;
  } catch {
    return null;
  }
};

/** Methods that only read. */
const READING = new Set(['GET', 'HEAD', 'OPTIONS']);

const FROM_ELSEWHERE = 'This is taken only from pages of Echo Loom itself.';

/** Why a request is not answered that a page of another site has sent; null where none has, or none can be told. */
export const elsewhereProblem = (headers: Headers): string | null => {
  const site = headers.get('sec-fetch-site');
  return site === null || site === 'same-origin' || site === 'none' ? null : FROM_ELSEWHERE;
};

/** Why a request is not answered at all, from its headers; null where nothing speaks against it. */
export const strangerProblem = (method: string, headers: Headers): string | null => {
  const host = headers.get('host') ?? '';
  const name = nameOf(host);
  if (name === null || !allowed().has(name)) {
    return 'This address is not one Echo Loom answers to. Use http://127.0.0.1, or add the name to ECHO_LOOM_HOSTS.';
  }
  if (READING.has(method)) return null;
  const elsewhere = elsewhereProblem(headers);
  if (elsewhere) return elsewhere;
  const origin = headers.get('origin');
  if (origin === null) return null;
  const isOwn = URL.canParse(origin) && new URL(origin).host === new URL(`http://${host}`).host;
  return isOwn ? null : FROM_ELSEWHERE;
};
