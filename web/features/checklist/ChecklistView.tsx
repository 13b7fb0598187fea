'use client';

import { Box, Button, Flex, Link as ChakraLink, Text } from '@chakra-ui/react';
import { checklist, type CheckLine, PHASES } from '@echo-loom/core';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { useRig, useRigId, useRigSession } from '@/features/rig/RigProvider';
import { useGrowing } from '@/ui/useGrowing';
import { HouseLineForm } from './HouseLineForm';
import { Packing } from './Packing';
import { PHASE_TITLES } from './titles';

const AT_A_TIME = 60;

const Line = ({ line, rigId }: { readonly line: CheckLine; readonly rigId: string }) => {
  const { run } = useRigSession();
  const houseLineId = line.isOfHouse ? line.id.slice('house '.length) : null;
  return (
    <Flex
      as="li"
      gap="3"
      py="1.5"
      borderBottomWidth="1px"
      borderColor="rule"
      align="start"
      css={{ breakInside: 'avoid' }}
    >
      <Box
        flex="none"
        mt="1"
        width="3.5"
        height="3.5"
        borderWidth="2px"
        borderColor={line.isMust ? 'madder' : 'rule.strong'}
        aria-hidden
      />
      <Box flex="1" minW="0">
        <Text fontWeight={line.isMust ? '600' : '400'}>
          {line.what}
          {line.isMust && (
            <Text as="span" fontSize="xs" color="madder">
              {' '}
              must
            </Text>
          )}
        </Text>
        <Text fontSize="sm" color="ink.soft">
          {[line.where, line.who].filter((text) => text !== '').join(' · ')}
          {(line.where !== '' || line.who !== '') && line.why !== '' ? ' — ' : ''}
          {line.why}
        </Text>
        {line.caution !== null && (
          <Text fontSize="sm" color="level.warn">
            {line.caution}
          </Text>
        )}
      </Box>
      <Box flex="none" maxW="22rem" textAlign="end" fontSize="sm">
        {line.figure !== null &&
          (line.lookUp === null ? (
            <Text className="figures">{line.figure}</Text>
          ) : (
            <ChakraLink asChild className="figures" color="ink">
              <Link href={`/rigs/${rigId}/${line.lookUp}`} style={{ textDecoration: 'underline' }}>
                {line.figure}
              </Link>
            </ChakraLink>
          ))}
        {houseLineId !== null && (
          <Button
            size="xs"
            variant="ghost"
            className="screen-only"
            aria-label={`Take off ${line.what}`}
            onClick={() => run({ type: 'removeHouseLine', houseLineId })}
          >
            Take off
          </Button>
        )}
      </Box>
    </Flex>
  );
};

/** The lists of the day, as they follow from the rig: read, printed, and added to; ticked in a run. */
export const ChecklistView = () => {
  const rigId = useRigId();
  const analysis = useRig((state) => state.analysis);
  const [isAdding, setAdding] = useState(false);
  const lines = useMemo(() => checklist(analysis), [analysis]);
  const drawn = useGrowing(lines.length, AT_A_TIME, rigId);
  const shown = new Set(lines.slice(0, drawn));
  const musts = lines.filter(({ isMust }) => isMust).length;
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex align="center" gap="3" wrap="wrap" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Checklists
        </Text>
        <Text fontSize="sm" role="status">
          {lines.length === 0 ? '' : `${lines.length} lines, ${musts} of them must be ticked.`}
        </Text>
        <Flex ms="auto" gap="2" className="screen-only">
          <Button size="sm" variant="outline" onClick={() => setAdding(!isAdding)}>
            Add a line of the house
          </Button>
          <Button size="sm" variant="outline" onClick={() => window.print()}>
            Print
          </Button>
          <Button asChild size="sm">
            <Link href={`/rigs/${rigId}/runs`}>Tick them in a run</Link>
          </Button>
        </Flex>
      </Flex>
      {isAdding && <HouseLineForm onDone={() => setAdding(false)} />}
      {lines.length === 0 && (
        <Text fontSize="sm" maxW="60ch">
          The lists follow from the rig: power, plugs, gains, cameras, voices, recorders, each with
          where, who and why. Add devices, or lines of your own.
        </Text>
      )}
      {PHASES.map((phase) => {
        const all = lines.filter((line) => line.phase === phase);
        const its = all.filter((line) => shown.has(line));
        return its.length === 0 ? null : (
          <Box as="section" key={phase} aria-label={PHASE_TITLES[phase]} mb="5" maxW="70rem">
            <Text as="h3" fontWeight="600">
              {PHASE_TITLES[phase]}{' '}
              <Text as="span" fontSize="sm" fontWeight="400" color="ink.soft">
                {all.length}
              </Text>
            </Text>
            <Box as="ul" listStyleType="none">
              {its.map((line) => (
                <Line key={line.id} line={line} rigId={rigId} />
              ))}
            </Box>
          </Box>
        );
      })}
      <Packing />
    </Box>
  );
};
