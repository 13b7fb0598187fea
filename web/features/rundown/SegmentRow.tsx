'use client';

import { Box, Button, Flex, IconButton, NativeSelect, Text } from '@chakra-ui/react';
import { useSortable } from '@dnd-kit/sortable';
import {
  cleanLine,
  durationText,
  entry,
  inOrder,
  lengthOf,
  type Rig,
  type TimedSegment,
} from '@echo-loom/core';
import { GripVertical, X } from 'lucide-react';
import { useRigSession } from '@/features/rig/RigProvider';
import { CellField } from './CellField';

interface Props {
  readonly rig: Rig;
  readonly timed: TimedSegment;
  readonly number: number;
  /** When it begins by the plan, and at the latest */
  readonly from: string;
  readonly latest: string;
}

const MOST_S = 24 * 3600;

/** One segment: when it begins and at the latest, how long, what scene, on what cue; dragged by its handle. */
export const SegmentRow = ({ rig, timed, number, from, latest }: Props) => {
  const { id, segment } = timed;
  const { run } = useRigSession();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition } =
    useSortable({ id });
  const change = (fields: Partial<typeof segment>): boolean =>
    run({ type: 'changeSegment', segmentId: id, segment: fields });
  const heard = segment.heard ?? entry(rig.scenes, segment.sceneId ?? '')?.heard ?? null;
  return (
    <Flex
      as="li"
      ref={setNodeRef}
      gap="2"
      py="1.5"
      align="center"
      wrap="wrap"
      borderBottomWidth="1px"
      borderColor="rule"
      bg="paper"
      style={{
        transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined,
        transition,
      }}
    >
      <Button
        ref={setActivatorNodeRef}
        size="xs"
        minW="7"
        px="0"
        variant="ghost"
        cursor="grab"
        className="screen-only"
        {...attributes}
        {...listeners}
        aria-label={`Move ${segment.title}`}
      >
        <GripVertical size={16} aria-hidden />
      </Button>
      <Text className="figures" fontSize="sm" width="1.5rem" textAlign="end">
        {number}
      </Text>
      <Text className="figures" fontSize="sm" width="4.8rem" title="Begins">
        {from}
      </Text>
      <CellField
        label={`Title of segment ${number}`}
        value={segment.title}
        width="8rem"
        grows
        limit={80}
        onCommit={(text) => {
          const title = cleanLine(text);
          return title !== '' && change({ title });
        }}
      />
      <CellField
        label={`Length of ${segment.title}`}
        value={durationText(segment.lengthS)}
        width="5rem"
        limit={12}
        onCommit={(text) => {
          const lengthS = lengthOf(text);
          return lengthS !== null && lengthS >= 1 && lengthS <= MOST_S && change({ lengthS });
        }}
      />
      <NativeSelect.Root size="xs" width="11rem">
        <NativeSelect.Field
          aria-label={`Scene of ${segment.title}`}
          value={segment.sceneId ?? ''}
          onChange={({ target }) => change({ sceneId: target.value === '' ? null : target.value })}
        >
          <option value="">whatever is on</option>
          {inOrder(rig.scenes).map(([sceneId, { name }]) => (
            <option key={sceneId} value={sceneId}>
              {name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      <CellField
        label={`Cue of ${segment.title}`}
        value={segment.cue}
        width="8rem"
        grows
        limit={200}
        onCommit={(text) => change({ cue: cleanLine(text, 200) })}
      />
      <Box width="11rem" fontSize="xs" color="ink.soft" lineHeight="1.3">
        <div>{`at the latest ${latest}`}</div>
        {heard && heard.length > 0 && (
          <div>{`heard: ${heard.map((one) => entry(rig.people, one)?.name ?? one).join(', ')}`}</div>
        )}
      </Box>
      <IconButton
        ms="auto"
        size="xs"
        variant="ghost"
        className="screen-only"
        aria-label={`Remove ${segment.title}`}
        onClick={() => run({ type: 'removeSegment', segmentId: id })}
      >
        <X aria-hidden />
      </IconButton>
    </Flex>
  );
};
