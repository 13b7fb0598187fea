'use client';

import { Box, Button, Flex, Grid, Text, Theme } from '@chakra-ui/react';
import {
  checklist,
  entry,
  findingKey,
  type Happened,
  type IfDies,
  liveGate,
  nameSchema,
  type RunPlan,
  runsOut,
} from '@echo-loom/core';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { useLooker } from '@/features/built/useLooker';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { useTask } from '@/workers/useTask';
import { ChecksPart } from './ChecksPart';
import { FailuresPart } from './FailuresPart';
import { MarksPart } from './MarksPart';
import { NowPart } from './NowPart';
import { RunNotices } from './RunNotices';
import { useKeptPage } from './useKeptPage';
import { useRunKeys } from './useRunKeys';
import { useAwake, useNowMs, useOpenRun, useRunShown } from './useRun';

const PARTS = ['Now', 'Checks', 'Marks', 'If it dies'] as const;
type Part = (typeof PARTS)[number];

const NO_CALLER = 'Somebody';

/** One run, large and dark, for a thumb: it goes on when the server does not. */
export const RunMode = ({ runId, plan }: { readonly runId: string; readonly plan: RunPlan }) => {
  const rigId = useRigId();
  const analysis = useRig((state) => state.analysis);
  const session = useOpenRun(rigId, runId, plan);
  const { state, unsent, isAway, refused } = useRunShown(session);
  const nowMs = useNowMs(session);
  const [looker] = useLooker();
  const [part, setPart] = useState<Part>('Now');
  const [isDark, setDark] = useState(true);
  const [known] = useState(() => new Set(analysis.findings.map(findingKey)));
  useAwake();
  const page = useKeptPage(analysis.rig);

  // Asked for at once: when something dies the server may be away too, and what computes must be here.
  const cards = useTask<readonly IfDies[]>({
    analysis,
    key: 'failure cards',
    ask: (tasks, onProgress) => tasks.failureCards(onProgress),
  });
  const lines = useMemo(() => checklist(analysis), [analysis]);
  const gate = liveGate(lines, state, analysis.verdict.stops);
  const by = nameSchema.safeParse(looker).data ?? NO_CALLER;
  const happen = (...all: readonly Happened[]) => {
    for (const happened of all) session.record(happened, by);
  };
  const newStops = analysis.findings.filter(
    (finding) => finding.level === 'stop' && !known.has(findingKey(finding)),
  );
  const next = (() => {
    const at = plan.segments.findIndex(({ id }) => id === state.segments.at(-1)?.segmentId);
    return state.stage === 'live' ? plan.segments[at + 1] : undefined;
  })();
  useRunKeys(happen, next);

  const parts: Readonly<Record<Part, React.ReactNode>> = {
    Now: (
      <NowPart
        rig={analysis.rig}
        plan={plan}
        state={state}
        gate={gate}
        ends={runsOut(analysis)}
        nowMs={nowMs}
        onHappened={happen}
      />
    ),
    Checks: <ChecksPart lines={lines} planned={plan.lines} state={state} onHappened={happen} />,
    Marks: (
      <MarksPart
        state={state}
        nameOf={(id) => entry(analysis.rig.devices, id)?.name ?? id}
        onHappened={happen}
      />
    ),
    'If it dies': (
      <FailuresPart analysis={analysis} state={state} cards={cards} onHappened={happen} />
    ),
  };
  // Where there is room for two: what is done next stands beside the show.
  const beside = part !== 'Now' ? part : state.stage === 'live' ? 'Marks' : 'Checks';
  return (
    <Theme
      appearance={isDark ? 'dark' : 'light'}
      colorPalette="gray"
      display="flex"
      flexDirection="column"
      position="fixed"
      inset="0"
      zIndex="overlay"
      bg="paper"
      color="ink"
      data-run={state.stage}
    >
      <Flex
        as="header"
        align="center"
        gap="3"
        px="3"
        py="1.5"
        borderBottomWidth="1px"
        borderColor="rule"
      >
        <Button asChild size="sm" minH="10" variant="ghost" px="1">
          <Link href={`/rigs/${rigId}/runs`}>Leave</Link>
        </Button>
        <Text flex="1" minW="0" truncate fontWeight="600">
          {plan.name}
          {plan.clock.is === 'simulated' && (
            <Text as="span" color="level.note" fontWeight="400">
              {` · rehearsal${plan.clock.speed === 1 ? '' : `, × ${plan.clock.speed}`}`}
            </Text>
          )}
        </Text>
        {state.stage === 'live' && (
          <Text fontWeight="700" color="level.stop">
            Live
          </Text>
        )}
        <Button size="sm" minH="10" variant="ghost" px="1" onClick={() => setDark(!isDark)}>
          {isDark ? 'Light' : 'Dark'}
        </Button>
      </Flex>
      <RunNotices
        unsent={unsent}
        isAway={isAway}
        page={page}
        refused={refused}
        newStops={newStops.map(({ title }) => title)}
      />
      <Grid
        flex="1"
        minH="0"
        templateColumns={{ base: '1fr', lg: 'minmax(20rem, 1fr) minmax(24rem, 1.4fr)' }}
      >
        <Box
          overflowY="auto"
          p="4"
          display={{ base: part === 'Now' ? 'block' : 'none', lg: 'block' }}
          borderRightWidth={{ base: '0', lg: '1px' }}
          borderColor="rule"
          as="section"
          aria-label="The show now"
        >
          {parts.Now}
        </Box>
        <Box
          overflowY="auto"
          p="4"
          display={{ base: part === 'Now' ? 'none' : 'block', lg: 'block' }}
          as="section"
          aria-label={beside}
        >
          {parts[beside]}
        </Box>
      </Grid>
      <Grid
        as="nav"
        aria-label="Parts of the run"
        templateColumns="repeat(4, 1fr)"
        borderTopWidth="1px"
        borderColor="rule"
      >
        {PARTS.map((each) => (
          <Button
            key={each}
            variant="ghost"
            minH="16"
            borderRadius="0"
            px="1"
            fontSize="md"
            aria-pressed={part === each}
            bg={part === each ? 'paper.deep' : 'transparent'}
            borderWidth="0"
            borderTopWidth="3px"
            borderTopColor={part === each ? 'madder' : 'transparent'}
            onClick={() => setPart(each)}
          >
            {each}
          </Button>
        ))}
      </Grid>
    </Theme>
  );
};
