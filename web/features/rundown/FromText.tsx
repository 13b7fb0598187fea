'use client';

import { Box, Button, Flex, Input, Text, Textarea } from '@chakra-ui/react';
import { durationText, freeId, readRundown, type SimpleCommand } from '@echo-loom/core';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';

const MOST_CHARACTERS = 200_000;
const MOST_SEGMENTS = 200;

/** A rundown that somebody typed or exported: read as it is pasted, told, then added or put in place. */
export const FromText = ({ onDone }: { readonly onDone: () => void }) => {
  const rig = useRig((state) => state.rig);
  const { run } = useRigSession();
  const [text, setText] = useState('');
  const [says, setSays] = useState<string | null>(null);
  const { segments, faults } = readRundown(text, rig);
  const lengthS = segments.reduce((sum, segment) => sum + segment.lengthS, 0);
  const take = (isInstead: boolean) => {
    const removed: SimpleCommand[] = isInstead
      ? Object.keys(rig.segments).map((segmentId) => ({ type: 'removeSegment', segmentId }))
      : [];
    const taken = { ...(isInstead ? {} : rig.segments) } as Record<string, unknown>;
    const added = segments.map((segment): SimpleCommand => {
      const segmentId = freeId(segment.title, { ...rig.segments, ...taken });
      taken[segmentId] = segment;
      return { type: 'addSegment', segmentId, segment };
    });
    const isDone = run({
      type: 'batch',
      label: `Took a rundown of ${segments.length} segments`,
      commands: [...removed, ...added],
    });
    if (isDone) onDone();
  };
  const isTooMany = segments.length > MOST_SEGMENTS;
  return (
    <Box as="section" aria-label="Rundown from text" maxW="44rem" mb="4">
      <Textarea
        aria-label="Segments as text"
        rows={7}
        placeholder={'Hello 4:00\nAt the wheel 25 min\nGoodbye 6:00'}
        value={text}
        maxLength={MOST_CHARACTERS}
        onChange={({ target }) => setText(target.value)}
      />
      <Input
        type="file"
        size="sm"
        mt="2"
        aria-label="A file with segments"
        accept=".csv,.txt,text/plain,text/csv"
        onChange={({ target }) => {
          const file = target.files?.[0];
          if (!file) return;
          if (file.size > MOST_CHARACTERS) {
            setSays('The file is too large for a rundown; nothing was read.');
            return;
          }
          setSays(null);
          void file
            .text()
            .then(setText)
            .catch(() => setSays('The file cannot be read; choose it again.'));
        }}
      />
      {says !== null && (
        <Text role="alert" fontSize="sm" color="level.stop">
          {says}
        </Text>
      )}
      {faults.length > 0 && (
        <Box as="ul" listStyleType="none" fontSize="sm" color="level.stop" mt="1" role="status">
          {faults.slice(0, 12).map(({ line, says: what }) => (
            <li key={line}>{`Line ${line}: ${what}.`}</li>
          ))}
          {faults.length > 12 && <li>{`and ${faults.length - 12} more`}</li>}
        </Box>
      )}
      {segments.length > 0 && (
        <Text fontSize="sm" mt="1">
          {`${segments.length} segments, ${durationText(lengthS)}.`}
          {faults.length > 0 ? ' The lines above are left out.' : ''}
          {isTooMany ? ` At most ${MOST_SEGMENTS} are taken at once.` : ''}
        </Text>
      )}
      <Flex gap="2" mt="2">
        <Button size="sm" disabled={segments.length === 0 || isTooMany} onClick={() => take(false)}>
          Add them
        </Button>
        <Button
          size="sm"
          variant="outline"
          disabled={segments.length === 0 || isTooMany || Object.keys(rig.segments).length === 0}
          onClick={() => take(true)}
        >
          Put them in place of these
        </Button>
        <Button size="sm" variant="ghost" onClick={onDone}>
          Cancel
        </Button>
      </Flex>
    </Box>
  );
};
