'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import {
  durationText,
  freeId,
  rundownToCsv,
  secondsOfDay,
  timedRundown,
  timeOfDaySchema,
  timeOfDayText,
} from '@echo-loom/core';
import Link from 'next/link';
import { useState } from 'react';
import { useRig, useRigId, useRigSession } from '@/features/rig/RigProvider';
import { saveFile } from '@/ui/saveFile';
import { CellField } from './CellField';
import { FromText } from './FromText';
import { SegmentRow } from './SegmentRow';

const NEW_S = 5 * 60;
const INSTRUCTIONS = {
  draggable:
    'Space picks a segment up, arrows move it, Space puts it down, Escape leaves it where it was.',
};

/** The show in the order it is done in, against the clock: forwards from its beginning, backwards from its end. */
export const RundownView = () => {
  const rigId = useRigId();
  const rig = useRig((state) => state.rig);
  const { run } = useRigSession();
  const [isReading, setReading] = useState(false);
  const { segments, totalS, wantedS, overS } = timedRundown(rig);
  const beginsS = rig.beginsAt === null ? null : secondsOfDay(rig.beginsAt);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const moved = ({ active, over }: DragEndEvent) => {
    const to = segments.findIndex(({ id }) => id === over?.id);
    const from = segments.findIndex(({ id }) => id === active.id);
    if (to >= 0 && from >= 0 && to !== from)
      run({ type: 'moveSegment', segmentId: String(active.id), to });
  };
  const titleOf = (id: string | number): string =>
    segments.find((timed) => timed.id === id)?.segment.title ?? '';
  const placeOf = (id: string | number | undefined): number =>
    segments.findIndex((timed) => timed.id === id) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Picked up ${titleOf(active.id)}.`,
    onDragOver: ({ active, over }) => `${titleOf(active.id)} is over place ${placeOf(over?.id)}.`,
    onDragEnd: ({ active, over }) =>
      `Put ${titleOf(active.id)} down at place ${placeOf(over?.id)}.`,
    onDragCancel: ({ active }) => `${titleOf(active.id)} stays where it was.`,
  };
  const add = () =>
    run({
      type: 'addSegment',
      segmentId: freeId('segment', rig.segments),
      segment: {
        title: `Segment ${segments.length + 1}`,
        lengthS: NEW_S,
        sceneId: null,
        heard: null,
        cue: '',
        notes: '',
      },
    });
  const clock = (atS: number): string =>
    beginsS === null ? durationText(atS) : timeOfDayText(beginsS + atS);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex align="center" gap="3" wrap="wrap" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Rundown
        </Text>
        <Text fontSize="sm" role="status">
          {segments.length === 0
            ? ''
            : `${durationText(totalS)} planned` +
              (wantedS === null || overS === null
                ? ''
                : ` of ${durationText(wantedS)}: ${
                    overS === 0
                      ? 'as long as asked for'
                      : `${durationText(Math.abs(overS))} ${overS > 0 ? 'over' : 'under'}`
                  }`)}
        </Text>
        <Flex ms="auto" gap="2" wrap="wrap" className="screen-only">
          <Button size="sm" variant="outline" onClick={() => setReading(!isReading)}>
            From text or CSV
          </Button>
          <Button
            size="sm"
            variant="outline"
            disabled={segments.length === 0}
            onClick={() => saveFile(`${rig.name} rundown.csv`, 'text/csv', rundownToCsv(rig))}
          >
            As CSV
          </Button>
          <Button size="sm" variant="outline" onClick={() => window.print()}>
            Print
          </Button>
        </Flex>
      </Flex>
      <Flex align="center" gap="2" mb="3" className="screen-only">
        <Text fontSize="sm">The show begins at</Text>
        <CellField
          label="The show begins at"
          value={rig.beginsAt ?? ''}
          width="6rem"
          limit={8}
          onCommit={(text) => {
            const beginsAt = text.trim() === '' ? null : text.trim().padStart(5, '0');
            return (
              (beginsAt === null || timeOfDaySchema.safeParse(beginsAt).success) &&
              run({ type: 'setBeginning', beginsAt })
            );
          }}
        />
        <Text fontSize="xs" color="ink.soft">
          such as 19:30
        </Text>
      </Flex>
      {isReading && <FromText onDone={() => setReading(false)} />}
      {segments.length === 0 ? (
        <Text fontSize="sm" maxW="60ch" mb="3">
          No segments yet. Add them one by one, or paste a list: a line each, with its length first
          or last, such as “Hello 4:00”.
        </Text>
      ) : (
        <DndContext
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={moved}
          accessibility={{ announcements, screenReaderInstructions: INSTRUCTIONS }}
        >
          <SortableContext
            items={segments.map(({ id }) => id)}
            strategy={verticalListSortingStrategy}
          >
            <Box as="ol" listStyleType="none" aria-label="Segments" maxW="72rem">
              {segments.map((timed, at) => (
                <SegmentRow
                  key={timed.id}
                  rig={rig}
                  timed={timed}
                  number={at + 1}
                  from={clock(timed.fromS)}
                  latest={clock(timed.latestS)}
                />
              ))}
            </Box>
          </SortableContext>
        </DndContext>
      )}
      <Flex gap="2" mt="3" className="screen-only">
        <Button size="sm" onClick={add}>
          Add a segment
        </Button>
        {segments.length > 0 && (
          <Button asChild size="sm" variant="outline">
            <Link href={`/rigs/${rigId}/runs`}>Run it</Link>
          </Button>
        )}
      </Flex>
    </Box>
  );
};
