'use client';

import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { entry, inOrder } from '@echo-loom/core';
import Link from 'next/link';
import { useState } from 'react';
import { useRig, useRigId, useRigSession } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import type { ChangeOverAnswer } from '@/workers/answers';
import { useTask } from '@/workers/useTask';
import { Marks } from './Marks';
import { Minutes } from './Minutes';
import { OwnList } from './OwnList';
import { Savings } from './Savings';
import { Tasks } from './Tasks';
import { clockText, Timeline } from './Timeline';

/** Everything but the furniture is put away. */
const AWAY = '';
const MOST_PEOPLE = 8;

const saved = ({ schedule, withOneMore }: ChangeOverAnswer): string | null => {
  if (!schedule.ok || !withOneMore.ok) return null;
  const gain = schedule.minutes - withOneMore.minutes;
  return gain > 0.01
    ? `One more person would make it ${clockText(withOneMore.minutes)}: ${clockText(gain)} less.`
    : 'One more person would save nothing: the longest chain takes as long.';
};

const byHandText = (byHandMin: number | null, minutes: number): string | null => {
  if (byHandMin === null) return null;
  const gain = byHandMin - minutes;
  return gain > 0.01
    ? `By hand it took ${clockText(byHandMin)}: this order takes ${clockText(gain)} less.`
    : `By hand it took ${clockText(byHandMin)}: no longer than this order takes.`;
};

const Answer = ({
  answer,
  people,
  byHandMin,
}: {
  readonly answer: ChangeOverAnswer;
  readonly people: number;
  readonly byHandMin: number | null;
}) => {
  const { tasks, schedule } = answer;
  if (tasks.length === 0)
    return <Text fontSize="sm">Nothing stands elsewhere: there is nothing to carry or plug.</Text>;
  const names = new Map(tasks.map(({ id, what }) => [id, what]));
  return (
    <>
      {schedule.ok ? (
        <>
          <Minutes tasks={tasks} schedule={schedule} people={people} />
          <Text fontSize="sm" mb="3">
            {[byHandText(byHandMin, schedule.minutes), saved(answer)].filter(Boolean).join(' ')}
          </Text>
          <Timeline tasks={tasks} schedule={schedule} people={people} />
        </>
      ) : (
        <Text role="alert" fontSize="sm" bg="madder.wash" p="2">
          {[...names].reduce(
            (says, [id, what]) => says.replace(`“${id}”`, `“${what}”`),
            schedule.why,
          )}
        </Text>
      )}
      <Savings answer={answer} names={names} />
      <Tasks tasks={tasks} names={names} />
    </>
  );
};

/** From one state of the room to a set: who carries and plugs what, when, and how long it takes. */
export const ChangeOverView = () => {
  const analysis = useRig((state) => state.analysis);
  const { run } = useRigSession();
  const rigId = useRigId();
  const sets = inOrder(analysis.rig.sets);
  const [from, setFrom] = useState(AWAY);
  const [wanted, setWanted] = useState<string | null>(null);
  const [people, setPeople] = useState(2);
  const to = sets.some(([id]) => id === wanted) ? wanted : (sets[0]?.[0] ?? null);
  const at = useTask<ChangeOverAnswer>({
    analysis,
    key: to === null ? null : `${from} ${to} ${people}`,
    ask: (tasks) => tasks.changeOver(from === AWAY ? null : from, to ?? '', people),
  });
  const byHandMin = to === null ? null : (entry(analysis.rig.sets, to)?.byHandMin ?? null);
  const named = sets.map(([value, { name }]) => ({ value, label: name }));
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex align="center" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Change-over
        </Text>
        {to !== null && (
          <Button
            ms="auto"
            size="sm"
            variant="outline"
            className="screen-only"
            onClick={() => window.print()}
          >
            Print with the marks
          </Button>
        )}
      </Flex>
      {to === null ? (
        <Text fontSize="sm" maxW="60ch">
          A change-over leads to a set: where everything stands for one look of the show. Keep one
          on the{' '}
          <Link href={`/rigs/${rigId}/plan`} style={{ textDecoration: 'underline' }}>
            plan
          </Link>
          , under Sets; it is then told here who carries and plugs what, and how long it takes.
        </Text>
      ) : (
        <>
          <Grid
            gap="4"
            templateColumns="repeat(auto-fill, minmax(17rem, 1fr))"
            mb="3"
            maxW="60rem"
            className="screen-only"
          >
            <Box>
              <ChoiceField
                label="From"
                value={from}
                options={[{ value: AWAY, label: 'Put away' }, ...named]}
                onChoose={setFrom}
              />
            </Box>
            <Box>
              <ChoiceField label="To" value={to} options={named} onChoose={setWanted} />
            </Box>
            <Box>
              <NumberField
                label="People"
                unit=""
                value={people}
                min={1}
                max={MOST_PEOPLE}
                isWhole
                onCommit={(next) => next !== null && setPeople(next)}
              />
            </Box>
            <Box>
              <NumberField
                label="What it took by hand"
                unit="min"
                value={byHandMin}
                min={0.25}
                max={600}
                mayBeUnknown
                onCommit={(minutes) => run({ type: 'setByHand', setId: to, minutes })}
              />
            </Box>
          </Grid>
          {at.state === 'failed' && (
            <Text role="alert" fontSize="sm">
              {at.says}
            </Text>
          )}
          {at.state === 'working' && <Text fontSize="sm">Trying orders…</Text>}
          {at.state === 'done' && (
            <Answer answer={at.value} people={people} byHandMin={byHandMin} />
          )}
          <Marks rig={analysis.rig} setId={to} />
        </>
      )}
      <OwnList />
    </Box>
  );
};
