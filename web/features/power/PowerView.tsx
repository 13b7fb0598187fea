'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { type Area, mainsName } from '@echo-loom/core';
import { memo, useDeferredValue } from 'react';
import { FoundIn } from '@/features/findings/FoundIn';
import { useRig } from '@/features/rig/RigProvider';
import { Batteries } from './Batteries';
import { Circuits } from './Circuits';
import { Feeds } from './Feeds';
import { Asked } from './Asked';
import { Loads } from './Loads';
import { PlugForMe } from './PlugForMe';
import { Plugs } from './Plugs';
import { PowerTree } from './PowerTree';

const AREAS: readonly Area[] = ['power'];

const TreeLater = memo(PowerTree);
const BatteriesLater = memo(Batteries);

/** What every circuit, strip and supply carries, and what every device runs on. */
export const PowerView = () => {
  const analysis = useRig((state) => state.analysis);
  const later = useDeferredValue(analysis);
  const { mains, feeds, circuits } = analysis.rig;
  const isBare = Object.keys(feeds).length + Object.keys(circuits).length === 0;
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Grid
        columnGap="6"
        rowGap="5"
        alignItems="start"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 13fr) minmax(0, 8fr)' }}
      >
        <Flex direction="column" gap="5" minW="0">
          <Box>
            <Flex gap="3" align="center" wrap="wrap" mb="1">
              <Text as="h2" fontSize="lg" fontWeight="600">
                Power
              </Text>
              <Text fontSize="sm" color="ink.soft">
                {mains ? mainsName(mains) : 'the mains is not known'}
              </Text>
              {!isBare && (
                <Button
                  size="xs"
                  variant="outline"
                  ms="auto"
                  className="screen-only"
                  onClick={() => window.print()}
                >
                  Print the circuit plan
                </Button>
              )}
            </Flex>
            {isBare ? (
              <Text fontSize="sm">
                No circuit and no outlet is known yet. Add the circuits of the room and its outlets
                below, then the strips; what hangs on each is added up from there.
              </Text>
            ) : (
              <TreeLater analysis={later} />
            )}
          </Box>
          <Box className="screen-only" display="flex" flexDirection="column" gap="5">
            <Feeds analysis={analysis} />
            <Circuits analysis={analysis} />
            <Loads analysis={analysis} />
          </Box>
        </Flex>
        <Flex direction="column" gap="5" minW="0" className="screen-only">
          <PlugForMe analysis={later} />
          <Box as="section" aria-label="Devices">
            <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
              Devices
            </Text>
            <Plugs analysis={analysis} />
          </Box>
          <BatteriesLater analysis={later} />
          <Asked analysis={analysis} />
          <FoundIn analysis={later} areas={AREAS} />
        </Flex>
      </Grid>
    </Box>
  );
};
