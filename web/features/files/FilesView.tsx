'use client';

import { Box, Button, Field, Flex, Input, Text } from '@chakra-ui/react';
import {
  collisions,
  entry,
  filePlan,
  handOverCsv,
  handOverText,
  hoursText,
  inOrder,
  NAME_FIELDS,
  namedFiles,
  templateProblems,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { saveFile } from '@/ui/saveFile';
import { today } from '@/ui/today';
import { FolderCheck } from './FolderCheck';
import { Stores } from './Stores';
import { bytesText } from './words';

const MOST = 9999;

/** The files a show leaves: their names, how much they are, where copies go and how long that takes. */
export const FilesView = () => {
  const analysis = useRig((state) => state.analysis);
  const { run } = useRigSession();
  const { rig } = analysis;
  const { fileRules } = rig;
  const [date] = useState(today);
  const nextShow = inOrder(rig.shows)
    .map(([, { on }]) => on)
    .filter((on) => on >= date)
    .sort()[0];
  const [episode, setEpisode] = useState(1);
  const [draft, setDraft] = useState<string | null>(null);
  const plan = filePlan(analysis);
  const files = namedFiles(analysis, { date: nextShow ?? date, episode, take: 1 });
  const same = new Set(collisions(files, ({ driveId, name }) => `${driveId}/${name}`).flat());
  const problems = templateProblems(draft ?? fileRules.template);
  const keep = () => {
    if (draft !== null && draft !== '' && draft !== fileRules.template)
      run({ type: 'setFileRules', fileRules: { template: draft } });
    setDraft(null);
  };
  const rule = (
    label: string,
    key: 'keepMonths' | 'showsAYear' | 'workingFactor' | 'masterFactor',
    unit: string,
    most: number,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      value={fileRules[key]}
      min={key === 'keepMonths' ? 1 : 0}
      max={most}
      step={unit === '' && most === 20 ? 0.05 : 1}
      isWhole={most !== 20}
      mayBeUnknown={key === 'keepMonths'}
      {...(key === 'keepMonths' ? { whenEmpty: 'ever' } : {})}
      onCommit={(value) => run({ type: 'setFileRules', fileRules: { [key]: value } })}
    />
  );
  return (
    <Box overflowY="auto" p="4" flex="1">
      <Flex align="center" gap="3" wrap="wrap" mb="2">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Files
        </Text>
        <Text fontSize="sm" role="status">
          {files.length === 0
            ? ''
            : `${files.length} files a show, ${bytesText(plan.gbPerShow)}` +
              (same.size > 0 ? `; ${same.size} of them would be one` : '')}
        </Text>
        <Flex ms="auto" gap="2" wrap="wrap" className="screen-only">
          <Button
            size="sm"
            variant="outline"
            disabled={files.length === 0}
            onClick={() =>
              saveFile(`${rig.name} hand-over.csv`, 'text/csv', handOverCsv(rig, files))
            }
          >
            Hand-over as CSV
          </Button>
          <Button
            size="sm"
            variant="outline"
            disabled={files.length === 0}
            onClick={() =>
              saveFile(`${rig.name} hand-over.txt`, 'text/plain', handOverText(rig, files))
            }
          >
            As text
          </Button>
          <Button size="sm" variant="outline" onClick={() => window.print()}>
            Print
          </Button>
        </Flex>
      </Flex>
      <Field.Root maxW="44rem" invalid={problems.length > 0} className="screen-only">
        <Field.Label fontSize="sm">Names of files</Field.Label>
        <Input
          size="sm"
          className="figures"
          maxLength={200}
          value={draft ?? fileRules.template}
          onChange={({ target }) => setDraft(target.value)}
          onBlur={keep}
          onKeyDown={({ key }) => {
            if (key === 'Enter') keep();
            if (key === 'Escape') setDraft(null);
          }}
        />
        {problems.map((says) => (
          <Field.ErrorText key={says}>{says}</Field.ErrorText>
        ))}
        <Text fontSize="xs" color="ink.soft">
          {Object.entries(NAME_FIELDS)
            .map(([field, says]) => `{${field}} ${says.charAt(0).toLowerCase()}${says.slice(1)}`)
            .join(' · ')}
        </Text>
      </Field.Root>
      <Box maxW="30rem" mt="2" mb="4" className="screen-only">
        <NumberField
          label="Episode"
          unit=""
          value={episode}
          min={1}
          max={MOST}
          isWhole
          onCommit={(value) => value !== null && setEpisode(value)}
        />
        {rule('Shows a year', 'showsAYear', '', 5000)}
        {rule('Kept for so many months', 'keepMonths', '', 1200)}
        {rule('Working files of an edit, of what was recorded', 'workingFactor', '', 20)}
        {rule('The master, of what was recorded', 'masterFactor', '', 20)}
      </Box>
      {files.length === 0 ? (
        <Text fontSize="sm" maxW="60ch">
          Nothing is recorded yet: the brief says what is delivered, and a recorder or a computer
          with a drive writes it.
        </Text>
      ) : (
        <PlainTable
          label="Files of a show"
          headings={['Name', 'What is in it', 'Drive', 'Size', 'Pieces']}
          lines={files.map((file) => ({
            id: file.key,
            head: file.name,
            isMarked: same.has(file),
            cells: [
              file.of,
              entry(rig.devices, file.driveId)?.name ?? file.driveId,
              bytesText(file.gb),
              file.pieces === 1 ? '1' : `${file.pieces}, joined in the edit`,
            ],
          }))}
        />
      )}
      {files.length > 0 && (
        <Box mt="4" maxW="40rem">
          <PlainTable
            label="How much it is"
            headings={['', 'Recorded']}
            lines={[
              ['An hour', bytesText(plan.gbPerHour)],
              ['A show', bytesText(plan.gbPerShow)],
              ['A month', bytesText(plan.gbPerMonth)],
              ['A year', bytesText(plan.gbPerYear)],
              ...(plan.gbKept === null
                ? []
                : [[`Kept, ${fileRules.keepMonths} months`, bytesText(plan.gbKept)] as const]),
              [
                'An edit adds',
                `${bytesText(plan.workingGb)}, the master ${bytesText(plan.masterGb)}`,
              ],
              [
                'The master up the line',
                plan.uploadH === null ? 'the line is not measured' : hoursText(plan.uploadH * 60),
              ],
            ].map(([head, value]) => ({ id: head ?? '', head, cells: [value] }))}
            note="GB an hour = Mb/s × 0.45; gigabytes are 10⁹ bytes."
          />
        </Box>
      )}
      <Stores rig={rig} plan={plan} />
      {files.length > 0 && <FolderCheck />}
    </Box>
  );
};
