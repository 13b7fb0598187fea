'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import { figure, microphoneChoices, type Analysis, type MicrophoneChoice } from '@echo-loom/core';
import { useState } from 'react';
import { decibels } from '@/features/gain/rows';
import { useMoney } from '@/features/rig/Studio';
import { PlainTable } from '@/ui/PlainTable';
import type { MicrophoneRow } from './rows';

const words = ({ speaksFor, speaksAgainst }: MicrophoneChoice): string =>
  [
    ...speaksAgainst.map((reason) => `against: ${reason}`),
    ...speaksFor.map((reason) => `for: ${reason}`),
  ].join('; ');

/** Every class of microphone for this voice in this room, with what speaks for it and against it. */
export const ChoiceTable = ({
  analysis,
  row,
}: {
  readonly analysis: Analysis;
  readonly row: MicrophoneRow;
}) => {
  const money = useMoney();
  const [asked, setAsked] = useState<string | null>(null);
  const list = asked === row.id ? microphoneChoices(analysis, row.microphone) : null;
  return (
    <Box mt="5">
      <Text as="h2" fontSize="lg" fontWeight="600">
        Which microphone for {row.person}?
      </Text>
      {list === null ? (
        <Button size="sm" variant="outline" mt="1" onClick={() => setAsked(row.id)}>
          Compare the classes in this room
        </Button>
      ) : list.length === 0 ? (
        <Text fontSize="sm">Say first whose microphone it is.</Text>
      ) : (
        <PlainTable
          label={`Microphones for ${row.person}`}
          headings={['Class', 'From the mouth', 'Over the room', 'Other voice', 'Price']}
          lines={list.map((choice) => ({
            id: choice.model.classId ?? choice.model.name,
            isMarked: choice.isPresent,
            head: (
              <>
                {choice.model.name}
                {choice.isPresent && ', as it is'}
                <Text as="span" display="block" fontWeight="400" fontSize="xs" color="ink.soft">
                  {words(choice) || 'nothing speaks against it'}
                </Text>
              </>
            ),
            cells: [
              `${figure(choice.distanceM * 100, 0)} cm`,
              decibels(choice.there.overRoomDb),
              choice.bleedDb === null ? 'none known' : `${figure(choice.bleedDb)} dB`,
              choice.model.typicalPrice === null ? '?' : money(choice.model.typicalPrice),
            ],
          }))}
          note="Each at the distance it is made for. Gain, noise and price with everything set are compared under Gain."
        />
      )}
    </Box>
  );
};
