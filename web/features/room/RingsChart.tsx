'use client';

import { Box } from '@chakra-ui/react';
import {
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Bar } from 'react-chartjs-2';
import { useFontsReady } from '@/ui/useFontsReady';

Chart.register(BarElement, CategoryScale, Legend, LinearScale, Tooltip);

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
  const [ink, soft, rule, sound, accent, paper] = [
    colour('ink'),
    colour('ink-soft'),
    colour('rule'),
    colour('thread-analogue'),
    colour('madder'),
    colour('paper'),
  ];
  const font = { family: "'Source Sans 3 Variable', sans-serif", size: 12 };
  const right: Plugin<'bar'> = {
    id: 'right',
    afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
      const y = scales['y']?.getPixelForValue(targetS) ?? 0;
      ctx.save();
      ctx.strokeStyle = ink;
      ctx.setLineDash([6, 4]);
      ctx.beginPath();
      ctx.moveTo(chartArea.left, y);
      ctx.lineTo(chartArea.right, y);
      ctx.stroke();
      const words = `right for speech, ${targetS.toFixed(2)} s`;
      ctx.font = `12px ${font.family}`;
      ctx.fillStyle = paper;
      ctx.fillRect(chartArea.right - ctx.measureText(words).width - 8, y - 18, 500, 15);
      ctx.fillStyle = ink;
      ctx.textAlign = 'right';
      ctx.fillText(words, chartArea.right - 4, y - 6);
      ctx.restore();
    },
  };
  const options: ChartOptions<'bar'> = {
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
      legend: { display: lines.length > 1, labels: { color: ink, font, boxWidth: 14 } },
      tooltip: { enabled: false },
    },
  };
  return (
    <Box height="210px" position="relative" mb="2">
      <Bar
        key={`${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'} ${targetS} ${lines.length}`}
        aria-label={label}
        role="img"
        options={options}
        plugins={[right]}
        data={{
          labels: [...bands],
          datasets: lines.map(({ name, values }, index) => ({
            label: name,
            data: values.map((value) => (Number.isFinite(value) ? value : null)),
            backgroundColor: index === 0 ? sound : accent,
            barPercentage: 0.8,
          })),
        }}
      />
    </Box>
  );
};
