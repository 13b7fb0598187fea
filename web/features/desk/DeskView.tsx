'use client';

import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { type Analysis, loaded } from '@echo-loom/core';
import Link from 'next/link';
import { memo, useDeferredValue } from 'react';
import { FindingCard } from '@/features/findings/FindingCard';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { DeskTop } from './DeskTop';
import { RackFront } from './RackFront';

const Found = memo(({ analysis }: { readonly analysis: Analysis }) => (
  <Flex direction="column" gap="2.5">
    {analysis.findings
      .filter(({ area }) => area === 'stands')
      .map((finding, index) => (
        <FindingCard key={`${finding.code} ${index}`} analysis={analysis} finding={finding} />
      ))}
  </Flex>
));
Found.displayName = 'Found';

/** Desks from above and racks from the front, to scale: what stands where on them, and what that comes to. */
export const DeskView = () => {
  const rigId = useRigId();
  const analysis = useRig((state) => state.analysis);
  const later = useDeferredValue(analysis);
  const all = loaded(analysis);
  const tops = all.filter(({ support }) => support.figures.is === 'desk');
  const desks = tops.filter(({ loads }) => loads.length > 0);
  const bare = tops.filter(({ loads }) => loads.length === 0);
  const racks = all.filter(({ support }) => support.figures.is === 'rack');
  if (tops.length + racks.length === 0)
    return (
      <Box p="4" maxW="62ch" mx="auto" my="8">
        <Text as="h2" fontSize="lg" fontWeight="600">
          There is no desk and no rack yet.
        </Text>
        <Text mt="1">
          Bring one in on the <Link href={`/rigs/${rigId}/plan`}>plan</Link>, and stand devices on
          it.
        </Text>
      </Box>
    );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 3fr) minmax(0, 2fr)' }}
      >
        <Flex direction="column" gap="6">
          {desks.map((desk) => (
            <DeskTop key={desk.id} analysis={analysis} desk={desk} />
          ))}
          {bare.length > 0 && (
            <Text fontSize="sm" color="ink.soft">
              {`Nothing stands on ${bare.map(({ support }) => support.name).join(', ')}.`}
            </Text>
          )}
        </Flex>
        <Flex direction="column" gap="5">
          {racks.map((rack) => (
            <RackFront key={rack.id} analysis={analysis} rack={rack} />
          ))}
          <Found analysis={later} />
        </Flex>
      </Grid>
    </Box>
  );
};
