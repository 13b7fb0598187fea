'use client';

import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { type Analysis, type Area, cablePlans } from '@echo-loom/core';
import Link from 'next/link';
import { memo, useDeferredValue, useMemo } from 'react';
import { FoundIn } from '@/features/findings/FoundIn';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { AllLengths } from './AllLengths';
import { CableTable } from './CableTable';
import { Labels } from './Labels';
import { cableRows } from './rows';
import { Stock } from './Stock';
import { ToCut } from './ToCut';
import { WaysTable } from './WaysTable';

const AREAS: readonly Area[] = ['cables'];

const AllLengthsLater = memo(AllLengths);
const StockLater = memo(Stock);
const ToCutLater = memo(ToCut);
const WaysLater = memo(WaysTable);

const Summary = ({ analysis }: { readonly analysis: Analysis }) => {
  const rigId = useRigId();
  const plans = cablePlans(analysis);
  const known = plans.filter(({ is }) => is === 'planned').length;
  if (plans.length > 0)
    return (
      <Text fontSize="sm" mb="2">
        {`The way of ${known} of ${plans.length} cables is known from the plan. ` +
          (known < plans.length ? 'The rest need their ends on the ' : '')}
        {known < plans.length && <Link href={`/rigs/${rigId}/plan`}>plan</Link>}
        {known < plans.length && ', and ways that lead there.'}
      </Text>
    );
  return (
    <Text fontSize="sm" mb="2">
      No length is known from the plan yet. Draw the room on the{' '}
      <Link href={`/rigs/${rigId}/plan`}>plan</Link> and put devices where they stand; cables then
      go along its walls, and where you draw ways for them below.
    </Text>
  );
};

/** How long every cable must be and where it lies, what is to be bought, and what is written on both its ends. */
export const CablesView = () => {
  const analysis = useRig((state) => state.analysis);
  const later = useDeferredValue(analysis);
  const rows = useMemo(() => cableRows(analysis), [analysis]);
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 2fr) minmax(0, 1fr)' }}
      >
        <Flex direction="column" gap="5" minW="0">
          <Box>
            <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
              Cables
            </Text>
            {rows.length === 0 ? (
              <Text fontSize="sm">
                There is no cable yet. Connect devices on the loom; each cable then stands here with
                its length.
              </Text>
            ) : (
              <>
                <Summary analysis={analysis} />
                <CableTable analysis={analysis} rows={rows} />
              </>
            )}
          </Box>
          <WaysLater analysis={later} />
        </Flex>
        <Flex direction="column" gap="5" minW="0">
          {rows.length > 0 && (
            <Box className="screen-only">
              <AllLengthsLater analysis={later} />
            </Box>
          )}
          <StockLater analysis={later} />
          <ToCutLater analysis={later} />
          <Labels rows={rows} />
          <FoundIn analysis={later} areas={AREAS} />
        </Flex>
      </Grid>
    </Box>
  );
};
