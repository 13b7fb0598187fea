'use client';

import { useSyncExternalStore } from 'react';

/** Who goes round and looks: kept in this browser, so that it is typed once. */

const KEY = 'echo-loom-looker';
const listeners = new Set<() => void>();

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

const read = (): string => {
  try {
    return window.localStorage.getItem(KEY) ?? '';
  } catch {
    // A browser that keeps nothing asks again.
    return '';
  }
};

export const useLooker = (): readonly [string, (name: string) => void] => {
  const name = useSyncExternalStore(subscribe, read, () => '');
  return [
    name,
    (next) => {
      try {
        window.localStorage.setItem(KEY, next);
      } catch {
        return;
      }
      for (const listener of listeners) listener();
    },
  ];
};
