'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { freeId, HAND_KINDS, inOrder, type Rig } from '@echo-loom/core';
import { oneOf } from '@/features/brief/words';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

const NOBODY = '';

/** What else the show is switched with, besides the panel: who has it, and how many buttons it has. */
export const Hands = ({ rig }: { readonly rig: Rig }) => {
  const { run } = useRigSession();
  const people = inOrder(rig.people).filter(([, { is }]) => is === 'person');
  return (
    <Box as="section" aria-label="Switched with" mb="4">
      <Text as="h2" fontSize="md" fontWeight="600">
        Switched with
      </Text>
      <Text fontSize="sm" color="ink.soft" mb="1.5">
        A pedal here, a tablet there: each button says what it is on.
      </Text>
      {inOrder(rig.hands).map(([handId, hand]) => (
        <Box
          key={handId}
          role="group"
          aria-label={hand.name}
          borderWidth="1px"
          borderColor="rule"
          p="2"
          mb="2"
        >
          <Flex direction="column" gap="1.5">
            <NameField
              label="Name"
              value={hand.name}
              onCommit={(name) => run({ type: 'changeHand', handId, hand: { name } })}
            />
            <ChoiceField
              label="Is a"
              value={hand.is}
              options={HAND_KINDS.map((value) => ({ value, label: value }))}
              onChoose={(value) =>
                run({
                  type: 'changeHand',
                  handId,
                  hand: { is: oneOf(HAND_KINDS, value) ?? hand.is },
                })
              }
            />
            <NumberField
              label="Buttons it has"
              unit=""
              mayBeUnknown
              isWhole
              min={1}
              max={200}
              value={hand.keys}
              onCommit={(keys) => run({ type: 'changeHand', handId, hand: { keys } })}
            />
            <ChoiceField
              label="Before"
              value={hand.personId ?? NOBODY}
              options={[
                { value: NOBODY, label: 'Nobody named' },
                ...people.map(([value, { name }]) => ({ value, label: name })),
              ]}
              onChoose={(id) => run({ type: 'changeHand', handId, hand: { personId: id || null } })}
            />
          </Flex>
          <Button
            size="xs"
            variant="outline"
            mt="2"
            onClick={() => run({ type: 'removeHand', handId })}
          >
            Take it away
          </Button>
        </Box>
      ))}
      <Button
        size="sm"
        variant="outline"
        onClick={() =>
          run({
            type: 'addHand',
            handId: freeId('pedal', rig.hands),
            hand: { name: 'Pedal', is: 'pedal', keys: null, personId: null },
          })
        }
      >
        Add a pedal or tablet
      </Button>
    </Box>
  );
};
