import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ReactNode } from 'react';
import { draw } from './in-browser-for-tests';

/** Where a page led, and how often it was asked for anew. */
export interface Going {
  /** Addresses that were gone to */
  readonly visited: string[];
  refreshes: number;
}

/** Draws something that may lead to other pages. */
export const drawWithRouter = (children: ReactNode): Going => {
  const going: Going = { visited: [], refreshes: 0 };
  const go = (address: string) => void going.visited.push(address);
  const nothing = () => undefined;
  draw(
    <AppRouterContext.Provider
      value={{
        push: go,
        replace: go,
        back: nothing,
        forward: nothing,
        refresh: () => void going.refreshes++,
        prefetch: nothing,
        bfcacheId: 'test',
      }}
    >
      {children}
    </AppRouterContext.Provider>,
  );
  return going;
};
