'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { figure, fixesOf, predict, Refusal, sumsOf, verdictText, type Analysis, type Finding, type Fix, type Prediction } from '@echo-loom/core';
import { useMemo } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { LevelMark } from '@/ui/LevelMark';
import { SumList } from './SumList';

interface Offer {
  readonly fix: Fix;
  readonly prediction: Prediction | null;
}

const offersOf = (analysis: Analysis, finding: Finding): Offer[] =>
  fixesOf(analysis, finding).map((fix) => {
    try {
      return { fix, prediction: predict(analysis, finding, fix) };
    } catch (error) {
      if (error instanceof Refusal) return { fix, prediction: null };
      throw error;
    }
  });

const effectText = ({ effects, cures, verdict, brings }: Prediction): string[] => [
  ...effects.filter(({ before, after }) => before !== after && after !== null).map(({ label, before, after, unit }) => `${label} ${before === null ? '?' : figure(before, 2)} → ${figure(after ?? 0, 2)} ${unit}`),
  `${cures ? 'Cures this' : 'Helps, does not cure'}. Then: ${verdictText(verdict).toLowerCase()}.`,
  ...(brings.length ? [`Brings: ${brings.map(({ title }) => title).join('; ')}.`] : []),
];

interface Props {
  readonly analysis: Analysis;
  readonly finding: Finding;
}

/** A finding: what happens, why, what to do, its fixes with what each would change, and its sums. */
export const FindingCard = ({ analysis, finding }: Props) => {
  const { run } = useRigSession();
  const offers = useMemo(() => offersOf(analysis, finding), [analysis, finding]);
  const sums = useMemo(() => sumsOf(analysis, finding), [analysis, finding]);
  return (
    <Box as="article" aria-label={finding.title} borderWidth="1px" borderColor="rule" borderLeftWidth="3px" borderLeftColor={`level.${finding.level}`} bg="paper.card" p="3">
      <Flex gap="2" align="baseline">
        <Box position="relative" top="2px"><LevelMark level={finding.level} /></Box>
        <Text as="h3" fontWeight="600" lineHeight="1.3">{finding.title}</Text>
      </Flex>
      <Text fontSize="sm" mt="1">{finding.says}</Text>
      {offers.length > 0 && (
        <Flex direction="column" gap="1.5" mt="2.5">
          {offers.map(({ fix, prediction }) => (
            <Button key={fix.label} variant="outline" size="sm" height="auto" minH="8" py="1.5" px="2.5" borderColor="madder" whiteSpace="normal" display="block" textAlign="start" fontWeight="400" onClick={() => run(fix.command)}>
              <Text as="span" display="block" fontWeight="600" color="madder">{fix.label}</Text>
              {prediction && effectText(prediction).map((line) => <Text as="span" key={line} display="block" fontSize="xs" color="ink.soft" lineHeight="1.4">{line}</Text>)}
            </Button>
          ))}
        </Flex>
      )}
      {sums.length > 0 && <SumList sums={sums} houseRule={finding.houseRule} />}
      <Text fontSize="xs" color="ink.soft" mt="2" className="figures">{finding.code}</Text>
    </Box>
  );
};
