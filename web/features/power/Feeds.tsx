'use client';

import { Box, Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  type Analysis,
  type Feed,
  FEED_CLASSES,
  type FeedClass,
  freeId,
  inOrder,
} from '@echo-loom/core';
import { useState } from 'react';
import { HadCell } from '@/features/things/HadCell';
import { useRigSession } from '@/features/rig/RigProvider';
import { cell, head } from '@/ui/SpotCells';
import { ChoiceField } from '@/ui/ChoiceField';
import { NameField } from '@/ui/NameField';
import { NumberField } from '@/ui/NumberField';
import { Bears } from './Bears';
import { fedByOf, fedChoices, valueOf } from './fed';

/** What can be added: the outlet of the house, and each class that is bought. */
const CLASSES: readonly (Omit<FeedClass, 'price'> & { readonly price: number | null })[] = [
  {
    id: 'outlet',
    name: 'Wall outlet',
    figures: { is: 'outlet', sockets: 2, mostA: 16 },
    price: null,
  },
  ...FEED_CLASSES,
];
const IS = { outlet: 'outlet', strip: 'strip', ups: 'supply that lasts' } as const;

/** Outlets, strips and supplies that last, typed in place. */
export const Feeds = ({ analysis }: { readonly analysis: Analysis }) => {
  const { run } = useRigSession();
  const { feeds } = analysis.rig;
  const change = (feedId: string, feed: Partial<Omit<Feed, 'order'>>) =>
    run({ type: 'changeFeed', feedId, feed });
  const [chosen, setChosen] = useState('outlet');
  const add = () => {
    const found = CLASSES.find(({ id }) => id === chosen);
    if (!found) return;
    const { name, figures, price } = found;
    run({
      type: 'addFeed',
      feedId: freeId(figures.is, feeds),
      feed: {
        name,
        figures,
        from: null,
        at: null,
        ...(price === null ? {} : { had: { ownership: 'to buy', price } }),
      },
    });
  };
  const place = (id: string, { name, at }: Feed, key: 'xM' | 'yM') => (
    <NumberField
      inCell
      mayBeUnknown
      label={`${name}, ${key === 'xM' ? 'across' : 'up the plan'}`}
      unit="m"
      step={0.1}
      min={-1000}
      max={1000}
      value={at?.[key] ?? null}
      onCommit={(value) =>
        change(id, { at: value === null ? null : { xM: 0, yM: 0, ...at, [key]: value } })
      }
    />
  );
  return (
    <Box as="section" aria-label="Outlets, strips and supplies">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Outlets, strips and supplies
      </Text>
      {Object.keys(feeds).length === 0 ? (
        <Text fontSize="sm" mb="1">
          None is there yet. Say the outlets of the room and the strips you bring; what is plugged
          into them is then added up.
        </Text>
      ) : (
        <Box overflowX="auto">
          <Table.Root size="sm" variant="outline" aria-label="Outlets and strips">
            {head(['Name', 'Fed by', 'Sockets', 'Bears', 'Across, up', 'Had, for', ''])}
            <Table.Body>
              {inOrder(feeds).map(([id, feed]) => (
                <Table.Row key={id} bg="transparent">
                  <Table.Cell {...cell} minW="126px">
                    <NameField
                      hideLabel
                      label={`Name of ${feed.name}`}
                      value={feed.name}
                      onCommit={(name) => change(id, { name })}
                    />
                    <Text fontSize="xs" color="ink.soft">
                      {IS[feed.figures.is]}
                    </Text>
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <ChoiceField
                      inCell
                      width="124px"
                      label={`What feeds ${feed.name}`}
                      value={valueOf(feed.from)}
                      options={fedChoices(analysis.rig, true, id)}
                      onChoose={(value) => change(id, { from: fedByOf(value) })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    <NumberField
                      inCell
                      isWhole
                      label={`Sockets of ${feed.name}`}
                      unit=""
                      min={1}
                      max={48}
                      value={feed.figures.sockets}
                      onCommit={(sockets) =>
                        sockets !== null && change(id, { figures: { ...feed.figures, sockets } })
                      }
                    />
                  </Table.Cell>
                  <Table.Cell {...cell} whiteSpace="nowrap">
                    <Bears
                      name={feed.name}
                      figures={feed.figures}
                      onChange={(figures) => change(id, { figures })}
                    />
                  </Table.Cell>
                  <Table.Cell {...cell}>
                    {place(id, feed, 'xM')}
                    {place(id, feed, 'yM')}
                  </Table.Cell>
                  {feed.figures.is === 'outlet' ? (
                    <Table.Cell {...cell}>the house’s</Table.Cell>
                  ) : (
                    <HadCell
                      name={feed.name}
                      had={feed.had}
                      onChange={(had) => change(id, { had })}
                    />
                  )}
                  <Table.Cell {...cell}>
                    <Button
                      size="xs"
                      variant="outline"
                      aria-label={`Remove ${feed.name}`}
                      onClick={() => run({ type: 'removeFeed', feedId: id })}
                    >
                      Remove
                    </Button>
                  </Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Box>
      )}
      <Flex gap="2" mt="1.5" wrap="wrap" align="center">
        <Box>
          <ChoiceField
            inCell
            width="230px"
            label="What is added"
            value={chosen}
            options={CLASSES.map(({ id, name }) => ({ value: id, label: name }))}
            onChoose={setChosen}
          />
        </Box>
        <Button size="xs" variant="outline" onClick={add}>
          Add it
        </Button>
      </Flex>
    </Box>
  );
};
