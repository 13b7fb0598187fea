'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { csvOf, type DeviceNode, patchSheetCsv } from '@echo-loom/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { FilterBar } from '@/features/loom/FilterBar';
import { ReadingChoice } from '@/features/loom/ReadingChoice';
import { threadsBy } from '@/features/loom/shown';
import { useLoomView } from '@/features/chosen/view';
import { WayLine } from '@/features/loom/WayLine';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { saveFile, saveTable } from '@/ui/saveFile';
import { exported, matrixOf } from './matrix';
import { PatchMatrix } from './PatchMatrix';
import { PatchSheet } from './PatchSheet';
import { ThreadList } from './ThreadList';

const FORMS = ['Matrix', 'By destination', 'Patch sheet'] as const;
type Form = (typeof FORMS)[number];

/** The threads as tables: what leads where with what arrives, by destination, and the patch sheet. */
export const ThreadsView = () => {
  const analysis = useRig((state) => state.analysis);
  const rigId = useRigId();
  const router = useRouter();
  const reading = useLoomView((view) => view.reading);
  const filter = useLoomView((view) => view.filter);
  const select = useLoomView((view) => view.select);
  const [form, setForm] = useState<Form>('Matrix');
  const [picked, setPicked] = useState<{ source: string; end: string; at: number } | null>(null);
  const threads = useMemo(() => threadsBy(analysis, filter), [analysis, filter]);
  const matrix = useMemo(() => matrixOf(analysis, threads), [analysis, threads]);
  const shown = picked
    ? threads.filter(
        ({ source, end }) => source.device.id === picked.source && end.device.id === picked.end,
      )
    : [];

  const pick = (source: DeviceNode, end: DeviceNode) =>
    setPicked({ source: source.id, end: end.id, at: 0 });
  const name = analysis.rig.name;
  const save = (as: 'csv' | 'xlsx') => {
    if (form === 'Patch sheet' && as === 'csv')
      return saveFile(`${name}, patch sheet.csv`, 'text/csv', patchSheetCsv(analysis.rig));
    const { fields, rows } = exported(analysis, threads);
    if (as === 'csv') return saveFile(`${name}, threads.csv`, 'text/csv', csvOf(fields, rows));
    return void saveTable(`${name}, threads.xlsx`, 'Threads', fields, rows);
  };

  return (
    <Flex direction="column" flex="1" minH="0" p="4" overflow="auto">
      <Flex gap="3" align="center" wrap="wrap" mb="2" className="screen-only">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Threads
        </Text>
        <Flex role="radiogroup" aria-label="Threads as" gap="1">
          {FORMS.map((one) => (
            <Button
              key={one}
              size="sm"
              role="radio"
              aria-checked={form === one}
              variant={form === one ? 'solid' : 'outline'}
              onClick={() => setForm(one)}
            >
              {one}
            </Button>
          ))}
        </Flex>
        {form === 'Matrix' && <ReadingChoice />}
        <Flex ml="auto" gap="2">
          <Button size="sm" variant="outline" onClick={() => save('csv')}>
            Save as CSV
          </Button>
          {form !== 'Patch sheet' && (
            <Button size="sm" variant="outline" onClick={() => save('xlsx')}>
              Save as spreadsheet
            </Button>
          )}
        </Flex>
      </Flex>
      {form !== 'Patch sheet' && (
        <Box mx="-4">
          <FilterBar analysis={analysis} threads={threads.length} />
        </Box>
      )}
      {form === 'Patch sheet' ? (
        <PatchSheet analysis={analysis} />
      ) : threads.length === 0 ? (
        <Text mb="4">
          {analysis.traced.threads.length === 0
            ? 'No thread reaches a destination yet. Connect a source onward until it reaches a ' +
              'stream, a recording, a screen or headphones.'
            : 'No thread is left. Choose fewer conditions, or show all.'}
        </Text>
      ) : form === 'Matrix' ? (
        <PatchMatrix analysis={analysis} matrix={matrix} reading={reading} onPick={pick} />
      ) : (
        <ThreadList analysis={analysis} threads={threads} />
      )}
      {form === 'Matrix' && picked && shown.length > 0 && (
        <Flex borderTopWidth="1px" borderColor="rule" pt="2" mt="2" className="screen-only">
          <WayLine
            analysis={analysis}
            threads={shown}
            at={Math.min(picked.at, shown.length - 1)}
            onStep={(by) =>
              setPicked({ ...picked, at: (picked.at + by + shown.length) % shown.length })
            }
            reading={reading}
            onPick={(item) => {
              select(item);
              router.push(`/rigs/${rigId}`);
            }}
          />
        </Flex>
      )}
    </Flex>
  );
};
