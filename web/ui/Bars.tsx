'use client';

import { Box } from '@chakra-ui/react';
import {
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Bar } from 'react-chartjs-2';
import { useFontsReady } from './useFontsReady';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

/** One bar, and how it stands against its marks. */
export interface BarLine {
  readonly label: string;
  readonly value: number;
  readonly level: 'well' | 'warn' | 'stop';
  /** Said at the end of the bar */
  readonly text: string;
}

interface Props {
  /** What the chart shows, for those who do not see it; the same figures stand beside it as text */
  readonly label: string;
  readonly lines: readonly BarLine[];
  /** Upright lines at these values */
  readonly marks: readonly { readonly at: number; readonly label: string }[];
  readonly max: number;
}

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
  '#000';
const BAR_PX = 34;

/** Lying bars against upright marks. Colours follow the theme; the text at each bar says what the colour says. */
export const Bars = ({ label, lines, marks, max }: Props) => {
  const { resolvedTheme } = useTheme();
  const fontsReady = useFontsReady();
  const ink = colour('ink');
  const soft = colour('ink-soft');
  const font = { family: "'Source Sans 3 Variable', sans-serif", size: 12 };
  const paper = colour('paper');
  const drawMarks: Plugin<'bar'> = {
    id: 'marks',
    beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
      ctx.save();
      ctx.font = `11px ${font.family}`;
      ctx.strokeStyle = soft;
      ctx.fillStyle = soft;
      ctx.textAlign = 'center';
      ctx.setLineDash([4, 3]);
      for (const mark of marks) {
        const at = scales['x']?.getPixelForValue(mark.at) ?? 0;
        ctx.beginPath();
        ctx.moveTo(at, chartArea.top);
        ctx.lineTo(at, chartArea.bottom);
        ctx.stroke();
        ctx.fillText(mark.label, at, chartArea.top - 4);
      }
      ctx.restore();
    },
    afterDatasetsDraw: (chart) => {
      const { ctx } = chart;
      ctx.save();
      ctx.font = `12px ${font.family}`;
      lines.forEach((line, index) => {
        const bar = chart.getDatasetMeta(0).data[index];
        if (!bar) return;
        // On paper of its own, so that no mark runs through the figure.
        ctx.fillStyle = paper;
        ctx.fillRect(bar.x + 4, bar.y - 8, ctx.measureText(line.text).width + 4, 16);
        ctx.fillStyle = ink;
        ctx.fillText(line.text, bar.x + 6, bar.y + 4);
      });
      ctx.restore();
    },
  };
  const options: ChartOptions<'bar'> = {
    indexAxis: 'y',
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    layout: { padding: { top: 16, right: 96 } },
    scales: {
      x: {
        min: 0,
        max,
        ticks: { display: false },
        grid: { display: false },
        border: { color: soft },
      },
      y: {
        ticks: { color: ink, font, autoSkip: false },
        grid: { display: false },
        border: { color: soft },
      },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
  // A chart keeps the plugins it was made with, so other texts are another chart.
  return (
    <Box height={`${lines.length * BAR_PX + 30}px`} position="relative">
      <Bar
        key={
          `${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'} ` +
          `${lines.map(({ label: name, text }) => `${name} ${text}`).join()}`
        }
        aria-label={label}
        role="img"
        options={options}
        plugins={[drawMarks]}
        data={{
          labels: lines.map((line) => line.label),
          datasets: [
            {
              data: lines.map(({ value }) => Math.min(value, max)),
              backgroundColor: lines.map(({ level }) => colour(`level-${level}`)),
              barThickness: 14,
            },
          ],
        }}
      />
    </Box>
  );
};
