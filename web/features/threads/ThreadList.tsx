'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import type { Analysis, Level, Thread } from '@echo-loom/core';
import { useMemo } from 'react';
import { worstByItem, worstOf } from '@/features/loom/marks';
import { DataTable, tableColumns } from '@/ui/DataTable';
import { LevelMark } from '@/ui/LevelMark';
import { useGrowing } from '@/ui/useGrowing';
import { arrivalText, levelOf, matrixOf, wayText } from './matrix';

type ThreadRow = Readonly<
  Record<'source' | 'signal' | 'way' | 'arrives' | 'headroom' | 'delay', string>
>;

const COLUMNS = tableColumns<ThreadRow>([
  { key: 'source', heading: 'Source' },
  { key: 'signal', heading: 'Signal' },
  { key: 'way', heading: 'Way' },
  { key: 'arrives', heading: 'Arrives', figures: true },
  { key: 'headroom', heading: 'Least headroom', figures: true },
  { key: 'delay', heading: 'Delay', figures: true },
]);

interface Group {
  readonly id: string;
  readonly name: string;
  readonly level: Level | undefined;
  readonly rows: readonly ThreadRow[];
}

/** So many destinations are drawn at a time. */
const AT_A_TIME = 3;

const rowOf = (analysis: Analysis, thread: Thread): ThreadRow => ({
  source: analysis.device(thread.source.device).name,
  signal: thread.signal,
  way: wayText(analysis, thread),
  arrives: arrivalText(analysis, thread, 'Level'),
  headroom: thread.signal === 'sound' ? arrivalText(analysis, thread, 'Headroom') : '',
  delay: arrivalText(analysis, thread, 'Delay'),
});

/** Every thread under the destination it leads to; a destination opens and closes. */
export const ThreadList = ({
  analysis,
  threads,
}: {
  readonly analysis: Analysis;
  readonly threads: readonly Thread[];
}) => {
  const groups = useMemo((): Group[] => {
    const worst = worstByItem(analysis);
    return matrixOf(analysis, threads).ends.map((end) => {
      const own = threads.filter((thread) => thread.end.device === end);
      return {
        id: end.id,
        name: analysis.device(end).name,
        level: worstOf(own.map((thread) => levelOf(worst, thread))),
        rows: own.map((thread) => rowOf(analysis, thread)),
      };
    });
  }, [analysis, threads]);
  const drawn = useGrowing(groups.length, AT_A_TIME, `${threads.length}`);
  return (
    <>
      {groups.slice(0, drawn).map(({ id, name, level, rows }) => (
        <Box asChild key={id} mb="2">
          <details open>
            <summary>
              <Flex as="span" display="inline-flex" align="center" gap="2" mb="1">
                <Text as="span" fontWeight="600">
                  {name}
                </Text>
                {level && <LevelMark level={level} size={12} label="" />}
                <Text as="span" fontSize="sm" color="ink.soft">
                  {rows.length} {rows.length === 1 ? 'thread' : 'threads'}
                </Text>
              </Flex>
            </summary>
            <DataTable label={`Threads to ${name}`} columns={COLUMNS} rows={rows} />
          </details>
        </Box>
      ))}
    </>
  );
};
