'use client';

import type { Analysis } from '@echo-loom/core';
import { useEffect } from 'react';
import { createPortal } from 'react-dom';
import { today } from '@/ui/today';
import type { LoomLayout } from '@/layout/parts';
import { type Reading, READING_UNITS } from '@/features/chosen/readings';
import { LoomDrawing } from './LoomDrawing';
import { HEAD_MM, JOIN_MM, MARGIN_MM, type Sheet, type Sheets } from './sheets';
import { LEGEND, ThreadLine } from './ThreadLine';

interface Props {
  readonly analysis: Analysis;
  readonly layout: LoomLayout;
  readonly reading: Reading;
  readonly cut: Sheets;
}

/** Nothing but the sheets is printed, each on paper of its own. */
const pageCss = ({ paper }: Sheets): string => `
  @page { size: ${paper.widthMm}mm ${paper.heightMm}mm; margin: ${MARGIN_MM}mm; }
  @media print {
    body > :not([data-loom-sheets]) { display: none !important; }
    [data-loom-sheets] > section { break-after: page; }
    [data-loom-sheets] > section:last-child { break-after: auto; }
  }`;

const joinsText = ({ right, below }: Sheet): string => {
  const parts = [
    ...(right === null ? [] : [`sheet ${right} joins at the right`]),
    ...(below === null ? [] : [`sheet ${below} joins below`]),
  ];
  return parts.length > 0 ? ` · ${parts.join(', ')}` : '';
};

const Legend = () => (
  <svg width="190mm" height="5mm" viewBox="0 0 760 20" aria-hidden>
    {LEGEND.map(([family, name], index) => (
      <g key={family} transform={`translate(${index * 150} 10)`}>
        <ThreadLine d="M0 0H34" family={family} isBlack />
        <text x={40} y={4} style={{ fontSize: 12 }}>
          {name}
        </text>
      </g>
    ))}
  </svg>
);

/** The chart on as many sheets as it takes, black on white, numbered, with what joins where. */
export const PaperSheets = ({ analysis, layout, reading, cut }: Props) => {
  useEffect(() => {
    const css = new CSSStyleSheet();
    css.replaceSync(pageCss(cut));
    document.adoptedStyleSheets.push(css);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== css);
    };
  }, [cut]);
  return createPortal(
    <div data-loom-sheets className="print-only" style={{ background: '#fff', color: '#000' }}>
      {cut.sheets.map((sheet) => (
        <section key={sheet.number} aria-label={`Sheet ${sheet.number}`}>
          <div style={{ height: `${HEAD_MM}mm`, fontSize: '10px', lineHeight: 1.3 }}>
            <b>{analysis.rig.name}</b>
            {` · loom, ${reading.toLowerCase()}: ${READING_UNITS[reading]} · ${today()} · sheet ` +
              `${sheet.number} of ${cut.sheets.length}${joinsText(sheet)}`}
            <br />
            <Legend />
          </div>
          <svg
            width={`${cut.widthMm}mm`}
            height={`${cut.heightMm - 1}mm`}
            viewBox={`${sheet.x} ${sheet.y} ${sheet.width} ${sheet.height}`}
            style={{ display: 'block' }}
          >
            <LoomDrawing analysis={analysis} layout={layout} reading={reading} isBlack />
            {sheet.right !== null && (
              <line
                x1={sheet.x + sheet.width - JOIN_MM / cut.mmPerPx}
                x2={sheet.x + sheet.width - JOIN_MM / cut.mmPerPx}
                y1={sheet.y}
                y2={sheet.y + sheet.height}
                stroke="#000"
                strokeDasharray="2 6"
              />
            )}
            {sheet.below !== null && (
              <line
                x1={sheet.x}
                x2={sheet.x + sheet.width}
                y1={sheet.y + sheet.height - JOIN_MM / cut.mmPerPx}
                y2={sheet.y + sheet.height - JOIN_MM / cut.mmPerPx}
                stroke="#000"
                strokeDasharray="2 6"
              />
            )}
          </svg>
        </section>
      ))}
    </div>,
    document.body,
  );
};
