'use client';

import { Box, Button, Text } from '@chakra-ui/react';
import type { LightAnswer, SetsAnswer, SimpleCommand } from '@echo-loom/core';
import { PlainTable } from '@/ui/PlainTable';
import { Missed } from './Missed';

interface Props {
  readonly found: SetsAnswer;
  readonly onTake: (label: string, commands: readonly SimpleCommand[]) => void;
}

const percentOf = (answer: LightAnswer | null, id: string): string => {
  const level = answer?.levels.find((one) => one.id === id);
  return level ? `${level.to.toFixed(1)} %` : '–';
};

/** The same lamps for every set: one setting for all of them, and a look for each. */
export const InSets = ({ found: { together, sets, looks }, onTake }: Props) => {
  const [first] = sets.flatMap(({ answer }) => answer ?? []);
  if (!first)
    return (
      <Text fontSize="sm" mt="1">
        There is no lamp to set, or nobody who is to be seen stands in any set.
      </Text>
    );
  return (
    <Box mt="2">
      {together && (
        <Missed
          before={`${together.isMet ? 'One' : 'No one'} setting does for all sets.`}
          answer={together}
        />
      )}
      <PlainTable
        label="Dimmers for each set"
        headings={['Lamp', 'Now', 'One for all', ...sets.map(({ name }) => name)]}
        lines={first.levels.map(({ id, name, now }) => ({
          id,
          head: name,
          cells: [
            `${now.toFixed(1)} %`,
            percentOf(together, id),
            ...sets.map(({ answer }) => percentOf(answer, id)),
          ],
        }))}
      />
      {sets.map(
        ({ setId, name, answer }) =>
          answer && !answer.isMet && <Missed key={setId} before={`${name}:`} answer={answer} />,
      )}
      {together && (
        <Button
          size="sm"
          mt="1.5"
          me="2"
          variant={together.isMet ? 'solid' : 'outline'}
          disabled={together.commands.length === 0}
          onClick={() => onTake('Set the light for every set', together.commands)}
        >
          {together.isMet
            ? 'Set the lamps so for all'
            : 'Set the lamps as near as one setting comes'}
        </Button>
      )}
      <Button
        size="sm"
        mt="1.5"
        bg="madder"
        color="madder.ink"
        onClick={() => onTake('Keep a look for each set', looks)}
      >
        Keep a look for each set
      </Button>
    </Box>
  );
};
