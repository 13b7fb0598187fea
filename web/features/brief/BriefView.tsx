'use client';

import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { coverage, type Need, threadText } from '@echo-loom/core';
import Link from 'next/link';
import { useRef, useState } from 'react';
import { CoverageMatrix } from './CoverageMatrix';
import { MoneyPanel } from './MoneyPanel';
import { ShowDays } from './ShowDays';
import { ShowFields } from './ShowFields';

/** How much of the brief is met, in a sentence. */
const summary = (met: number, all: number): string =>
  all === 0
    ? 'Nothing is asked for yet. Add people, things to see and what is to be delivered.'
    : met === all
      ? `All ${all} needs are met.`
      : `${met} of ${all} needs are met, ${all - met} ${all - met === 1 ? 'is' : 'are'} not. ` +
        'Choose one to see what would give it.';

const NEED_WORDS: Readonly<Record<Need, string>> = {
  seen: 'is seen',
  heard: 'is heard',
  hears: 'hears',
  sees: 'sees',
  shown: 'is shown',
  delivered: 'is delivered',
};

/** What the show needs, and whether the rig gives it: coverage first, then the answers it is judged by. */
export const BriefView = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [chosen, setChosen] = useState<string | null>(null);
  const panel = useRef<HTMLDivElement>(null);
  const choose = (id: string) => {
    setChosen(id);
    // On a narrow screen the panel stands below the tables.
    requestAnimationFrame(() => panel.current?.scrollIntoView({ block: 'nearest' }));
  };
  const { brief, people } = analysis.rig;
  if (!brief)
    return (
      <Box m="auto" textAlign="center" maxW="46ch" p="6">
        <Text fontWeight="600" fontSize="lg">
          This rig has no brief.
        </Text>
        <Text mt="1" mb="4">
          Say what the show needs: who is in it, what must be seen, what is delivered. Then every
          person and every file is checked against the threads, and what is missing is offered.
        </Text>
        <Button
          bg="madder"
          color="madder.ink"
          onClick={() => run({ type: 'writeBrief', brief: {} })}
        >
          Begin the brief
        </Button>
      </Box>
    );
  const lines = coverage(analysis);
  const open = lines.filter(({ verdict }) => verdict !== 'met');
  const line =
    lines.find(({ id }) => id === chosen) ??
    open.find(({ verdict }) => verdict === 'missing') ??
    open[0];
  const findings = line ? analysis.findings.filter(({ about }) => about.line === line.id) : [];
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex gap="6" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box flex="1.9" minW="0" width="100%">
          <Text as="h2" fontSize="lg" fontWeight="600">
            Coverage
          </Text>
          <Text fontSize="sm" color="ink.soft" mb="2" role="status">
            {summary(lines.length - open.length, lines.length)}
          </Text>
          {Object.keys(people).length === 0 && (
            <Text fontSize="sm" mb="2">
              Nobody is in the show yet.{' '}
              <Link href="people">
                <Text as="span" textDecoration="underline">
                  Name the people
                </Text>
              </Link>{' '}
              first.
            </Text>
          )}
          {lines.length > 0 && (
            <CoverageMatrix lines={lines} chosen={line?.id ?? null} onChoose={choose} />
          )}
        </Box>
        <Box flex="1" minW="300px" width="100%">
          {line && (
            <Box ref={panel} mb="5" aria-live="polite" role="region" aria-label="The chosen need">
              <Text as="h3" fontWeight="600" mb="1.5">
                {line.subject.name}: {NEED_WORDS[line.need]}
              </Text>
              {findings.length === 0 && <Text fontSize="sm">{line.says}</Text>}
              {line.thread && (
                <Text fontSize="xs" color="ink.soft" mb="1.5">
                  The way: {threadText(analysis, line.thread)}.
                </Text>
              )}
              <Flex direction="column" gap="2.5">
                {findings.map((finding) => (
                  <FindingCard key={finding.code} analysis={analysis} finding={finding} />
                ))}
              </Flex>
            </Box>
          )}
          <MoneyPanel />
          <ShowFields brief={brief} />
          <ShowDays rig={analysis.rig} />
        </Box>
      </Flex>
    </Box>
  );
};
