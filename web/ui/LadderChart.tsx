'use client';

import { Box } from '@chakra-ui/react';
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  type ChartDataset,
  type ChartOptions,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Line } from 'react-chartjs-2';
import { useFontsReady } from './useFontsReady';

Chart.register(CategoryScale, Filler, LinearScale, LineElement, PointElement);

/** One place of the ladder. null = not known or nothing there. All in the place's own unit. @unit dB */
export interface LadderPoint {
  readonly label: string;
  readonly unit: string;
  readonly levelDb: number | null;
  readonly peakDb: number | null;
  readonly noiseDb: number | null;
  readonly ceilingDb: number | null;
}

interface Props {
  /** What the chart shows, for those who do not see it; a table with the same figures stands beside it */
  readonly label: string;
  readonly points: readonly LadderPoint[];
  /** As it was, drawn thin behind */
  readonly before: readonly LadderPoint[] | null;
  /** How far the voice strays to either side. @unit dB */
  readonly spreadDb: number;
}

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
  '#000';

/**
 * A voice along its chain: average in its band, peaks, the noise under it and the ceiling over it.
 * Lines differ by dash and by mark, not by colour alone.
 */
export const LadderChart = ({ label, points, before, spreadDb }: Props) => {
  const { resolvedTheme } = useTheme();
  const fontsReady = useFontsReady();
  const [ink, soft, accent, voice, noise] = [
    colour('ink'),
    colour('ink-soft'),
    colour('level-stop'),
    colour('thread-analogue'),
    colour('thread-picture'),
  ];
  const font = {
    family: "'Source Sans 3 Variable', sans-serif",
    size: points.length > 5 ? 11 : 12,
  };
  const line = (
    name: string,
    values: (number | null)[],
    more: Partial<ChartDataset<'line'>>,
  ): ChartDataset<'line'> => ({
    label: name,
    data: values,
    spanGaps: true,
    pointRadius: 3,
    borderWidth: 2,
    tension: 0,
    ...more,
  });
  const of = (
    list: readonly LadderPoint[],
    key: 'levelDb' | 'peakDb' | 'noiseDb' | 'ceilingDb',
    by = 0,
  ) => list.map((point) => (point[key] === null ? null : (point[key] ?? 0) + by));
  const thin = { borderWidth: 1, borderColor: soft, pointRadius: 0, borderDash: [2, 3] };
  const datasets: ChartDataset<'line'>[] = [
    line('Ceiling', of(points, 'ceilingDb'), {
      borderColor: accent,
      backgroundColor: accent,
      pointStyle: 'line',
      pointRadius: 14,
      pointHoverRadius: 14,
      borderDash: [8, 4],
    }),
    line('Peaks', of(points, 'peakDb'), {
      borderColor: voice,
      backgroundColor: voice,
      pointStyle: 'triangle',
      pointRadius: 5,
      borderDash: [4, 3],
    }),
    line('Average', of(points, 'levelDb'), {
      borderColor: voice,
      backgroundColor: voice,
      pointStyle: 'circle',
      borderWidth: 3,
    }),
    line('Loudest usual', of(points, 'levelDb', spreadDb), {
      borderWidth: 0,
      pointRadius: 0,
      fill: '+1',
      backgroundColor: `${voice}33`,
    }),
    line('Quietest usual', of(points, 'levelDb', -spreadDb), { borderWidth: 0, pointRadius: 0 }),
    line('Noise', of(points, 'noiseDb'), {
      borderColor: noise,
      backgroundColor: noise,
      pointStyle: 'rect',
      borderDash: [1, 3],
    }),
    ...(before
      ? [
          line('Average before', of(before, 'levelDb'), thin),
          line('Peaks before', of(before, 'peakDb'), thin),
          line('Noise before', of(before, 'noiseDb'), thin),
        ]
      : []),
  ];
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    layout: { padding: { right: 16, left: 4 } },
    scales: {
      x: {
        offset: true,
        ticks: { color: ink, font, maxRotation: 0, autoSkip: false },
        grid: { color: colour('rule') },
      },
      y: {
        ticks: {
          color: soft,
          font,
          stepSize: 20,
          callback: (value) => String(value).replace('-', '−'),
        },
        grid: { color: colour('rule') },
        suggestedMax: 20,
        suggestedMin: -140,
      },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
  return (
    <Box height="330px" position="relative">
      <Line
        key={`${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'}`}
        aria-label={label}
        role="img"
        options={options}
        data={{ labels: points.map((point) => [...wrapped(point.label), point.unit]), datasets }}
      />
    </Box>
  );
};

/** Letters that fit under a place when there are many. */
const LINE_LETTERS = 11;

/** A place's name on short lines: the device's words, then its port's. */
const wrapped = (label: string): string[] =>
  label
    .split(', ')
    .slice(0, 2)
    .flatMap((part) =>
      part.split(' ').reduce<string[]>((lines, word) => {
        const last = lines.at(-1);
        return last !== undefined && `${last} ${word}`.length <= LINE_LETTERS
          ? [...lines.slice(0, -1), `${last} ${word}`]
          : [...lines, word];
      }, []),
    );
