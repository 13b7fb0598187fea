import { type ComponentType, lazy } from 'react';

/**
 * A view whose code is not part of the page that the server sends: it is fetched beside the engine, as soon as the
 * page runs in a browser.
 */
export const lazyView = <Props extends object>(load: () => Promise<ComponentType<Props>>) => {
  const early = typeof window === 'undefined' ? null : load();
  // What fails is said where the view should stand.
  early?.catch(() => undefined);
  return lazy(async () => ({ default: await (early ?? load()) }));
};
