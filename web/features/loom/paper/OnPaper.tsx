'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Analysis } from '@echo-loom/core';
import { useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { useStudio } from '@/features/rig/Studio';
import { ChoiceField } from '@/ui/ChoiceField';
import { Modal } from '@/ui/Modal';
import { saveFile } from '@/ui/saveFile';
import type { LoomLayout } from '@/layout/parts';
import type { Reading } from '@/features/chosen/readings';
import { LoomDrawing } from './LoomDrawing';
import { PaperSheets } from './PaperSheets';
import { svgText } from './svgText';
import { cutIntoSheets, type Paper, PAPERS, type SizeOnPaper, SIZES } from './sheets';

interface Props {
  readonly analysis: Analysis;
  readonly layout: LoomLayout;
  readonly reading: Reading;
}

/** The loom on paper across sheets that join, and as a drawing to keep; also what the browser's own print gives. */
export const OnPaper = ({ analysis, layout, reading }: Props) => {
  const { paper: usual } = useStudio();
  const [isOpen, setOpen] = useState(false);
  const [isPrinting, setPrinting] = useState(false);
  const [paper, setPaper] = useState<Paper>(PAPERS.find(({ name }) => name === usual) ?? PAPERS[0]);
  const [size, setSize] = useState<SizeOnPaper>('full size');
  const cut = useMemo(
    () => cutIntoSheets(layout.width, layout.height, paper, size),
    [layout, paper, size],
  );

  useEffect(() => {
    // The sheets must be on the page before it is printed, and are off it afterwards.
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);

  const save = () =>
    saveFile(
      `${analysis.rig.name}, loom.svg`,
      'image/svg+xml',
      svgText(
        layout,
        <LoomDrawing analysis={analysis} layout={layout} reading={reading} isBlack={false} />,
      ),
    );
  const count = cut.sheets.length;
  const last = cut.sheets.at(-1);
  const whole = last
    ? { width: last.x + last.width, height: last.y + last.height }
    : { width: layout.width, height: layout.height };
  return (
    <>
      <Button size="xs" variant="outline" onClick={() => setOpen(true)}>
        On paper…
      </Button>
      {isPrinting && (
        <PaperSheets analysis={analysis} layout={layout} reading={reading} cut={cut} />
      )}
      {isOpen && (
        <Modal
          open
          onClose={() => setOpen(false)}
          title="The loom on paper"
          footer={
            <Flex gap="2">
              <Button size="sm" variant="outline" onClick={save}>
                Save as SVG
              </Button>
              <Button
                size="sm"
                bg="madder"
                color="madder.ink"
                onClick={() => {
                  setOpen(false);
                  setTimeout(() => window.print());
                }}
              >
                Print {count} {count === 1 ? 'sheet' : 'sheets'}
              </Button>
            </Flex>
          }
        >
          <Flex direction="column" gap="2">
            <ChoiceField
              label="Paper"
              value={paper.name}
              options={PAPERS.map(({ name }) => ({ value: name, label: name }))}
              onChoose={(name) => setPaper(PAPERS.find((one) => one.name === name) ?? PAPERS[0])}
            />
            <ChoiceField
              label="Size"
              value={size}
              options={SIZES.map((one) => ({ value: one, label: one }))}
              onChoose={(name) => setSize(SIZES.find((one) => one === name) ?? 'full size')}
            />
            <Text fontSize="sm">
              {count === 1
                ? 'It fits on one sheet.'
                : `${cut.columns} across and ${cut.rows} down. Neighbours overlap by 8 mm, to be glued.`}
            </Text>
            <Box borderWidth="1px" borderColor="rule" bg="white" p="2">
              <svg
                viewBox={`-10 -10 ${whole.width + 20} ${whole.height + 20}`}
                width="100%"
                height="240px"
                role="img"
                aria-label={`How it is cut: ${cut.columns} by ${cut.rows} sheets`}
              >
                <path
                  d={layout.nodes
                    .map(({ x, y, width, height }) => `M${x} ${y}h${width}v${height}h${-width}z`)
                    .join('')}
                  fill="#555"
                />
                {cut.sheets.map((sheet) => (
                  <g key={sheet.number}>
                    <rect
                      x={sheet.x}
                      y={sheet.y}
                      width={sheet.width}
                      height={sheet.height}
                      fill="none"
                      stroke="#9e2f2f"
                      strokeWidth={layout.width / 300}
                    />
                    <text
                      x={sheet.x + sheet.width / 2}
                      y={sheet.y + sheet.height / 2}
                      style={{ fontSize: layout.width / 14 }}
                      textAnchor="middle"
                      fill="#9e2f2f"
                    >
                      {sheet.number}
                    </text>
                  </g>
                ))}
              </svg>
            </Box>
          </Flex>
        </Modal>
      )}
    </>
  );
};
