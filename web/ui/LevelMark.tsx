import type { Level } from '@echo-loom/core';

/** Octagon, wedge, ring, tick, each in a square of 16. */
export const LEVEL_SHAPES: Readonly<
  Record<Level | 'well', { readonly path: string; readonly fill: boolean; readonly name: string }>
> = {
  stop: { path: 'M5 1h6l4 4v6l-4 4H5l-4-4V5z', fill: true, name: 'Stop' },
  warn: { path: 'M1 15V2l14 13z', fill: true, name: 'Warning' },
  note: { path: 'M8 2.5a5.5 5.5 0 1 0 0 11 5.5 5.5 0 0 0 0-11z', fill: false, name: 'Note' },
  well: { path: 'M2 9l4 4 8-10', fill: false, name: 'Nothing found' },
};

interface Props {
  readonly level: Level | 'well';
  /** @unit px */
  readonly size?: number;
  /** Said aloud; empty where the words beside it say it already */
  readonly label?: string;
}

/** The level of a finding by shape and colour: octagon, wedge, ring; a tick where nothing was found. */
export const LevelMark = ({ level, size = 14, label }: Props) => {
  const { path, fill, name } = LEVEL_SHAPES[level];
  const colour = `var(--chakra-colors-level-${level})`;
  const said = label ?? name;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      style={{ flex: 'none' }}
      {...(said ? { role: 'img', 'aria-label': said } : { 'aria-hidden': true })}
    >
      <path
        d={path}
        fill={fill ? colour : 'none'}
        stroke={colour}
        strokeWidth={fill ? 1 : 2.4}
        strokeLinejoin="round"
      />
    </svg>
  );
};
