import { Box } from '@chakra-ui/react';
import { msText } from '@/features/time/offsets';

interface Props {
  readonly picture: readonly { readonly ms: number; readonly value: number }[];
}

const WIDTH = 260;
const HEIGHT = 60;

/** How alike two recordings are around where they fit: one narrow peak is sure, many are not. */
export const Correlation = ({ picture }: Props) => {
  const first = picture[0]?.ms ?? 0;
  const last = picture.at(-1)?.ms ?? 1;
  const points = picture
    .map(({ ms, value }) => {
      const x = (WIDTH * (ms - first)) / (last - first || 1);
      return `${x.toFixed(1)},${(HEIGHT * 0.75 * (1 - value) + 3).toFixed(1)}`;
    })
    .join(' ');
  return (
    <Box
      asChild
      width="100%"
      maxW={`${WIDTH}px`}
      css={{
        '& polyline': { fill: 'none', stroke: 'thread.analogue', strokeWidth: 1.2 },
        '& line': { stroke: 'rule' },
      }}
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 4}`}
        role="img"
        aria-label={`Correlation from ${msText(first)} to ${msText(last)} ms around the peak`}
      >
        <line x1="0" y1={HEIGHT * 0.75 + 3} x2={WIDTH} y2={HEIGHT * 0.75 + 3} />
        <polyline points={points} />
      </svg>
    </Box>
  );
};
