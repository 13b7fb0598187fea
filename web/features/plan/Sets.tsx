'use client';

import { Box, Button, Checkbox, Flex, Input, Text } from '@chakra-ui/react';
import { type Analysis, cleanLine, freeId, inOrder } from '@echo-loom/core';
import { useState } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';

/** Sets of the show: where everything stands for each; one press moves all of it. */
export const Sets = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const [name, setName] = useState('');
  const [withSettings, setWithSettings] = useState(false);
  const sets = inOrder(analysis.rig.sets);
  const written = cleanLine(name);
  const keep = () => {
    if (written === '') return;
    const same = sets.find(([, set]) => set.name === written);
    run({
      type: 'keepSet',
      setId: same?.[0] ?? freeId(written, analysis.rig.sets),
      name: written,
      // A set that keeps settings goes on keeping them.
      ...(withSettings ? { withSettings } : {}),
    });
    setName('');
  };
  return (
    <Box as="section" aria-label="Sets">
      <Text as="h2" fontWeight="600">
        Sets
      </Text>
      <Text fontSize="sm" color="ink.soft">
        A set is where everything stands for one look of the show. They share the room and the gear.
      </Text>
      <Flex direction="column" gap="1.5" mt="1.5">
        {sets.map(([setId, set]) => (
          <Flex key={setId} gap="2" align="center" wrap="wrap">
            <Text fontSize="sm" flex="1" minW="90px">
              {set.name}
              {set.settings && (
                <Text as="span" color="ink.soft">
                  {' '}
                  with settings
                </Text>
              )}
            </Text>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Stand as in ${set.name}`}
              onClick={() => run({ type: 'standAsSet', setId })}
            >
              Stand so
            </Button>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Keep where everything stands as ${set.name}`}
              onClick={() => run({ type: 'keepSet', setId, name: set.name })}
            >
              Keep as it is
            </Button>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Remove the set ${set.name}`}
              onClick={() => run({ type: 'removeSet', setId })}
            >
              Remove
            </Button>
          </Flex>
        ))}
        <Flex gap="2">
          <Input
            size="sm"
            aria-label="Name of a new set"
            placeholder="Name of a new set"
            value={name}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && keep()}
          />
          <Button size="sm" variant="outline" disabled={written === ''} onClick={keep}>
            Keep
          </Button>
        </Flex>
        <Checkbox.Root
          size="sm"
          checked={withSettings}
          onCheckedChange={({ checked }) => setWithSettings(checked === true)}
        >
          <Checkbox.HiddenInput />
          <Checkbox.Control />
          <Checkbox.Label>
            Keep gains and camera settings with it: standing so sets them too
          </Checkbox.Label>
        </Checkbox.Root>
      </Flex>
    </Box>
  );
};
