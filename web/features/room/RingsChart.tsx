'use client';

import { Box } from '@chakra-ui/react';
import {
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
  LineController,
  LineElement,
  PointElement,
  BarController,
  type ChartOptions,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Chart as Drawn } from 'react-chartjs-2';
import { useFontsReady } from '@/ui/useFontsReady';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
);

interface Props {
  /** What the chart shows, for those who do not see it; the same figures stand below it as a table */
  readonly label: string;
  readonly bands: readonly string[];
  readonly lines: readonly { readonly name: string; readonly values: readonly number[] }[];
  readonly targetS: number;
}

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
  '#000';

/** Seconds that the room rings in each band, before and after, and the time that is right. */
export const RingsChart = ({ label, bands, lines, targetS }: Props) => {
  const { resolvedTheme } = useTheme();
  const fontsReady = useFontsReady();
  const [ink, soft, rule, sound, accent] = [
    colour('ink'),
    colour('ink-soft'),
    colour('rule'),
    colour('thread-analogue'),
    colour('madder'),
  ];
  const font = { family: "'Source Sans 3 Variable', sans-serif", size: 12 };
  const options: ChartOptions<'bar' | 'line'> = {
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    scales: {
      x: { ticks: { color: soft, font }, grid: { display: false } },
      y: {
        beginAtZero: true,
        suggestedMax: targetS * 1.5,
        ticks: { color: soft, font },
        grid: { color: rule },
        title: { display: true, text: 'seconds', color: soft, font },
      },
    },
    plugins: {
      legend: { labels: { color: ink, font, boxWidth: 14 } },
      tooltip: { enabled: false },
    },
  };
  return (
    <Box height="210px" position="relative" mb="2">
      <Drawn
        type="bar"
        key={`${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'} ${targetS} ${lines.length}`}
        aria-label={label}
        role="img"
        options={options}
        data={{
          labels: [...bands],
          datasets: [
            {
              type: 'line' as const,
              label: `right for speech, ${targetS.toFixed(2)} s`,
              data: bands.map(() => targetS),
              borderColor: ink,
              backgroundColor: 'transparent',
              borderDash: [6, 4],
              borderWidth: 1.5,
              pointRadius: 0,
            },
            ...lines.map(({ name, values }, index) => ({
              type: 'bar' as const,
              label: name,
              data: values.map((value) => (Number.isFinite(value) ? value : null)),
              backgroundColor: index === 0 ? sound : accent,
              barPercentage: 0.8,
            })),
          ],
        }}
      />
    </Box>
  );
};
