'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import type { CableRow } from './rows';

/** Labels on a sheet of A4. @unit mm */
export const LABEL_SHEETS = [
  { name: '24 of 70 × 37 mm', widthMm: 70, heightMm: 37, columns: 3, rows: 8, topMm: 0, sideMm: 0 },
  {
    name: '65 of 38 × 21 mm',
    widthMm: 38.1,
    heightMm: 21.2,
    columns: 5,
    rows: 13,
    topMm: 10.7,
    sideMm: 4.7,
  },
] as const;
type LabelSheet = (typeof LABEL_SHEETS)[number];

const A4 = { widthMm: 210, heightMm: 297 } as const;

interface Label {
  readonly key: string;
  readonly number: number;
  /** The end it is stuck to, and the other */
  readonly here: string;
  readonly there: string;
  readonly cable: string;
}

/** Two labels a cable, one for each end, in the order of the numbers. */
export const labelsOf = (rows: readonly CableRow[]): Label[] =>
  rows.flatMap(({ linkId, number, from, to, kind, link }) => {
    const cable = `${link.cable.lengthM} m ${kind}`;
    return [
      { key: `${linkId} from`, number, here: from, there: to, cable },
      { key: `${linkId} to`, number, here: to, there: from, cable },
    ];
  });

const Sheets = ({
  labels,
  sheet,
}: {
  readonly labels: readonly Label[];
  readonly sheet: LabelSheet;
}) => {
  useEffect(() => {
    const page = new CSSStyleSheet();
    page.replaceSync(
      `@page { size: ${A4.widthMm}mm ${A4.heightMm}mm; margin: 0; }` +
        '@media print { body > :not([data-labels]) { display: none !important; } }',
    );
    document.adoptedStyleSheets.push(page);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== page);
    };
  }, []);
  const each = sheet.columns * sheet.rows;
  const small = sheet.heightMm < 30;
  return (
    <div className="print-only" data-labels>
      {Array.from({ length: Math.ceil(labels.length / each) }, (_, page) => (
        <div
          key={page}
          style={{
            position: 'relative',
            width: `${A4.widthMm}mm`,
            height: `${A4.heightMm - 0.5}mm`,
            breakAfter: 'page',
            color: 'black',
            background: 'white',
          }}
        >
          {labels
            .slice(page * each, (page + 1) * each)
            .map(({ key, number, here, there, cable }, at) => (
              <div
                key={key}
                style={{
                  position: 'absolute',
                  overflow: 'hidden',
                  left: `${sheet.sideMm + (at % sheet.columns) * sheet.widthMm}mm`,
                  top: `${sheet.topMm + Math.floor(at / sheet.columns) * sheet.heightMm}mm`,
                  width: `${sheet.widthMm}mm`,
                  height: `${sheet.heightMm}mm`,
                  padding: small ? '1.2mm 2mm' : '4mm 5mm',
                  fontSize: small ? '6.4pt' : '9pt',
                  lineHeight: 1.2,
                }}
              >
                <b style={{ fontSize: small ? '11pt' : '17pt' }}>{number}</b>
                <div>{here}</div>
                <div>→ {there}</div>
                <div>{cable}</div>
              </div>
            ))}
        </div>
      ))}
    </div>
  );
};

/** Labels for both ends of every cable, printed on sheets of labels. */
export const Labels = ({ rows }: { readonly rows: readonly CableRow[] }) => {
  const [sheet, setSheet] = useState<LabelSheet | null>(null);
  useEffect(() => {
    if (!sheet) return undefined;
    const done = () => setSheet(null);
    window.addEventListener('afterprint', done);
    // The labels must be on the page before it is printed.
    const asked = window.setTimeout(() => window.print(), 60);
    return () => {
      window.clearTimeout(asked);
      window.removeEventListener('afterprint', done);
    };
  }, [sheet]);
  const labels = labelsOf(rows);
  return (
    <Box as="section" aria-label="Labels" className="screen-only">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Labels
      </Text>
      <Text fontSize="sm">{labels.length} labels, one for each end, on sheets of A4.</Text>
      <Flex gap="2" wrap="wrap" mt="1.5">
        {LABEL_SHEETS.map((one) => (
          <Button
            key={one.name}
            size="xs"
            variant="outline"
            disabled={labels.length === 0}
            onClick={() => setSheet(one)}
          >
            Print {one.name}
          </Button>
        ))}
      </Flex>
      {sheet && createPortal(<Sheets labels={labels} sheet={sheet} />, document.body)}
    </Box>
  );
};
