'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type FilePlan, freeId, hoursText, type Rig, STORE_KINDS } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';

const NEW_MBYTES_PER_S = 150;
const SOON_MIN = 1;

/** Where copies go: how long a show takes there, how many fit, and what three copies in two buildings lack. */
export const Stores = ({ rig, plan }: { readonly rig: Rig; readonly plan: FilePlan }) => {
  const { run } = useRigSession();
  const minutes = (min: number): string =>
    min < SOON_MIN ? 'under a minute' : hoursText(Math.ceil(min));
  return (
    <Box as="section" aria-label="Copies" mt="6" maxW="60rem">
      <Text as="h3" fontWeight="600">
        Copies
      </Text>
      <Text fontSize="sm" color="ink.soft">
        Three, on two kinds of medium, one of them in another building. A card is formatted only
        when its files are verified twice.
      </Text>
      {plan.aloneMin !== null && plan.gbPerShow > 0 && (
        <Text fontSize="sm">
          {`There is one of everything during the show and ${minutes(plan.aloneMin)} after it.`}
        </Text>
      )}
      {plan.lacks.map((says) => (
        <Text key={says} fontSize="sm" color="level.warn">
          {says}
        </Text>
      ))}
      <Flex direction="column" gap="3" mt="2">
        {plan.copies.map(({ storeId, store, minutes: takes, shows }) => {
          const change = (fields: Partial<typeof store>) =>
            run({ type: 'changeStore', storeId, store: fields });
          return (
            <Box
              key={storeId}
              role="group"
              aria-label={store.name}
              borderWidth="1px"
              borderColor="rule"
              p="2.5"
            >
              <Flex gap="3" wrap="wrap" align="end">
                <Box flex="1" minW="14rem">
                  <NameField
                    label="Place for copies"
                    value={store.name}
                    onCommit={(name) => change({ name })}
                  />
                </Box>
                <Button
                  size="xs"
                  variant="ghost"
                  aria-label={`Remove ${store.name}`}
                  onClick={() => run({ type: 'removeStore', storeId })}
                >
                  Remove
                </Button>
              </Flex>
              <Flex gap="4" wrap="wrap" mt="1">
                <Box flex="1" minW="16rem">
                  <ChoiceField
                    label="Kind"
                    value={store.kind}
                    options={STORE_KINDS.map((kind) => ({ value: kind, label: kind }))}
                    onChoose={(value) => {
                      const kind = STORE_KINDS.find((each) => each === value);
                      if (kind) change({ kind });
                    }}
                  />
                  <ChoiceField
                    label="Where"
                    value={store.isAway ? 'away' : 'here'}
                    options={[
                      { value: 'here', label: 'in this building' },
                      { value: 'away', label: 'in another building' },
                    ]}
                    onChoose={(value) => change({ isAway: value === 'away' })}
                  />
                </Box>
                <Box flex="1" minW="16rem">
                  <NumberField
                    label="Written at"
                    unit="MB/s"
                    value={store.mbytesPerS}
                    min={0.1}
                    max={100_000}
                    onCommit={(mbytesPerS) => mbytesPerS !== null && change({ mbytesPerS })}
                  />
                  <NumberField
                    label="Holds"
                    unit="GB"
                    value={store.capacityGb}
                    min={1}
                    max={1e9}
                    mayBeUnknown
                    onCommit={(capacityGb) => change({ capacityGb })}
                  />
                </Box>
              </Flex>
              <Text fontSize="sm" className="figures">
                {`A show takes ${minutes(takes)}${shows === null ? '' : `; ${shows} shows fit`}.`}
              </Text>
            </Box>
          );
        })}
      </Flex>
      <Button
        size="sm"
        variant="outline"
        mt="3"
        className="screen-only"
        onClick={() =>
          run({
            type: 'addStore',
            storeId: freeId('store', rig.stores),
            store: {
              name: `Place ${plan.copies.length + 1}`,
              kind: 'hard disk',
              isAway: false,
              mbytesPerS: NEW_MBYTES_PER_S,
              capacityGb: null,
            },
          })
        }
      >
        Add a place for copies
      </Button>
    </Box>
  );
};
