'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { ThingFinding, ThingFix } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { authorId } from '@/session/outbox';
import { LevelMark } from '@/ui/LevelMark';
import { useThings } from './useThings';

/** What is wrong between the things and the rigs, with its sum and what mends it. */
export const ThingsFound = ({ findings }: { readonly findings: readonly ThingFinding[] }) => {
  const perform = useThings();
  const mend = ({ rigId, command, says }: ThingFix) =>
    perform(
      { does: 'take in rig', rigId, author: authorId(nanoid), command },
      `${says}. It stands in that rig’s history.`,
    );
  return (
    <Box as="section" aria-labelledby="found" mb="5">
      <Text as="h2" id="found" fontSize="lg" fontWeight="600" mb="1">
        Findings
      </Text>
      {findings.length === 0 ? (
        <Text fontSize="sm">
          Nothing is wanted in two places on one day, and everything that is used is there and fit.
        </Text>
      ) : (
        <Flex as="ul" direction="column" gap="2.5" listStyleType="none">
          {findings.map((finding) => (
            <Box
              as="li"
              key={`${finding.code} ${finding.thingId} ${finding.says}`}
              borderWidth="1px"
              borderColor="rule"
              bg="paper.card"
              p="2.5"
            >
              <Flex gap="2" align="start">
                <LevelMark level={finding.level} />
                <Text fontWeight="600" fontSize="sm">
                  {finding.says}
                </Text>
              </Flex>
              <Text fontSize="xs" color="ink.soft" className="figures" mt="1">
                {finding.sum}
              </Text>
              <Flex gap="1.5" wrap="wrap" mt="1.5" align="center">
                {finding.fixes.map((fix) => (
                  <Button
                    key={`${fix.rigId} ${fix.says}`}
                    size="xs"
                    variant="outline"
                    whiteSpace="normal"
                    height="auto"
                    minH="24px"
                    textAlign="start"
                    onClick={() => void mend(fix)}
                  >
                    {fix.says}
                  </Button>
                ))}
                {[...new Set(finding.fixes.map(({ rigId }) => rigId))].map((rigId) => (
                  <Link
                    key={rigId}
                    href={`/rigs/${rigId}`}
                    prefetch={false}
                    style={{ fontSize: '0.8rem', textDecoration: 'underline' }}
                  >
                    Open {finding.fixes.find((fix) => fix.rigId === rigId)?.says.split(':')[0]}
                  </Link>
                ))}
              </Flex>
            </Box>
          ))}
        </Flex>
      )}
    </Box>
  );
};
