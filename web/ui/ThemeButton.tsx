'use client';

import { IconButton } from '@chakra-ui/react';
import { Moon, Sun } from 'lucide-react';
import { useTheme } from 'next-themes';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Paper or charcoal. Drawn only in the browser: the server does not know which is on. */
export const ThemeButton = () => {
  const isBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const { resolvedTheme, setTheme } = useTheme();
  if (!isBrowser) return null;
  const isDark = resolvedTheme === 'dark';
  return (
    <IconButton
      size="sm"
      variant="ghost"
      aria-label={isDark ? 'Light theme' : 'Dark theme'}
      onClick={() => setTheme(isDark ? 'light' : 'dark')}
    >
      {isDark ? <Sun size={16} /> : <Moon size={16} />}
    </IconButton>
  );
};
