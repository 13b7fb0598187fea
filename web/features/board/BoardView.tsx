'use client';

import { Box, Flex, Text } from '@chakra-ui/react';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { EPISODE_STEPS, type EpisodeStep, formattingOf, showOnDrives } from '@echo-loom/core';
import type { ReactNode } from 'react';
import { LookerField } from '@/features/built/LookerField';
import { useLooker } from '@/features/built/useLooker';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { EpisodeCard } from './EpisodeCard';
import { useEpisodes } from './useEpisodes';

const Step = ({
  step,
  many,
  children,
}: {
  readonly step: EpisodeStep;
  readonly many: number;
  readonly children: ReactNode;
}) => {
  const { setNodeRef, isOver } = useDroppable({ id: step });
  return (
    <Box
      ref={setNodeRef}
      as="section"
      aria-label={step}
      borderTopWidth="3px"
      borderColor={isOver ? 'madder' : 'rule'}
      bg={isOver ? 'paper.deep' : undefined}
      pt="1.5"
      pb="3"
      minH={{ base: '3rem', md: '9rem' }}
    >
      <Flex justify="space-between" mb="1.5">
        <Text as="h3" fontSize="sm" fontWeight="600">
          {step.charAt(0).toUpperCase() + step.slice(1)}
        </Text>
        <Text fontSize="sm" color="ink.soft" className="figures">
          {many === 0 ? '' : many}
        </Text>
      </Flex>
      <Flex direction="column" gap="2">
        {children}
      </Flex>
    </Box>
  );
};

/** What became of every episode, from its recording to the archive, and which cards may be formatted. */
export const BoardView = () => {
  const rigId = useRigId();
  const analysis = useRig((state) => state.analysis);
  const [looker] = useLooker();
  const { logbook, episodes, move, says, told } = useEpisodes(rigId, looker);
  const driveIds = showOnDrives(analysis).drives.map(({ deviceId }) => deviceId);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const dropped = ({ active, over }: DragEndEvent) => {
    const to = EPISODE_STEPS.find((step) => step === over?.id);
    if (to) void move(String(active.id), to);
  };
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex align="end" gap="4" wrap="wrap" mb="3">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Episodes
        </Text>
        <Box className="screen-only">
          <LookerField label="Who moves them" />
        </Box>
      </Flex>
      <Text role="status" fontSize="sm" color="ink.soft">
        {told}
      </Text>
      {says !== null && (
        <Text role="alert" fontSize="sm" color="level.stop" mb="2">
          {says}
        </Text>
      )}
      {logbook.state === 'asking' && <Text fontSize="sm">Reading the logbook…</Text>}
      {logbook.state === 'failed' && (
        <Text role="alert" fontSize="sm">
          {logbook.says}
        </Text>
      )}
      {logbook.state === 'there' && logbook.isAway && (
        <Text role="status" fontSize="sm" mb="2">
          The server is away: episodes stand as they last stood.
        </Text>
      )}
      {logbook.state === 'there' && episodes.length === 0 && (
        <Text fontSize="sm" maxW="60ch" mb="4">
          No episode yet. A run that was live stands here as recorded; it goes on when its files are
          copied, checked, cut and out.
        </Text>
      )}
      <DndContext sensors={sensors} onDragEnd={dropped}>
        <Box
          display="grid"
          gridTemplateColumns={{
            base: '1fr',
            md: 'repeat(2, 1fr)',
            lg: 'repeat(4, minmax(0, 1fr))',
          }}
          gap="4"
        >
          {EPISODE_STEPS.map((step) => {
            const its = episodes.filter((episode) => episode.step === step);
            return (
              <Step key={step} step={step} many={its.length}>
                {its.map((episode) => (
                  <EpisodeCard
                    key={episode.run.id}
                    rigId={rigId}
                    episode={episode}
                    formatting={formattingOf(analysis.rig, driveIds, episode.run.checks)}
                    onMove={(to) => void move(episode.run.id, to)}
                  />
                ))}
              </Step>
            );
          })}
        </Box>
      </DndContext>
    </Box>
  );
};
