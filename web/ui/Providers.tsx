'use client';

import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from 'next-themes';
import { useServerInsertedHTML } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { system } from './theme';
import { Toaster } from './toaster';

interface Inserted {
  readonly name: string;
  readonly isGlobal: boolean;
}

/**
 * A style cache that remembers what it has inserted since it was last flushed, so the server can
 * write it into the page.
 */
const makeRegistry = (nonce: string | undefined) => {
  const cache = createCache({ key: 'css', ...(nonce === undefined ? {} : { nonce }) });
  cache.compat = true;
  const insert = cache.insert;
  let inserted: Inserted[] = [];
  cache.insert = (...args) => {
    const [selector, serialized] = args;
    if (cache.inserted[serialized.name] === undefined)
      inserted.push({ name: serialized.name, isGlobal: selector === '' });
    return insert(...args);
  };
  const flush = () => {
    const flushed = inserted;
    inserted = [];
    return flushed;
  };
  return { cache, flush };
};

interface Props {
  /** Proof that a script or style came with the page; see `proxy.ts` */
  readonly nonce: string | undefined;
  readonly children: ReactNode;
}

const StyleRegistry = ({ nonce, children }: Props) => {
  const [{ cache, flush }] = useState(() => makeRegistry(nonce));
  useServerInsertedHTML(() => {
    const flushed = flush();
    if (flushed.length === 0) return null;
    const textOf = ({ name }: Inserted) => {
      const style = cache.inserted[name];
      return typeof style === 'string' ? style : '';
    };
    const globals = flushed.filter((item) => item.isGlobal);
    const scoped = flushed.filter((item) => !item.isGlobal);
    return (
      <>
        {globals.map((item) => (
          <style
            key={item.name}
            nonce={nonce}
            data-emotion={`${cache.key}-global ${item.name}`}
            dangerouslySetInnerHTML={{ __html: textOf(item) }}
          />
        ))}
        {scoped.length > 0 && (
          <style
            nonce={nonce}
            data-emotion={`${cache.key} ${scoped.map((item) => item.name).join(' ')}`}
            dangerouslySetInnerHTML={{ __html: scoped.map(textOf).join('') }}
          />
        )}
      </>
    );
  });
  return <CacheProvider value={cache}>{children}</CacheProvider>;
};

/** Everything a page stands in: styles, theme, paper or charcoal, messages. */
export const Providers = ({ nonce, children }: Props) => (
  <StyleRegistry nonce={nonce}>
    <ChakraProvider value={system}>
      <ThemeProvider
        attribute="class"
        defaultTheme="system"
        disableTransitionOnChange
        {...(nonce === undefined ? {} : { nonce })}
      >
        {children}
        <Toaster />
      </ThemeProvider>
    </ChakraProvider>
  </StyleRegistry>
);
