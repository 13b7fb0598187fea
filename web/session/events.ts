import { type RigEvent, rigEventSchema } from './protocol';

/**
 * What the server tells about rigs, one stream a browser: HTTP/1.1 allows six connections, and six tabs with a stream
 * each would leave none to save with. The tab that holds a lock leads: it keeps the stream for every rig that any tab
 * has open and passes on what it hears. When it closes, the next one gets the lock. Where the browser lacks locks or
 * channels, each tab has a stream of its own.
 */

const NAME = 'echo-loom.events';
/** How long the leader waits for more tabs before it opens the stream anew. @unit ms */
const GATHER_MS = 50;

type Message =
  | { readonly says: 'want'; readonly tab: string; readonly rigId: string }
  | { readonly says: 'leave'; readonly tab: string }
  /** A new leader asks who is there */
  | { readonly says: 'who' }
  | { readonly says: 'heard'; readonly event: RigEvent };

/** Most rigs that the server takes in one stream; tabs that closed without a word may still be counted. */
const MAX_RIGS = 50;

const streamUrl = (rigIds: Iterable<string>): string =>
  `/api/events?${[...new Set(rigIds)]
    .slice(-MAX_RIGS)
    .sort()
    .map((id) => `rig=${encodeURIComponent(id)}`)
    .join('&')}`;

/** How long after the server refused a stream it is asked again. @unit ms */
const AGAIN_MS = 2000;

/**
 * A stream for some rigs. One that breaks is opened again by the browser; one that is refused (the database is away)
 * is not, so it is opened again here, and everyone looks what they missed.
 * @returns a function that closes it
 */
const openStream = (rigIds: readonly string[], hear: (event: RigEvent) => void): (() => void) => {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let stream: EventSource;
  const open = (): void => {
    stream = new EventSource(streamUrl(rigIds));
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const event = rigEventSchema.safeParse(JSON.parse(data));
      if (event.success) hear(event.data);
    };
    stream.onerror = () => {
      if (stream.readyState !== EventSource.CLOSED) return;
      for (const rigId of new Set(rigIds)) hear({ tells: 'look', rigId });
      clearTimeout(timer);
      timer = setTimeout(open, AGAIN_MS);
    };
  };
  open();
  return () => {
    clearTimeout(timer);
    stream.close();
  };
};

/** Keeps the one stream for as long as this tab leads. @returns a function that ends it */
const lead = (
  tab: string,
  rigId: string,
  channel: BroadcastChannel,
  hear: (event: RigEvent) => void,
): (() => void) => {
  const wanted = new Map([[tab, rigId]]);
  let stream: { readonly url: string; readonly close: () => void } | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const pass = (event: RigEvent): void => {
    channel.postMessage({ says: 'heard', event } satisfies Message);
    hear(event);
  };
  const gather = (): void => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const url = streamUrl(wanted.values());
      if (stream?.url === url) return;
      stream?.close();
      stream = { url, close: openStream([...wanted.values()], pass) };
    }, GATHER_MS);
  };
  const listen = ({ data }: MessageEvent<Message>): void => {
    if (data.says === 'want') wanted.set(data.tab, data.rigId);
    if (data.says === 'leave') wanted.delete(data.tab);
    if (data.says !== 'heard') gather();
  };
  channel.addEventListener('message', listen);
  channel.postMessage({ says: 'who' } satisfies Message);
  gather();
  return () => {
    clearTimeout(timer);
    stream?.close();
    channel.removeEventListener('message', listen);
  };
};

/**
 * Hears of every change of a rig, whoever makes it.
 * @param tab this tab's own id
 * @returns a function that stops it
 */
export const hearOf = (
  rigId: string,
  tab: string,
  hear: (event: RigEvent) => void,
): (() => void) => {
  const forThis = (event: RigEvent): void => {
    if (event.rigId === rigId) hear(event);
  };
  if (!navigator.locks || typeof BroadcastChannel === 'undefined')
    return openStream([rigId], forThis);

  const channel = new BroadcastChannel(NAME);
  const post = (message: Message): void => channel.postMessage(message);
  channel.addEventListener('message', ({ data }: MessageEvent<Message>) => {
    if (data.says === 'heard') forThis(data.event);
    if (data.says === 'who') want();
  });
  const want = (): void => post({ says: 'want', tab, rigId });
  want();

  const stopping = new AbortController();
  let endLead = (): void => undefined;
  const held = new Promise<void>((done) => stopping.signal.addEventListener('abort', () => done()));
  navigator.locks
    .request(NAME, { signal: stopping.signal }, () => {
      endLead = lead(tab, rigId, channel, forThis);
      return held;
    })
    .catch(() => undefined); // stopped before it ever led
  const leave = (): void => post({ says: 'leave', tab });
  window.addEventListener('pagehide', leave);
  window.addEventListener('pageshow', want);
  return () => {
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('pageshow', want);
    endLead();
    leave();
    stopping.abort();
    channel.close();
  };
};
