/** A table that may be wider than the screen: it scrolls by itself, also by keys. */
export const WIDE = {
  overflowX: 'auto',
  tabIndex: 0,
  role: 'group',
  'aria-label': 'A table that may be wider than the screen',
} as const;
