'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Analysis, type Chosen, type TakenStep, verdictText } from '@echo-loom/core';
import { useMoney } from '@/features/rig/Studio';
import { useRigSession } from '@/features/rig/RigProvider';
import { useTask } from '@/workers/useTask';

interface Props {
  readonly analysis: Analysis;
  readonly chosen: readonly Chosen[];
  readonly onClear: () => void;
}

const HOW: Readonly<Record<TakenStep['how'], string | null>> = {
  'as chosen': null,
  'another way': 'done another way, for want of room beside the others',
  'not needed': 'not needed: another of them mends it',
  'not possible': 'not possible beside the others; left out',
};

/** What the chosen remedies come to together, before they are done as one edit. */
export const ChosenBar = ({ analysis, chosen, onClear }: Props) => {
  const { run } = useRigSession();
  const money = useMoney();
  const at = useTask({
    analysis,
    key: chosen.length === 0 ? null : chosen.map(({ key }) => key).join('\n'),
    ask: (tasks) => tasks.together(chosen),
  });
  if (chosen.length === 0) return null;
  const done = at.state === 'done' ? at.value : null;
  const { stops, warns, notes } = analysis.verdict;
  return (
    <Box
      role="region"
      aria-label="The chosen remedies together"
      position="sticky"
      bottom="0"
      bg="paper.card"
      borderWidth="1px"
      borderColor="madder"
      p="3"
      className="screen-only"
    >
      <Flex gap="3" align="center" wrap="wrap">
        <Text fontSize="sm" flex="1 1 30ch" aria-live="polite">
          <b>{chosen.length} chosen.</b>{' '}
          {done
            ? `Together: ${verdictText(done.after).toLowerCase()}, from ` +
              `${verdictText({ stops, warns, notes }).toLowerCase()}` +
              `${done.cost > 0 ? `, for ${money(done.cost)}` : ''}.`
            : at.state === 'failed'
              ? `They could not be tried together: ${at.says}`
              : 'Trying them together …'}
        </Text>
        <Button
          size="sm"
          bg="madder"
          color="madder.ink"
          disabled={!done || done.commands.length === 0}
          onClick={() =>
            done &&
            run({
              type: 'batch',
              label: `${chosen.length} remedies together`,
              commands: [...done.commands],
            })
          }
        >
          {chosen.length === 1 ? 'Do it' : `Do all ${chosen.length}`}
        </Button>
        <Button size="sm" variant="outline" onClick={onClear}>
          Choose none
        </Button>
      </Flex>
      {done?.steps.map(
        ({ key, label, how }) =>
          HOW[how] && (
            <Text key={key} fontSize="xs" color="ink.soft">
              {label}: {HOW[how]}.
            </Text>
          ),
      )}
      {done && done.brings.length > 0 && (
        <Text fontSize="xs" color="ink.soft">
          Brings: {[...new Set(done.brings.map(({ title }) => title))].join('; ')}.
        </Text>
      )}
    </Box>
  );
};
