import { SURVEY_CSS } from '@/features/plan/survey-css';

/** The survey with pools of light on it. */
export const POOL_CSS = {
  ...SURVEY_CSS,
  '& .pool': {
    fill: 'var(--chakra-colors-lamp)',
    fillOpacity: 0.13,
    stroke: 'var(--chakra-colors-ink-soft)',
    strokeWidth: 0.7,
  },
  '& .lux': {
    fontSize: '10px',
    fill: 'var(--chakra-colors-ink-soft)',
    stroke: 'var(--chakra-colors-paper-card)',
    strokeWidth: 3,
    paintOrder: 'stroke',
  },
  '& .lamp': {
    fill: 'var(--chakra-colors-paper-card)',
    stroke: 'var(--chakra-colors-ink)',
    strokeWidth: 1.4,
  },
  '& .lit': { fill: 'var(--chakra-colors-lamp)' },
  '& .ray': { stroke: 'var(--chakra-colors-ink)', strokeWidth: 1.2 },
  '& .chosen .lamp, & .chosen .ray': { stroke: 'var(--chakra-colors-madder)', strokeWidth: 2.4 },
  '& .backdrop': { stroke: 'var(--chakra-colors-ink)', strokeWidth: 4, strokeOpacity: 0.55 },
  '& .area': { fill: 'none', stroke: 'var(--chakra-colors-ink-soft)', strokeDasharray: '5 4' },
} as const;
