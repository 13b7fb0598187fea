'use client';

import { useEffect, useState } from 'react';
import { z } from 'zod';

/** Whether this page could be loaded again while the server is away. */
export type KeptPage =
  | 'asking'
  | 'kept'
  /** It did not come whole; the next change of the rig tries again */
  | 'failed'
  /** Browsers keep pages only of addresses they trust: this machine, or https */
  | 'not here';

const KEEPER = '/run-keeper.js';
/** How long after the rig has changed the page is kept anew. @unit ms */
const AFTER_MS = 2000;

const partsSchema = z.object({ parts: z.array(z.string()) });

/** What could not be kept now may be there from before. */
const asBefore = async (path: string): Promise<KeptPage> =>
  (await caches.match(path, { ignoreVary: true })) ? 'kept' : 'failed';

const keepPage = async (path: string): Promise<KeptPage> => {
  try {
    await navigator.serviceWorker.register(KEEPER);
    const { active } = await navigator.serviceWorker.ready;
    const { parts } = partsSchema.parse(await (await fetch('/api/parts')).json());
    if (!active || parts.length === 0) return await asBefore(path);
    return await new Promise((done) => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = ({ data }) => done(data === 'kept' ? 'kept' : asBefore(path));
      active.postMessage({ path, parts }, [port2]);
    });
  } catch {
    return asBefore(path);
  }
};

/**
 * Has the browser keep this page, and keep it anew when what it shows has changed.
 * @param shown what is on the page, by identity
 */
export const useKeptPage = (shown: unknown): KeptPage => {
  const [kept, setKept] = useState<KeptPage>(() =>
    'serviceWorker' in navigator ? 'asking' : 'not here',
  );
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return undefined;
    let isOver = false;
    const timer = setTimeout(() => {
      void keepPage(window.location.pathname).then((now) => !isOver && setKept(now));
    }, AFTER_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [shown]);
  return kept;
};
