'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useDraggable } from '@dnd-kit/core';
import type { EpisodeStep, Formatting } from '@echo-loom/core';
import Link from 'next/link';
import { momentText } from '@/features/run/useLogbook';
import { type Episode, stepBeside } from './useEpisodes';

interface Props {
  readonly rigId: string;
  readonly episode: Episode;
  readonly formatting: readonly Formatting[];
  readonly onMove: (step: EpisodeStep) => void;
}

/** One episode: since when it is where it is and by whom, and which cards may be formatted. */
export const EpisodeCard = ({ rigId, episode, formatting, onMove }: Props) => {
  const { run, step } = episode;
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id: run.id });
  const shownMs = run.liveMs ?? Date.parse(run.at);
  const last = run.moves.at(-1);
  const before = stepBeside(step, -1);
  const after = stepBeside(step, 1);
  const free = formatting.filter(({ mayBe }) => mayBe);
  const name = momentText(shownMs);
  return (
    <Box
      ref={setNodeRef}
      as="article"
      aria-label={name}
      borderWidth="1px"
      borderColor="rule"
      bg="paper.card"
      p="2"
      position="relative"
      zIndex={isDragging ? 2 : undefined}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <Flex align="center" gap="2">
        <Button
          size="xs"
          variant="ghost"
          cursor="grab"
          touchAction="none"
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          aria-roledescription="episode; arrow keys move it on and back"
          onKeyDown={({ key }) => {
            const to = key === 'ArrowRight' ? after : key === 'ArrowLeft' ? before : null;
            if (to) onMove(to);
          }}
        >
          ⠿
        </Button>
        <Link href={`/rigs/${rigId}/runs/${run.id}`} style={{ textDecoration: 'underline' }}>
          <Text as="span" fontSize="sm" fontWeight="600">
            {name}
          </Text>
        </Link>
      </Flex>
      <Text fontSize="xs" color="ink.soft">
        {last
          ? `${last.step} ${momentText(last.atMs)}, ${last.by}`
          : `recorded by ${run.plan.by}${run.plan.clock.is === 'simulated' ? ', a rehearsal' : ''}`}
      </Text>
      {free.length > 0 && (
        <Text fontSize="xs" mt="1">
          May be formatted: {free.map((one) => `${one.name} (${one.places.join(', ')})`).join('; ')}
          .
        </Text>
      )}
      {formatting
        .filter(({ mayBe }) => !mayBe)
        .map((one) => (
          <Text key={one.driveId} fontSize="xs" mt="1" color="level.warn">
            Do not format {one.name}. {one.why}
          </Text>
        ))}
      <Flex gap="1" mt="1.5" wrap="wrap" className="screen-only">
        {after && (
          <Button size="xs" variant="outline" onClick={() => onMove(after)}>
            On to {after}
          </Button>
        )}
        {before && (
          <Button size="xs" variant="ghost" onClick={() => onMove(before)}>
            Back to {before}
          </Button>
        )}
      </Flex>
    </Box>
  );
};
