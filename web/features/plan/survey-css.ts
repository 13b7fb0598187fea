const ink = 'var(--chakra-colors-ink)';
const soft = 'var(--chakra-colors-ink-soft)';
const card = 'var(--chakra-colors-paper-card)';
const picture = 'var(--chakra-colors-thread-picture)';
const analogue = 'var(--chakra-colors-thread-analogue)';

/** Ink on paper: thin walls, furniture as outlines, people as circles with a nose. */
export const SURVEY_CSS = {
  touchAction: 'none',
  userSelect: 'none',
  '& text': { fontSize: '12px', fill: ink, pointerEvents: 'none' },
  '& .walls': { fill: 'none', stroke: ink, strokeWidth: 2.5, strokeLinejoin: 'miter' },
  '& .length, & .distance': { fontSize: '11px', fill: soft },
  '& .way': { fill: 'none', stroke: soft, strokeWidth: 1, strokeDasharray: '6 4' },
  '& .cable-way': { fill: 'none', stroke: soft, strokeWidth: 5, strokeOpacity: 0.22 },
  '& .cable': { fill: 'none', stroke: ink, strokeWidth: 1.3 },
  '& .cable-picture': { stroke: picture, strokeWidth: 2 },
  '& .cable-sound': { stroke: analogue },
  '& .cable-mains': { strokeDasharray: '1 4', strokeWidth: 2, strokeLinecap: 'round' },
  '& .cable-number': {
    fontSize: '10px',
    fontWeight: 600,
    fill: ink,
    stroke: card,
    strokeWidth: 3,
    paintOrder: 'stroke',
  },
  '& .cable-trip': { stroke: 'var(--chakra-colors-madder)', strokeWidth: 4, strokeOpacity: 0.6 },
  '& .gap': { stroke: card, strokeWidth: 5 },
  '& .glass': { stroke: picture, strokeWidth: 4 },
  '& .socket': { stroke: analogue, strokeWidth: 5 },
  '& .swing': { fill: 'none', stroke: soft, strokeWidth: 1 },
  '& .support': { fill: card, fillOpacity: 0.85, stroke: ink, strokeWidth: 1.2 },
  '& .hangs': { fill: 'none', strokeDasharray: '8 4' },
  '& .device': { fill: card, stroke: ink, strokeWidth: 1 },
  '& .feet': { fill: 'none', stroke: ink, strokeWidth: 1.2 },
  '& .boom': { stroke: ink, strokeWidth: 2 },
  '& .column': { fill: ink },
  '& .grasp': { fill: 'transparent' },
  '& .clamp': { fill: card, stroke: ink, strokeWidth: 1.2 },
  '& .person': { fill: card, stroke: ink, strokeWidth: 2 },
  '& .nose': { stroke: ink, strokeWidth: 2 },
  '& .noise': { fill: 'none', stroke: analogue, strokeWidth: 1.5 },
  '& .corner': { fill: card, stroke: ink, strokeWidth: 2 },
  '& .way-point': { fill: card, stroke: soft, strokeWidth: 2 },
  '& .sight': { fill: 'none', stroke: picture, strokeWidth: 1.5 },
  '& .field': { fill: picture, fillOpacity: 0.08, stroke: picture, strokeWidth: 1 },
  '& .sightline': { stroke: picture, strokeWidth: 0.8, strokeDasharray: '2 4' },
  '& .pattern': { fill: analogue, fillOpacity: 0.07, stroke: analogue, strokeWidth: 1 },
  '& .measure': { stroke: 'var(--chakra-colors-madder)', strokeWidth: 1.5 },
  '& .scale': { stroke: ink, strokeWidth: 1.5 },
  '& .moves': { cursor: 'grab' },
  '& .thing:focus': { outline: 'none' },
  '& .thing:focus-visible *, & .chosen *': { stroke: 'var(--chakra-colors-madder)' },
  '& .chosen text, & .thing:focus-visible text': {
    stroke: 'none',
    fill: 'var(--chakra-colors-madder)',
  },
} as const;
