'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { placeNames } from '@/features/room/marks';
import { Fields } from './Layers';
import { Marks, personPx } from './Marks';
import { type Plane, xOf, yOf } from './plane';
import { SURVEY_CSS } from './survey-css';
import type { Thing } from './thing';
import { thingsOf } from './things';
import { Walls } from './Walls';

const SCALES = [20, 50, 100] as const;
type Scale = (typeof SCALES)[number];

/** Papers lying down, the smallest first. @unit mm */
const PAPERS = [
  { name: 'A4', widthMm: 297, heightMm: 210 },
  { name: 'A3', widthMm: 420, heightMm: 297 },
  { name: 'A2', widthMm: 594, heightMm: 420 },
  { name: 'A1', widthMm: 841, heightMm: 594 },
  { name: 'A0', widthMm: 1189, heightMm: 841 },
] as const;
type Paper = (typeof PAPERS)[number];

const MARGIN_MM = 10;
/** For the name, the scale and the lengths of the walls. @unit mm */
const TITLE_MM = 14;
const AROUND_MM = 10;
/** A pixel of the browser on paper. @unit mm */
const PX_MM = 25.4 / 96;

interface Props {
  readonly analysis: Analysis;
  readonly things: readonly Thing[];
}

interface Bounds {
  readonly left: number;
  readonly bottom: number;
  readonly widthM: number;
  readonly heightM: number;
}

const boundsOf = ({ analysis, things }: Props): Bounds => {
  const points = [...(analysis.rig.shell?.corners ?? []), ...things.map(({ at }) => at)];
  const [xs, ys] = [points.map(({ xM }) => xM), points.map(({ yM }) => yM)];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  return {
    left,
    bottom,
    widthM: Math.max(...xs) - left,
    heightM: Math.max(...ys) - bottom,
  };
};

/** The smallest paper on which the plan fits at a scale. @returns null where none is large enough */
const paperFor = ({ widthM, heightM }: Bounds, scale: Scale): Paper | null =>
  PAPERS.find(
    (paper) =>
      (widthM * 1000) / scale + 2 * (MARGIN_MM + AROUND_MM) <= paper.widthMm &&
      (heightM * 1000) / scale + 2 * (MARGIN_MM + AROUND_MM) + TITLE_MM <= paper.heightMm,
  ) ?? null;

/** The plan on paper, at a stated scale: a metre is 1000 mm over the scale, whatever the browser does. */
const Sheet = ({
  analysis,
  things,
  scale,
  paper,
}: Props & { readonly scale: Scale; readonly paper: Paper }) => {
  useEffect(() => {
    const page = new CSSStyleSheet();
    page.replaceSync(
      `@page { size: ${paper.widthMm}mm ${paper.heightMm}mm; margin: ${MARGIN_MM}mm; }`,
    );
    document.adoptedStyleSheets.push(page);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== page);
    };
  }, [paper]);
  const bounds = boundsOf({ analysis, things });
  const widthMm = (bounds.widthM * 1000) / scale + 2 * AROUND_MM;
  const heightMm = (bounds.heightM * 1000) / scale + 2 * AROUND_MM;
  const pxPerM = 1000 / scale / PX_MM;
  const plane: Plane = {
    leftM: bounds.left - AROUND_MM / PX_MM / pxPerM,
    bottomM: bounds.bottom - AROUND_MM / PX_MM / pxPerM,
    pxPerM,
    widthPx: widthMm / PX_MM,
    heightPx: heightMm / PX_MM,
  };
  const names = placeNames(
    things.map(({ name, at, kind, on, moves }) => ({
      name: kind === 'device' && (!moves || (on !== null && scale > 20)) ? null : name,
      x: xOf(plane, at),
      y: yOf(plane, at),
      nose: null,
      radiusPx: kind === 'person' ? personPx(plane) : 7,
    })),
    { left: 0, right: plane.widthPx, top: 0, bottom: plane.heightPx },
    true,
  );
  return (
    <div className="print-only">
      <Text fontSize="12px">
        {`${analysis.rig.name} · plan at 1:${scale} on ${paper.name} · ` +
          `${new Date().toISOString().slice(0, 10)} · a line of 1 m is ${1000 / scale} mm`}
      </Text>
      <Box asChild css={{ ...SURVEY_CSS, '& text': { fontSize: '9px', fill: 'black' } }}>
        <svg
          data-print-plan
          width={`${widthMm}mm`}
          height={`${heightMm}mm`}
          viewBox={`0 0 ${plane.widthPx} ${plane.heightPx}`}
        >
          <Walls analysis={analysis} plane={plane} units="m" />
          <Fields analysis={analysis} plane={plane} units="m" />
          <Marks
            rig={analysis.rig}
            things={things}
            plane={plane}
            units="m"
            selected={null}
            names={names}
          />
          <line
            className="scale"
            x1={10}
            x2={10 + pxPerM}
            y1={plane.heightPx - 6}
            y2={plane.heightPx - 6}
          />
        </svg>
      </Box>
    </div>
  );
};

/** Which scale to print at, on which paper it fits, and the sheet itself while it is printed. */
export const PrintSheet = ({ analysis }: Pick<Props, 'analysis'>) => {
  const things = useMemo(() => thingsOf(analysis), [analysis]);
  const [scale, setScale] = useState<Scale | null>(null);
  useEffect(() => {
    if (scale === null) return undefined;
    const done = () => setScale(null);
    window.addEventListener('afterprint', done);
    // The sheet must be on the page before it is printed.
    const asked = window.setTimeout(() => window.print(), 60);
    return () => {
      window.clearTimeout(asked);
      window.removeEventListener('afterprint', done);
    };
  }, [scale]);
  if (things.length === 0 && analysis.rig.shell === null) return null;
  const bounds = boundsOf({ analysis, things });
  const paper = scale === null ? null : paperFor(bounds, scale);
  return (
    <Box as="section" aria-label="Print the plan">
      <Text as="h2" fontWeight="600">
        On paper
      </Text>
      <Flex gap="2" wrap="wrap" mt="1">
        {SCALES.map((one) => {
          const fits = paperFor(bounds, one);
          return (
            <Button
              key={one}
              size="sm"
              variant="outline"
              disabled={!fits}
              onClick={() => setScale(one)}
            >
              {`Print at 1:${one}${fits ? `, ${fits.name}` : ': too large'}`}
            </Button>
          );
        })}
      </Flex>
      {scale !== null &&
        paper &&
        createPortal(
          <Sheet analysis={analysis} things={things} scale={scale} paper={paper} />,
          document.body,
        )}
    </Box>
  );
};
