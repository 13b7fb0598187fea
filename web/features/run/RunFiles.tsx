'use client';

import { Box, Button, Checkbox, Field, Flex, Input, Text } from '@chakra-ui/react';
import {
  entry,
  logToChapters,
  logToCsv,
  logToEdl,
  mayDrop,
  rateName,
  type RunEvent,
  TIMECODE_RATES,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { eventsOf } from '@/session/logbook';
import type { RunLine } from '@/session/protocol';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import { saveFile } from '@/ui/saveFile';
import { zoneMin } from './local';

/** The log of a run as files: a table, a list for the edit, chapters. */
export const RunFiles = ({ rigId, run }: { readonly rigId: string; readonly run: RunLine }) => {
  const rig = useRig((state) => state.rig);
  const [rateAt, setRateAt] = useState('2');
  const [isDrop, setDrop] = useState(false);
  const [start, setStart] = useState('01:00:00:00');
  const [reel, setReel] = useState('PROGRAM');
  const [offsetMs, setOffsetMs] = useState(0);
  const [says, setSays] = useState<string | null>(null);
  const rate = TIMECODE_RATES[Number(rateAt)] ?? TIMECODE_RATES[0];
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
      if (!rate) return null;
      const drops = isDrop && mayDrop(rate);
      const made = logToEdl(plan, events, {
        title: plan.name,
        rate,
        isDrop: drops,
        start,
        reel,
        offsetMs,
      });
      if ('why' in made) return made.why;
      made.lists.forEach((list, at) =>
        saveFile(
          name(made.lists.length === 1 ? 'marks.edl' : `marks ${at + 1}.edl`),
          'text/plain',
          list,
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
      <Flex direction="column" gap="2" mt="3" role="group" aria-label="Edit list">
        <ChoiceField
          label="Frames a second of the edit"
          value={rateAt}
          options={TIMECODE_RATES.map((each, at) => ({ value: String(at), label: rateName(each) }))}
          onChoose={setRateAt}
        />
        {rate && mayDrop(rate) && (
          <Checkbox.Root
            size="sm"
            checked={isDrop}
            onCheckedChange={({ checked }) => setDrop(checked === true)}
          >
            <Checkbox.HiddenInput />
            <Checkbox.Control />
            <Checkbox.Label>
              Drop-frame: numbers left out, so that the clock is right
            </Checkbox.Label>
          </Checkbox.Root>
        )}
        <Field.Root orientation="horizontal" justifyContent="space-between">
          <Field.Label fontSize="sm" fontWeight="400" whiteSpace="nowrap">
            Timecode of the first frame of the show
          </Field.Label>
          <Input
            size="sm"
            width="12rem"
            value={start}
            onChange={({ target }) => setStart(target.value)}
          />
        </Field.Root>
        <Field.Root orientation="horizontal" justifyContent="space-between">
          <Field.Label fontSize="sm" fontWeight="400" whiteSpace="nowrap">
            Name of the recording
          </Field.Label>
          <Input
            size="sm"
            width="12rem"
            value={reel}
            onChange={({ target }) => setReel(target.value)}
          />
        </Field.Root>
        <NumberField
          label="The recording shows the same moment later by"
          unit="ms"
          value={offsetMs}
          min={-3_600_000}
          max={3_600_000}
          onCommit={(value) => value !== null && setOffsetMs(value)}
        />
      </Flex>
      {says !== null && (
        <Text role="status" fontSize="sm" mt="2">
          {says}
        </Text>
      )}
    </Box>
  );
};
