'use client';

import { Box, Button, Flex, Link as ChakraLink, Text } from '@chakra-ui/react';
import {
  figure,
  findingKey,
  houseRuleText,
  sumsOf,
  verdictText,
  placeName,
  type Analysis,
  type Cause,
  type Finding,
  type Prediction,
} from '@echo-loom/core';
import Link from 'next/link';
import { useMemo, useRef } from 'react';
import { useMoney } from '@/features/rig/Studio';
import { useRigId, useRigSession } from '@/features/rig/RigProvider';
import { Explained } from '@/features/words/Explained';
import { LevelMark } from '@/ui/LevelMark';
import { useSeen } from '@/ui/useSeen';
import { useTask } from '@/workers/useTask';
import { PutAside } from './PutAside';
import { SumList } from './SumList';

const effectText = ({ effects, cures, verdict, brings }: Prediction): string[] => [
  ...effects
    .filter(({ before, after }) => before !== after && after !== null)
    .map(
      ({ label, before, after, unit }) =>
        `${label} ${before === null ? '?' : figure(before, 2)} → ${figure(after ?? 0, 2)} ${unit}`,
    ),
  `${cures ? 'Cures this' : 'Helps, does not cure'}. Then: ${verdictText(verdict).toLowerCase()}.`,
  ...(brings.length
    ? [`Brings: ${[...new Set(brings.map(({ title }) => title))].join('; ')}.`]
    : []),
];

interface Props {
  readonly analysis: Analysis;
  readonly finding: Finding;
  /** Where it is to speak for every place of its cause */
  readonly cause?: Cause;
}

/** So many places are named at once. */
const NAMED = 6;

/** Every place of a cause by name, the first few in sight. */
const Places = ({ analysis, cause }: { readonly analysis: Analysis; readonly cause: Cause }) => {
  const names = cause.places.map((place) => placeName(analysis, place));
  const rest = names.slice(NAMED);
  return (
    <Text fontSize="xs" mt="1.5" color="ink.soft">
      In: {names.slice(0, NAMED).join(', ')}
      {rest.length > 0 && (
        <details>
          <summary>and {rest.length} more</summary>
          {rest.join(', ')}
        </details>
      )}
    </Text>
  );
};

/** A finding: what happens, why, what to do, its fixes with what each would change, and its sums. */
export const FindingCard = ({ analysis, finding, cause }: Props) => {
  const { run } = useRigSession();
  const money = useMoney();
  const rigId = useRigId();
  const card = useRef<HTMLElement>(null);
  const isSeen = useSeen(card);
  const key = findingKey(finding);
  const title = cause?.title ?? finding.title;
  const isMany = cause !== undefined && cause.places.length > 1;
  const tried = useTask({
    analysis,
    key: cause ? `${key} ${cause.places.length}` : key,
    ask: (tasks, onProgress) =>
      cause ? tasks.offersOfCause(key, onProgress) : tasks.offers(key, onProgress),
    isSeen,
  });
  const offers = tried.state === 'done' ? tried.value : [];
  const sums = useMemo(() => sumsOf(analysis, finding), [analysis, finding]);
  return (
    <Box
      as="article"
      ref={card}
      aria-label={title}
      aria-busy={tried.state === 'working'}
      borderWidth="1px"
      borderColor="rule"
      borderLeftWidth="3px"
      borderLeftColor={`level.${finding.level}`}
      bg="paper.card"
      p="3"
    >
      <Flex gap="2" align="baseline">
        <Box position="relative" top="2px">
          <LevelMark level={finding.level} />
        </Box>
        <Text as="h3" fontWeight="600" lineHeight="1.3">
          {title}
        </Text>
      </Flex>
      <Text fontSize="sm" mt="1">
        {isMany && 'The first: '}
        <Explained text={finding.says} />
      </Text>
      {isMany && <Places analysis={analysis} cause={cause} />}
      {tried.state === 'working' && (
        <Text fontSize="xs" color="ink.soft" mt="2" className="screen-only">
          Trying what would help{tried.of > 1 ? `: ${tried.tried + 1} of ${tried.of}` : ''} …
        </Text>
      )}
      {tried.state === 'failed' && (
        <Text fontSize="xs" color="level.stop" mt="2">
          What would help could not be tried: {tried.says}
        </Text>
      )}
      {offers.length > 0 && (
        <Flex direction="column" gap="1.5" mt="2.5">
          {offers.map(({ fix, prediction, cost }, index) => (
            <Button
              // Two remedies may read alike: a thing moved by one length, to either side.
              key={`${fix.label} ${index}`}
              variant="outline"
              size="sm"
              height="auto"
              minH="8"
              py="1.5"
              px="2.5"
              borderColor="madder"
              whiteSpace="normal"
              display="block"
              textAlign="start"
              fontWeight="400"
              onClick={() => run(fix.command)}
            >
              <Text
                as="span"
                display="flex"
                justifyContent="space-between"
                gap="2"
                fontWeight="600"
                color="madder"
              >
                <span>{fix.label}</span>
                {cost !== 0 && (
                  <Text as="span" className="figures" fontWeight="400" fontSize="xs">
                    {money(cost)}
                  </Text>
                )}
              </Text>
              {prediction &&
                effectText(prediction).map((line) => (
                  <Text
                    as="span"
                    key={line}
                    display="block"
                    fontSize="xs"
                    color="ink.soft"
                    lineHeight="1.4"
                  >
                    {line}
                  </Text>
                ))}
            </Button>
          ))}
        </Flex>
      )}
      {sums.length > 0 && <SumList sums={sums} />}
      {finding.houseRule && (
        <Text fontSize="xs" mt="2">
          House rule:{' '}
          <ChakraLink asChild textDecoration="underline">
            <Link href={`/rigs/${rigId}/rules#${finding.houseRule}`} prefetch={false}>
              {houseRuleText(analysis.rig.houseRules, finding.houseRule)}
            </Link>
          </ChakraLink>
        </Text>
      )}
      <Flex justify="space-between" align="end" gap="2" mt="1" wrap="wrap">
        <Text fontSize="xs" color="ink.soft" className="figures">
          {finding.code}
        </Text>
        <PutAside analysis={analysis} findings={cause?.places ?? [finding]} title={title} />
      </Flex>
    </Box>
  );
};
