'use client';

import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { freeId, inOrder, type Rig } from '@echo-loom/core';
import { useId, useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';

/** The days the rig is used on: what stands in it cannot be elsewhere then. */
export const ShowDays = ({ rig }: { readonly rig: Rig }) => {
  const { run } = useRigSession();
  const [day, setDay] = useState('');
  const id = useId();
  const shows = inOrder(rig.shows).sort(([, a], [, b]) => a.on.localeCompare(b.on));
  const add = () => {
    if (day === '') return;
    const show = { name: rig.name, on: day };
    if (run({ type: 'addShow', showId: freeId(`show-${day}`, rig.shows), show })) setDay('');
  };
  return (
    <Box as="section" aria-label="Show days" mt="5">
      <Text as="h3" fontWeight="600">
        Show days
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="1.5">
        A thing of the studio that is in two rigs on one day is found.
      </Text>
      <Box as="ul" listStyleType="none">
        {shows.map(([showId, { name, on }]) => (
          <Flex as="li" key={showId} justify="space-between" align="center" fontSize="sm" py="1">
            <span>
              <span className="figures">{on}</span> {name}
            </span>
            <Button
              size="xs"
              variant="ghost"
              aria-label={`Remove ${name} on ${on}`}
              onClick={() => run({ type: 'removeShow', showId })}
            >
              Remove
            </Button>
          </Flex>
        ))}
      </Box>
      <Flex
        as="form"
        gap="2"
        mt="1.5"
        align="end"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <Box flex="1">
          <label htmlFor={id} style={{ fontSize: '0.875rem' }}>
            Day of the next show
          </label>
          <Input
            id={id}
            size="sm"
            type="date"
            value={day}
            onChange={({ target }) => setDay(target.value)}
          />
        </Box>
        <Button size="sm" type="submit" variant="outline" disabled={day === ''}>
          Add the day
        </Button>
      </Flex>
    </Box>
  );
};
