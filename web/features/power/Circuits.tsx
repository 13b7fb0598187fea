'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, freeId, inOrder } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

/** Circuits of the room. */
export const Circuits = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { circuits } = analysis.rig;
  return (
    <Box as="section" aria-label="Circuits">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Circuits
      </Text>
      {Object.keys(circuits).length === 0 && (
        <Text fontSize="sm">No circuit is known. They are written beside the breakers.</Text>
      )}
      {inOrder(circuits).map(([circuitId, { name, breakerA }]) => (
        <Flex key={circuitId} gap="3" align="center" mb="1">
          <Box flex="1" minW="10rem" maxW="20rem">
            <NameField
              hideLabel
              label={`Name of ${name}`}
              value={name}
              onCommit={(value) =>
                run({ type: 'changeCircuit', circuitId, circuit: { name: value } })
              }
            />
          </Box>
          <Box flex="none" w="6rem">
            <NumberField
              inCell
              label={`Breaker of ${name}`}
              unit="A"
              min={1}
              max={400}
              value={breakerA}
              onCommit={(value) =>
                value !== null &&
                run({ type: 'changeCircuit', circuitId, circuit: { breakerA: value } })
              }
            />
          </Box>
          <Button
            size="xs"
            variant="outline"
            aria-label={`Remove ${name}`}
            onClick={() => run({ type: 'removeCircuit', circuitId })}
          >
            Remove
          </Button>
        </Flex>
      ))}
      <Button
        size="xs"
        variant="outline"
        onClick={() =>
          run({
            type: 'addCircuit',
            circuitId: freeId('circuit', circuits),
            circuit: { name: `Circuit ${Object.keys(circuits).length + 1}`, breakerA: 16 },
          })
        }
      >
        Add a circuit
      </Button>
    </Box>
  );
};
