'use client';

import { Link as ChakraLink, Text } from '@chakra-ui/react';
import type { NextStep as Step } from '@echo-loom/core';
import Link from 'next/link';
import { useTask } from '@/workers/useTask';
import { useMoney } from '@/features/rig/Studio';
import { useRig } from '@/features/rig/RigProvider';

const counted = (count: number, one: string): string | null =>
  count === 0 ? null : `${count} ${one}${count === 1 ? '' : 's'} gone`;

/** What comes of a step: "2 stops gone, €180". */
export const gainText = (step: Step, money: (amount: number) => string): string =>
  [
    counted(step.stopsGone, 'stop'),
    counted(step.warnsGone, 'warning'),
    step.isFree ? 'free' : step.cost > 0 ? money(step.cost) : null,
  ]
    .filter((part) => part !== null)
    .join(', ');

/** Whoever makes one edit after another is not told what to do next in between. @unit ms */
const REST_MS = 600;

/** The one edit that gains most now, and the way to it; computed beside the page after each edit. */
export const NextStep = ({ rigId }: { readonly rigId: string }) => {
  const analysis = useRig((state) => state.analysis);
  const money = useMoney();
  const { stops, warns } = analysis.verdict;
  const at = useTask({
    analysis,
    key: stops + warns > 0 ? 'next step' : null,
    ask: (tasks, onProgress) => tasks.nextStep(onProgress),
    // Whatever somebody looks at goes first.
    isSeen: () => false,
    restMs: REST_MS,
  });
  if (at.state === 'idle') return null;
  if (at.state !== 'done')
    return (
      <Text fontSize="sm" color="ink.soft" className="screen-only" aria-hidden>
        {at.state === 'working' ? 'Next: …' : ''}
      </Text>
    );
  const step = at.value;
  if (!step)
    return (
      <Text fontSize="sm" color="ink.soft" className="screen-only">
        Nothing on offer helps further
      </Text>
    );
  return (
    <ChakraLink
      asChild
      className="screen-only"
      fontSize="sm"
      color="madder"
      flex="1 1 18ch"
      minW="18ch"
      maxW="52ch"
      minH="6"
      lineHeight="1.25"
      display="flex"
      flexDirection="column"
      alignItems="start"
      gap="0"
      data-next-step
    >
      <Link
        href={`/rigs/${rigId}/findings?of=${encodeURIComponent(step.key)}`}
        prefetch={false}
        title={`${step.fix.label}: ${gainText(step, money)}`}
      >
        <Text as="span" truncate maxW="100%">
          Next: {step.fix.label}
        </Text>
        <Text as="span" fontSize="xs" color="ink.soft" whiteSpace="nowrap">
          {gainText(step, money)}
        </Text>
      </Link>
    </ChakraLink>
  );
};
