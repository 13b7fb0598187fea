'use client';

import { Box } from '@chakra-ui/react';
import {
  Chart,
  LineElement,
  PointElement,
  RadialLinearScale,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { useTheme } from 'next-themes';
import { Radar } from 'react-chartjs-2';
import { useFontsReady } from './useFontsReady';

Chart.register(LineElement, PointElement, RadialLinearScale);

/** Something that sounds from a side. */
export interface PolarPoint {
  readonly name: string;
  /** Clockwise from the axis. @unit degrees, −180 to 180 */
  readonly angleDeg: number;
  readonly mark: 'voice' | 'own voice' | 'noise' | 'loudspeaker';
}

interface Props {
  /** What the chart shows, for those who do not see it; a table with the same figures stands beside it */
  readonly label: string;
  /** How it hears from a side. @returns dB, 0 on the axis */
  readonly gainAt: (deg: number) => number;
  readonly points: readonly PolarPoint[];
}

const STEP_DEG = 5;
const FLOOR_DB = -25;
/** From the outer ring to the names. */
const NAME_PX = 10;
const ANGLES = Array.from({ length: 360 / STEP_DEG }, (_, index) => index * STEP_DEG);
const STYLES = {
  voice: 'circle',
  'own voice': 'star',
  noise: 'rect',
  loudspeaker: 'triangle',
} as const;
const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--chakra-colors-${name}`).trim() ||
  '#000';

/**
 * From which sides a microphone hears, with everything that sounds around it. The axis points up;
 * marks differ by shape, not by colour alone.
 */
export const PolarChart = ({ label, gainAt, points }: Props) => {
  const { resolvedTheme } = useTheme();
  const fontsReady = useFontsReady();
  const [ink, soft, rule, voice, noise, accent] = [
    colour('ink'),
    colour('ink-soft'),
    colour('rule'),
    colour('thread-analogue'),
    colour('thread-picture'),
    colour('level-stop'),
  ];
  const font = { family: "'Source Sans 3 Variable', sans-serif", size: 12 };
  const colours = { voice: voice, 'own voice': ink, noise: noise, loudspeaker: accent };
  const shown = points.map((point) => ({
    ...point,
    index:
      ((Math.round(point.angleDeg / STEP_DEG) % ANGLES.length) + ANGLES.length) % ANGLES.length,
  }));
  const names: Plugin<'radar'> = {
    id: 'names',
    afterDatasetsDraw: (chart) => {
      const { ctx, scales } = chart;
      const round = scales['r'] as RadialLinearScale | undefined;
      if (!round) return;
      ctx.save();
      ctx.font = `12px ${font.family}`;
      const taken: { readonly isLeft: boolean; readonly y: number }[] = [];
      // From the top down, so that names that would meet go one under the other.
      [...shown]
        .sort((a, b) => Math.abs(a.angleDeg) - Math.abs(b.angleDeg))
        .forEach((point) => {
          const at = chart.getDatasetMeta(shown.indexOf(point) + 1).data[point.index];
          if (!at) return;
          const turn = (point.angleDeg * Math.PI) / 180;
          const isLeft = point.angleDeg < 0 || (point.angleDeg === 0 && point.mark === 'own voice');
          const outside = round.drawingArea + NAME_PX;
          const x =
            round.xCenter +
            (isLeft ? -1 : 1) * Math.max(NAME_PX, Math.abs(outside * Math.sin(turn)));
          let y = round.yCenter - outside * Math.cos(turn) + 4;
          while (taken.some((other) => other.isLeft === isLeft && Math.abs(other.y - y) < 15))
            y += 15;
          taken.push({ isLeft, y });
          ctx.strokeStyle = soft;
          ctx.lineWidth = 0.75;
          ctx.beginPath();
          ctx.moveTo(at.x, at.y);
          ctx.lineTo(x, y - 4);
          ctx.stroke();
          ctx.fillStyle = ink;
          ctx.textAlign = isLeft ? 'right' : 'left';
          ctx.fillText(point.name, x + (isLeft ? -3 : 3), y);
        });
      ctx.restore();
    },
  };
  const options: ChartOptions<'radar'> = {
    animation: false,
    maintainAspectRatio: false,
    responsive: true,
    layout: { padding: { left: 130, right: 130, top: 18, bottom: 18 } },
    scales: {
      r: {
        min: FLOOR_DB,
        max: 0,
        ticks: {
          stepSize: 5,
          color: soft,
          backdropColor: 'transparent',
          font: { ...font, size: 10 },
          callback: (value) => (Number(value) % 10 === 0 ? String(value).replace('-', '−') : ''),
        },
        grid: { color: rule, circular: true },
        angleLines: { display: false },
        pointLabels: { display: false },
      },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  };
  const datasets = [
    {
      label: 'Pattern',
      data: ANGLES.map((deg) => Math.max(FLOOR_DB, gainAt(deg))),
      borderColor: voice,
      backgroundColor: `${voice}22`,
      borderWidth: 2,
      pointRadius: 0,
      fill: true,
    },
    ...shown.map((point) => ({
      label: point.name,
      data: ANGLES.map((deg, index) =>
        index === point.index ? Math.max(FLOOR_DB, gainAt(deg)) : null,
      ),
      borderColor: colours[point.mark],
      backgroundColor: colours[point.mark],
      pointStyle: STYLES[point.mark],
      pointRadius: 6,
      borderWidth: 2,
      spanGaps: false,
    })),
  ];
  // A chart keeps the plugins it was made with, so another microphone is another chart.
  return (
    <Box height="290px" position="relative">
      <Radar
        key={`${resolvedTheme ?? 'light'} ${fontsReady ? 'drawn' : 'first'} ${label}`}
        aria-label={label}
        role="img"
        options={options}
        plugins={[names]}
        data={{ labels: ANGLES.map(String), datasets }}
      />
    </Box>
  );
};
