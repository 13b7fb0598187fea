'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  type CheckedFile,
  checkFolder,
  type FolderCheck as Checked,
  inOrder,
  showOnDrives,
  sumsText,
  type SummedFile,
} from '@echo-loom/core';
import { useState } from 'react';
import { LookerField } from '@/features/built/LookerField';
import { useLooker } from '@/features/built/useLooker';
import { Files } from '@/features/measure/Files';
import { Running } from '@/features/measure/Running';
import { useRig, useRigId } from '@/features/rig/RigProvider';
import { momentText, serverNowMs, useLogbook } from '@/features/run/useLogbook';
import { addToRun, eventsOf } from '@/session/logbook';
import { ChoiceField } from '@/ui/ChoiceField';
import { saveFile } from '@/ui/saveFile';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { FolderFound } from './FolderFound';
import { checkedBefore } from './words';

interface Read {
  readonly found: readonly SummedFile[];
  readonly before: readonly CheckedFile[];
}

const SAYS =
  'Every file is read to its last byte: held against the plan, against what was checked before, and given a checksum.';
/** The drive or card itself, before anything was copied */
const ITSELF = '';

/** A folder against the plan of the show and against earlier checks; what it holds is kept in the logbook. */
export const FolderCheck = () => {
  const rigId = useRigId();
  const analysis = useRig((state) => state.analysis);
  const [looker] = useLooker();
  const { logbook, again } = useLogbook(rigId);
  const [chosen, setChosen] = useState<string | null>(null);
  const [place, setPlace] = useState(ITSELF);
  const [says, setSays] = useState<string | null>(null);
  const [isKeeping, setKeeping] = useState(false);
  const { at, begin, cancel } = useMeasuring<Read>();
  const show = showOnDrives(analysis);
  const planned = show.drives.flatMap(({ files }) => files);
  const runs =
    logbook.state === 'there' ? logbook.runs.filter(({ liveMs }) => liveMs !== null) : [];
  const run = runs.find(({ id }) => id === chosen) ?? runs[0];
  const stores = inOrder(analysis.rig.stores);
  const check: Checked | null =
    at.state === 'done'
      ? checkFolder(at.value.found, planned, show.lengthMin, at.value.before)
      : null;
  const read = (files: readonly File[]) => {
    setSays(null);
    begin(async (tasks, tell) => ({
      before: run ? checkedBefore(await eventsOf(rigId, run.id), place) : [],
      found: await tasks.summed(files, tell),
    }));
  };
  const keep = async () => {
    if (!run || !check || logbook.state !== 'there') return;
    if (looker.trim() === '') {
      setSays('Say who checks: the name stands beside it.');
      return;
    }
    setKeeping(true);
    const refused = await addToRun(
      rigId,
      run.id,
      looker.trim(),
      serverNowMs(logbook),
      check.drives.map((drive) => ({
        is: 'checked',
        check: { ...drive, storeId: place === ITSELF ? null : place },
      })),
    );
    await again();
    setKeeping(false);
    setSays(refused ?? 'Kept: the board of episodes says what may be formatted.');
  };
  return (
    <Box as="section" aria-label="Check a folder" mt="6" maxW="60rem" className="screen-only">
      <Text as="h3" fontWeight="600" mb="1">
        Check a folder
      </Text>
      <Box maxW="34rem" mb="2">
        {runs.length > 0 && (
          <ChoiceField
            label="Of the show of"
            value={run?.id ?? ''}
            width="260px"
            options={runs.map(({ id, liveMs, at: begun }) => ({
              value: id,
              label: momentText(liveMs ?? Date.parse(begun)),
            }))}
            onChoose={setChosen}
          />
        )}
        <ChoiceField
          label="The folder is on"
          value={place}
          width="260px"
          options={[
            { value: ITSELF, label: 'the drive or card itself' },
            ...stores.map(([value, { name }]) => ({ value, label: name })),
          ]}
          onChoose={setPlace}
        />
        <LookerField label="Who checks" />
      </Box>
      <Files
        label="Choose a folder to check"
        says={SAYS}
        least={1}
        ours={[]}
        isFolder
        isBusy={at.state === 'running'}
        onFiles={read}
      />
      <Running at={at} onCancel={cancel} />
      {check && (
        <>
          <FolderFound check={check} />
          <Flex gap="2" mt="2" wrap="wrap">
            <Button
              size="sm"
              disabled={!run || check.drives.length === 0}
              loading={isKeeping}
              onClick={() => void keep()}
            >
              Keep in the logbook
            </Button>
            <Button
              size="sm"
              variant="outline"
              onClick={() =>
                saveFile(
                  'checksums.sha256',
                  'text/plain',
                  sumsText(check.files.map(({ found }) => found)),
                )
              }
            >
              Checksums as text
            </Button>
          </Flex>
          {!run && (
            <Text fontSize="sm" mt="1">
              It can be kept once a show was live: there is none in the logbook.
            </Text>
          )}
        </>
      )}
      {says !== null && (
        <Text role="status" fontSize="sm" mt="2">
          {says}
        </Text>
      )}
    </Box>
  );
};
