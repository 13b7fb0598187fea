'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { numbering, unnumbered } from '@echo-loom/core';
import { useEffect, useRef, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { useMoney } from '@/features/rig/Studio';
import { saveTables } from '@/ui/saveFile';
import { listsOf } from './chapters';
import { Pages } from './Pages';
import { Part } from './Part';
import { PAGE, PX_MM, ROOM } from './tiles';
import { useBook } from './useBook';

const PAGE_CSS = `
  @page { size: ${PAGE.widthMm}mm ${PAGE.heightMm}mm; margin: 0; }
  @media print { body > :not([data-book]) { display: none !important; } }`;

/** The pages as they are printed: on the page only while that is so. */
const usePrinting = (): boolean => {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    const css = new CSSStyleSheet();
    css.replaceSync(PAGE_CSS);
    document.adoptedStyleSheets.push(css);
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== css);
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return isPrinting;
};

/** How much smaller a page is shown, so that it fits beside what stands around it. */
const useFit = () => {
  const ref = useRef<HTMLDivElement>(null);
  const [fit, setFit] = useState(1);
  useEffect(() => {
    if (!ref.current) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const width = entry?.contentRect.width ?? 0;
      if (width > 0) setFit(Math.min(1, width / (PAGE.widthMm / PX_MM)));
    });
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, []);
  return { ref, fit };
};

/** One print of the rig for whoever builds it. */
export const BookView = () => {
  const analysis = useRig((state) => state.analysis);
  const { run } = useRigSession();
  const money = useMoney();
  const bench = useRef<HTMLDivElement>(null);
  const { chapters, layout, tiles, book } = useBook(analysis, money, bench);
  const isPrinting = usePrinting();
  const { ref, fit } = useFit();
  const { rig } = analysis;
  const without = unnumbered(rig).length;
  const give = () => {
    const command = numbering(rig);
    if (command) run(command);
  };
  const pages = book && <Pages analysis={analysis} book={book} layout={layout} tiles={tiles} />;
  return (
    <Box overflowY="auto" p="4" flex="1" minW="0">
      <Flex gap="3" align="center" wrap="wrap" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Build book
        </Text>
        <Text fontSize="sm" color="ink.soft" role="status">
          {book ? `${book.pages.length} pages` : 'Putting it together…'}
        </Text>
        <Flex gap="2" ms="auto" wrap="wrap">
          <Button
            size="sm"
            variant="outline"
            onClick={() => void saveTables(`${rig.name}, lists.xlsx`, listsOf(chapters))}
          >
            Lists as a spreadsheet
          </Button>
          <Button
            size="sm"
            bg="madder"
            color="madder.ink"
            disabled={!book}
            onClick={() => {
              give();
              // What was numbered must be on the pages before they are printed.
              setTimeout(() => window.print(), 100);
            }}
          >
            Print, or keep as PDF
          </Button>
        </Flex>
      </Flex>
      {without > 0 && (
        <Flex gap="3" align="center" wrap="wrap" mb="3" fontSize="sm" bg="madder.wash" p="2">
          <Text>
            {without} {without === 1 ? 'cable has' : 'cables have'} no number yet. A number is given
            once and stays with its cable: on plan, loom, labels and lists. Printing gives them.
          </Text>
          <Button size="xs" variant="outline" onClick={give}>
            Give {without === 1 ? 'it a number' : 'them numbers'} now
          </Button>
        </Flex>
      )}
      <Box ref={ref}>
        <Flex direction="column" gap="4" css={{ zoom: fit }} data-pages>
          {pages}
        </Flex>
      </Box>
      <div
        ref={bench}
        aria-hidden
        style={{
          position: 'absolute',
          visibility: 'hidden',
          left: 0,
          top: 0,
          height: 0,
          overflow: 'hidden',
        }}
      >
        <div style={{ width: `${ROOM.widthMm}mm` }}>
          {chapters.map(({ id, parts }) => (
            <div key={id} data-chapter={id}>
              {parts.map((part, index) => (
                <div key={index} data-part>
                  <Part part={part} from={0} to={Infinity} isFirst />
                </div>
              ))}
            </div>
          ))}
        </div>
      </div>
      {isPrinting &&
        createPortal(
          <div data-book className="print-only">
            {pages}
          </div>,
          document.body,
        )}
    </Box>
  );
};
