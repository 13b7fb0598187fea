'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { nameSchema, type RunClock } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { LookerField } from '@/features/built/LookerField';
import { useLooker } from '@/features/built/useLooker';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { planOf } from './begin';
import { Learned } from './Learned';
import { Logbook } from './Logbook';
import { useLogbook } from './useLogbook';

const REHEARSALS = [
  { value: '0', label: 'The show: time as it is' },
  { value: '1', label: 'A rehearsal' },
  { value: '10', label: 'A rehearsal, ten times as fast' },
  { value: '60', label: 'A rehearsal, sixty times as fast' },
];

/** Every run of the rig, and the beginning of the next. */
export const RunsView = () => {
  const rigId = useRigId();
  const router = useRouter();
  const analysis = useRig((state) => state.analysis);
  const revision = useRig(({ earlier, history }) => earlier + history.length);
  const [looker] = useLooker();
  const [people, setPeople] = useState(2);
  const [speed, setSpeed] = useState('0');
  const { logbook: answer, again } = useLogbook(rigId);
  const [says, setSays] = useState<string | null>(null);
  const [isBeginning, setBeginning] = useState(false);

  const begin = async () => {
    const by = nameSchema.safeParse(looker);
    if (!by.success) {
      setSays('Say who begins it: the name stands beside every tick.');
      return;
    }
    setBeginning(true);
    setSays(null);
    const id = nanoid();
    try {
      // A rehearsal counts from the server’s clock, so that every window of it shows the same.
      const around = await again();
      if (around.state !== 'there') throw new Error('away');
      const { serverMs } = around;
      const clock: RunClock =
        speed === '0'
          ? { is: 'real' }
          : { is: 'simulated', fromMs: serverMs, serverMs, speed: Number(speed) };
      const response = await fetch(`/api/rigs/${rigId}/runs`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, plan: planOf(analysis, revision, by.data, people, clock) }),
      });
      if (!response.ok)
        setSays(((await response.json()) as { says?: string }).says ?? 'It was not begun.');
      else router.push(`/rigs/${rigId}/runs/${id}`);
    } catch {
      setSays('The server does not answer; nothing was begun. Try again.');
    } finally {
      setBeginning(false);
    }
  };
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="2">
        Runs
      </Text>
      <Box
        as="form"
        maxW="30rem"
        mb="6"
        aria-label="Begin a run"
        onSubmit={(event) => {
          event.preventDefault();
          void begin();
        }}
      >
        <Flex direction="column" gap="2">
          <LookerField label="Who runs it" />
          <NumberField
            label="People there"
            unit=""
            value={people}
            min={1}
            max={200}
            isWhole
            onCommit={(value) => value !== null && setPeople(value)}
          />
          <ChoiceField
            label="Clock"
            value={speed}
            options={REHEARSALS}
            width="260px"
            onChoose={setSpeed}
          />
        </Flex>
        {says !== null && (
          <Text role="alert" fontSize="sm" color="level.stop" mt="2">
            {says}
          </Text>
        )}
        <Button type="submit" mt="3" loading={isBeginning} loadingText="Beginning…">
          Begin a run
        </Button>
      </Box>
      <Text as="h3" fontWeight="600" mb="1">
        Logbook
      </Text>
      {answer.state === 'asking' && <Text fontSize="sm">Reading the logbook…</Text>}
      {answer.state === 'failed' && (
        <Text fontSize="sm" role="alert">
          {answer.says}
        </Text>
      )}
      {answer.state === 'there' &&
        (answer.runs.length === 0 ? (
          <Text fontSize="sm" maxW="60ch">
            No run yet. A run takes the checklists through the day, opens the gate to live, keeps
            time, marks and incidents, and stands here afterwards.
          </Text>
        ) : (
          <>
            <Logbook rigId={rigId} runs={answer.runs} />
            <Learned runs={answer.runs} />
          </>
        ))}
    </Box>
  );
};
