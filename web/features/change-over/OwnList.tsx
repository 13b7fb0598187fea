'use client';

import { Box, Text, Textarea } from '@chakra-ui/react';
import { readTaskList, type Schedule } from '@echo-loom/core';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { useTask } from '@/workers/useTask';
import { Minutes } from './Minutes';
import { Timeline } from './Timeline';

const MOST_CHARACTERS = 20_000;
const MOST_PEOPLE = 8;
const SHOWN_FAULTS = 8;
const SOME = 'Task,Minutes,People,After\nTable,2,2\nCamera,1.5,1,Table\nCheck,2,2,Table + Camera';

/** Tasks that no rig knows of, typed or pasted: the shortest order for the people there are. */
export const OwnList = () => {
  const analysis = useRig((state) => state.analysis);
  const [text, setText] = useState('');
  const [people, setPeople] = useState(2);
  const { tasks, faults } = readTaskList(text);
  const at = useTask<Schedule>({
    analysis,
    key: tasks.length === 0 ? null : JSON.stringify([tasks, people]),
    ask: (worker) => worker.schedule(tasks, people),
  });
  return (
    <Box
      as="details"
      aria-label="A list of your own"
      mt="6"
      maxW="60rem"
      className={tasks.length === 0 ? 'screen-only' : undefined}
    >
      <Box as="summary" fontWeight="600" cursor="pointer" py="1">
        A list of your own
      </Box>
      <Text fontSize="sm" color="ink.soft" mb="2">
        For what no rig knows: a line each with the task, its minutes, its people, and what must
        come first, joined by +. It is reckoned here and kept nowhere.
      </Text>
      <Textarea
        aria-label="Tasks"
        rows={6}
        className="figures screen-only"
        placeholder={SOME}
        value={text}
        maxLength={MOST_CHARACTERS}
        onChange={({ target }) => setText(target.value)}
      />
      <Box maxW="16rem" my="2" className="screen-only">
        <NumberField
          label="People for this list"
          unit=""
          value={people}
          min={1}
          max={MOST_PEOPLE}
          isWhole
          onCommit={(next) => next !== null && setPeople(next)}
        />
      </Box>
      {faults.length > 0 && (
        <Box as="ul" listStyleType="none" fontSize="sm" color="level.stop" role="status">
          {faults.slice(0, SHOWN_FAULTS).map(({ line, says }) => (
            <li key={line}>{`Line ${line}: ${says}.`}</li>
          ))}
          {faults.length > SHOWN_FAULTS && <li>{`and ${faults.length - SHOWN_FAULTS} more`}</li>}
        </Box>
      )}
      {at.state === 'failed' && (
        <Text role="alert" fontSize="sm">
          {at.says}
        </Text>
      )}
      {at.state === 'working' && tasks.length > 0 && <Text fontSize="sm">Trying orders…</Text>}
      {at.state === 'done' &&
        tasks.length > 0 &&
        (at.value.ok ? (
          <>
            <Minutes tasks={tasks} schedule={at.value} people={people} />
            <Timeline
              tasks={tasks.map((task) => ({ ...task, what: task.id, where: '' }))}
              schedule={at.value}
              people={people}
            />
          </>
        ) : (
          <Text role="alert" fontSize="sm" bg="madder.wash" p="2">
            {at.value.why}
          </Text>
        ))}
    </Box>
  );
};
