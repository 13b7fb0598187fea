'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entry, logToChapters, logToCsv, logToEdl, type RunEvent } from '@echo-loom/core';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { eventsOf } from '@/session/logbook';
import type { RunLine } from '@/session/protocol';
import { saveFile } from '@/ui/saveFile';
import { EditListForm, FIRST_LIST } from './EditListForm';
import { zoneMin } from './local';

/** The log of a run as files: a table, a list for the edit, chapters. */
export const RunFiles = ({ rigId, run }: { readonly rigId: string; readonly run: RunLine }) => {
  const rig = useRig((state) => state.rig);
  const [list, setList] = useState(FIRST_LIST);
  const [says, setSays] = useState<string | null>(null);
  const { plan } = run;
  const day = new Date(run.liveMs ?? Date.parse(run.at)).toISOString().slice(0, 10);
  const name = (suffix: string) => `${plan.name} ${day} ${suffix}`;
  const withEvents = async (take: (events: RunEvent[]) => string | null) => {
    try {
      setSays(take(await eventsOf(rigId, run.id)));
    } catch {
      setSays('The server does not answer; nothing was taken out. Try again.');
    }
  };
  const csv = () =>
    withEvents((events) => {
      saveFile(
        name('log.csv'),
        'text/csv',
        logToCsv(
          plan,
          events,
          (id) => entry(rig.devices, id)?.name ?? id,
          zoneMin(run.liveMs ?? Date.parse(run.at)),
        ),
      );
      return null;
    });
  const chapters = () =>
    withEvents((events) => {
      const text = logToChapters(plan, events);
      if (text === '') return 'The show was not live: there are no chapters.';
      saveFile(name('chapters.txt'), 'text/plain', text);
      return null;
    });
  const edl = () =>
    withEvents((events) => {
      const made = logToEdl(plan, events, { title: plan.name, ...list });
      if ('why' in made) return made.why;
      made.lists.forEach((text, at) =>
        saveFile(
          name(made.lists.length === 1 ? 'marks.edl' : `marks ${at + 1}.edl`),
          'text/plain',
          text,
        ),
      );
      if (made.lists.length === 0) return 'There is nothing to list.';
      return made.leftOut > 0
        ? `${made.leftOut} left out: they lie before live or before the recording began.`
        : null;
    });
  return (
    <Box as="section" aria-label="Take out" mt="4" maxW="40rem">
      <Flex gap="2" wrap="wrap">
        <Button size="sm" variant="outline" onClick={() => void csv()}>
          Log as CSV
        </Button>
        <Button size="sm" variant="outline" onClick={() => void chapters()}>
          Chapters as text
        </Button>
        <Button size="sm" variant="outline" onClick={() => void edl()}>
          Marks as edit list
        </Button>
      </Flex>
      <EditListForm day={day} value={list} onChange={setList} />
      {says !== null && (
        <Text role="status" fontSize="sm" mt="2">
          {says}
        </Text>
      )}
    </Box>
  );
};
