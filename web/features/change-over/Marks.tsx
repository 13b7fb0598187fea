'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entry, markSheet, type Rig, TAPES } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { PlainTable } from '@/ui/PlainTable';
import { WalkMarks } from './WalkMarks';

const metres = (value: number): string => `${value.toFixed(2)} m`;

/** The marks of a set, to be walked through with a measure and tape: two walls, facing, height. */
export const Marks = ({ rig, setId }: { readonly rig: Rig; readonly setId: string }) => {
  const { run } = useRigSession();
  const [isWalking, setWalking] = useState(false);
  const { walls, tape, marks } = markSheet(rig, setId);
  const [a, b] = walls?.map(({ name }) => `From the ${name}`) ?? ['Up the plan', 'Across the plan'];
  return (
    <Box as="section" aria-label="Marks" mt="6" css={{ '@media print': { breakBefore: 'page' } }}>
      <Text as="h3" fontWeight="600" mb="1">
        {`Marks of ${entry(rig.sets, setId)?.name ?? setId}`}
        {tape !== null && (
          <Text as="span" fontWeight="400" fontSize="sm" color="ink.soft">
            {` in ${tape} tape`}
          </Text>
        )}
      </Text>
      <Flex gap="3" mb="2" wrap="wrap" align="center" className="screen-only">
        <Box width="26rem" maxW="100%">
          <ChoiceField
            label="Tape on the floor"
            value={tape ?? ''}
            options={[
              { value: '', label: 'none yet' },
              ...TAPES.map((colour) => ({ value: colour, label: colour })),
            ]}
            onChoose={(value) =>
              run({
                type: 'setTape',
                setId,
                tape: TAPES.find((colour) => colour === value) ?? null,
              })
            }
          />
        </Box>
        <Button
          size="sm"
          variant="outline"
          disabled={marks.length === 0}
          aria-expanded={isWalking}
          onClick={() => setWalking(!isWalking)}
        >
          Walk through them
        </Button>
      </Flex>
      {isWalking && (
        <WalkMarks
          key={setId}
          tape={tape}
          marks={marks.map(({ id, name, aM, bM, facingDeg, heightM }) => ({
            id,
            name,
            says: [
              `${a ?? ''}: ${metres(aM)}`,
              `${b ?? ''}: ${metres(bM)}`,
              `Facing ${Math.round(facingDeg)}°${heightM === null ? '' : `, ${metres(heightM)} high`}`,
            ],
          }))}
          onEnd={() => setWalking(false)}
        />
      )}
      {marks.length === 0 ? (
        <Text fontSize="sm">Nothing in this set has a place on the floor yet.</Text>
      ) : (
        <PlainTable
          label="Marks"
          headings={['What', a ?? '', b ?? '', 'Facing', 'Height']}
          lines={marks.map(({ id, name, aM, bM, facingDeg, heightM }) => ({
            id,
            head: name,
            cells: [
              metres(aM),
              metres(bM),
              `${Math.round(facingDeg)}°`,
              heightM === null ? '–' : metres(heightM),
            ],
          }))}
          note="Measured at right angles to the wall; facing 0° up the plan, clockwise."
        />
      )}
    </Box>
  );
};
