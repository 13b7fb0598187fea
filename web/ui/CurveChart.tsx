'use client';

import { Box } from '@chakra-ui/react';
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Scatter } from 'react-chartjs-2';
import { useFontsReady } from './useFontsReady';

Chart.register(LinearScale, LineElement, PointElement);

interface Props {
  /** What the chart shows, for those who do not see it; the same figures stand beside it as text */
  readonly label: string;
  readonly unit: string;
  readonly points: readonly { readonly inDb: number; readonly outDb: number }[];
  /** The voice that comes in, from its quietest average to its loudest peak */
  readonly range: { readonly fromDb: number; readonly averageDb: number; readonly toDb: number };
  readonly thresholdDb: number;
}

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
  '#000';

/** A static curve, level out over level in, with the voice's range as a band on it. */
export const CurveChart = ({ label, unit, points, range, thresholdDb }: Props) => {
  const { resolvedTheme } = useTheme();
  const fontsReady = useFontsReady();
  const [ink, soft, rule, voice, accent] = [
    colour('ink'),
    colour('ink-soft'),
    colour('rule'),
    colour('thread-analogue'),
    colour('level-stop'),
  ];
  const font = { family: "'Source Sans 3 Variable', sans-serif", size: 11 };
  const band: Plugin<'scatter'> = {
    id: 'band',
    beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
      const x = (db: number): number => scales['x']?.getPixelForValue(db) ?? 0;
      ctx.save();
      ctx.fillStyle = `${voice}2e`;
      ctx.fillRect(
        x(range.fromDb),
        chartArea.top,
        x(range.toDb) - x(range.fromDb),
        chartArea.bottom - chartArea.top,
      );
      for (const [db, text, ink, dash] of [
        [range.averageDb, 'average', voice, []],
        [range.toDb, 'peaks', voice, [4, 3]],
        [thresholdDb, 'threshold', accent, [8, 4]],
      ] as const) {
        ctx.strokeStyle = ink;
        ctx.setLineDash([...dash]);
        ctx.beginPath();
        ctx.moveTo(x(db), chartArea.top);
        ctx.lineTo(x(db), chartArea.bottom);
        ctx.stroke();
        ctx.fillStyle = soft;
        ctx.font = `11px ${font.family}`;
        ctx.save();
        ctx.translate(x(db) - 3, chartArea.bottom - 4);
        ctx.rotate(-Math.PI / 2);
        ctx.fillText(text, 0, 0);
        ctx.restore();
      }
      ctx.restore();
    },
  };
  const axis = (text: string) => ({
    ticks: {
      color: soft,
      font,
      callback: (value: string | number) => String(value).replace('-', '−'),
    },
    grid: { color: rule },
    title: { display: true, text, color: soft, font },
  });
  const options: ChartOptions<'scatter'> = {
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    scales: {
      x: { ...axis(`in, ${unit}`), min: points[0]?.inDb, max: points.at(-1)?.inDb },
      y: axis(`out, ${unit}`),
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
  const line = { showLine: true, pointRadius: 0, borderWidth: 2 };
  // A chart keeps the plugins it was made with, so another curve is another chart.
  return (
    <Box height="240px" position="relative">
      <Scatter
        key={`${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'} ${label}`}
        aria-label={label}
        role="img"
        options={options}
        plugins={[band]}
        data={{
          datasets: [
            {
              ...line,
              label: 'Curve',
              data: points.map(({ inDb, outDb }) => ({ x: inDb, y: outDb })),
              borderColor: ink,
              backgroundColor: ink,
            },
            {
              ...line,
              label: 'As it came',
              data: points.map(({ inDb }) => ({ x: inDb, y: inDb })),
              borderColor: soft,
              backgroundColor: soft,
              borderWidth: 1,
              borderDash: [2, 3],
            },
          ],
        }}
      />
    </Box>
  );
};
