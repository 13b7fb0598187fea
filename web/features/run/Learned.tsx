'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  checklist,
  compareRuns,
  durationText,
  type SimpleCommand,
  type Spread,
  timedRundown,
} from '@echo-loom/core';
import { useMemo, useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import type { RunLine } from '@/session/protocol';
import { PlainTable } from '@/ui/PlainTable';
import { Readings } from './Readings';

const spreadText = ({ least, middle, most, times }: Spread): string =>
  times === 1
    ? `${durationText(middle)}, once`
    : `${durationText(middle)} in the middle, ${durationText(least)} to ${durationText(most)}, ${times} times`;

/** What runs tell of the next: setting up, length, and each segment beside its plan. */
export const Learned = ({ runs }: { readonly runs: readonly RunLine[] }) => {
  const analysis = useRig((state) => state.analysis);
  const { rig } = analysis;
  const { run } = useRigSession();
  const [says, setSays] = useState('');
  const planned = timedRundown(rig).segments.map(({ id, segment: { title, lengthS } }) => ({
    id,
    title,
    lengthS,
  }));
  const lines = useMemo(() => checklist(analysis), [analysis]);
  const compared = compareRuns(runs, planned, lines);
  const { runs: many, setUp, over, segments } = compared;
  if (many === 0) return null;
  const changes = segments.flatMap(({ segmentId, plannedS, took }): SimpleCommand[] => {
    const lengthS = Math.max(1, Math.round(took.middle));
    return lengthS === plannedS ? [] : [{ type: 'changeSegment', segmentId, segment: { lengthS } }];
  });
  const take = () => {
    const isDone = run({
      type: 'batch',
      label: `Planned ${changes.length} segments as long as they took`,
      commands: changes,
    });
    if (isDone) setSays(`${changes.length} segments are planned as long as they took.`);
  };
  return (
    <Box as="section" aria-label="What runs tell" mt="6" maxW="60rem">
      <Text as="h3" fontWeight="600" mb="1">
        What runs tell
      </Text>
      <Text fontSize="sm">
        {setUp ? `From the first tick to live: ${spreadText(setUp)}. ` : ''}
        {over ? `Beyond the length asked for: ${spreadText(over)}.` : ''}
      </Text>
      {segments.length > 0 && (
        <>
          <PlainTable
            label="What segments took"
            headings={['Segment', 'Planned', 'Took', 'Beyond the plan']}
            lines={segments.map(({ segmentId, title, plannedS, took }) => ({
              id: segmentId,
              head: title,
              isMarked: took.times > 1 && (took.least > plannedS || took.most < plannedS),
              cells: [
                durationText(plannedS),
                spreadText(took),
                durationText(took.middle - plannedS),
              ],
            }))}
            note="Marked where every one of several runs was longer, or every one shorter, than is planned."
          />
          <Flex gap="3" mt="2" align="center" className="screen-only">
            <Button size="sm" variant="outline" disabled={changes.length === 0} onClick={take}>
              Plan them as long as they took
            </Button>
            <Text fontSize="sm" role="status">
              {says}
            </Text>
          </Flex>
        </>
      )}
      <Readings compared={compared} />
    </Box>
  );
};
