'use client';

import { Box, Text } from '@chakra-ui/react';
import {
  compareFiles,
  type ComparedFiles,
  entry,
  filmText,
  type FoundFile,
  showOnDrives,
} from '@echo-loom/core';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';
import { PlainTable } from '@/ui/PlainTable';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Files } from './Files';
import { Running } from './Running';

const OURS = ['flash-and-beep.webm', 'lost-frames.webm', 'voice.wav'] as const;
const SAYS =
  'The files of a show against what the rig should have written: choose the folder, or drop files here.';

/** 0.4 GB, 179.0 GB, 8.23 TB */
const size = (gb: number): string =>
  gb >= 1000 ? `${(gb / 1000).toFixed(2)} TB` : `${gb.toFixed(gb < 1 ? 2 : 1)} GB`;

const clock = (lengthS: number): string =>
  new Date(1000 * Math.round(lengthS)).toISOString().slice(11, 19);

/** What one show leaves on each drive, and how many fit. */
const OnDrives = () => {
  const analysis = useRig((state) => state.analysis);
  const { drives, gbPerHour, gbPerShow, lengthMin } = showOnDrives(analysis);
  const [aYear, setAYear] = useState(46);
  if (drives.length === 0)
    return (
      <Text fontSize="sm" color="ink.soft" mb="3">
        Nothing of this rig is recorded yet: lead a recording to a file or a recorder.
      </Text>
    );
  return (
    <Box mb="3">
      <PlainTable
        label="What a show leaves"
        headings={['Drive', 'Files', 'An hour', 'A show', 'Holds', 'Full after']}
        lines={[
          ...drives.map((drive) => ({
            id: drive.deviceId,
            head: entry(analysis.rig.devices, drive.deviceId)?.name ?? drive.deviceId,
            cells: [
              String(drive.files.length),
              size(drive.gbPerHour),
              size(drive.gbPerShow),
              drive.capacityGb === null ? 'not known' : size(drive.capacityGb),
              drive.shows === null ? '—' : `${drive.shows} ${drive.shows === 1 ? 'show' : 'shows'}`,
            ],
            isMarked: drive.shows === 0,
          })),
          {
            id: 'all',
            head: 'All',
            cells: ['', size(gbPerHour), size(gbPerShow), '', ''],
          },
        ]}
        note={
          lengthMin === null
            ? 'How long the show lasts is said in the brief.'
            : `A show of ${lengthMin} min. GB an hour are Mb/s × 0.45; a GB is 10⁹ bytes.`
        }
      />
      <Box maxW="22rem" mt="1.5">
        <NumberField
          label="Shows a year"
          unit=""
          step={1}
          isWhole
          min={1}
          max={1000}
          value={aYear}
          onCommit={(value) => value !== null && setAYear(value)}
        />
        <Text fontSize="sm" mt="1">
          {aYear} shows are {size(aYear * gbPerShow)}, one copy; three copies{' '}
          {size(3 * aYear * gbPerShow)}.
        </Text>
      </Box>
    </Box>
  );
};

const factsText = ({ picture, sound, lengthS, bytes }: FoundFile): string =>
  [
    lengthS === null ? null : clock(lengthS),
    bytes < 1e8 ? `${(bytes / 1e6).toFixed(1)} MB` : size(bytes / 1e9),
    picture ? filmText(picture) : null,
    sound && !picture ? `${sound.channels} × ${sound.rateHz} Hz` : null,
  ]
    .filter((part) => part !== null)
    .join(', ');

const Compared = ({ files, missing }: ComparedFiles) => (
  <Box mt="3">
    <PlainTable
      label="Files against the plan"
      headings={['File', 'Is', 'Most likely', 'Not as planned']}
      lines={files.map(({ found, planned, isByName, says }, at) => ({
        id: `${at} ${found.name}`,
        head: found.name,
        cells: [
          factsText(found),
          planned ? planned.name + (isByName ? '' : ', by what it is') : '—',
          says.length === 0 ? 'nothing' : `${says.join('; ')}.`,
        ],
        isMarked: says.length > 0,
      }))}
    />
    <Text fontSize="sm" mt="2" color={missing.length > 0 ? 'madder' : undefined}>
      {missing.length === 0
        ? 'Every file that was planned is there.'
        : `Nothing here looks like: ${missing.map(({ name }) => name).join(', ')}.`}
    </Text>
  </Box>
);

/** What a show leaves on its drives, and whether it did. */
export const ShowFiles = () => {
  const analysis = useRig((state) => state.analysis);
  const { at, begin, cancel } = useMeasuring<readonly FoundFile[]>();
  const show = showOnDrives(analysis);
  const planned = show.drives.flatMap(({ files }) => files);
  return (
    <Box as="section" aria-label="Files of a show">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Files of a show
      </Text>
      <OnDrives />
      <Files
        label="Choose a folder"
        says={SAYS}
        least={1}
        ours={OURS}
        isFolder
        isBusy={at.state === 'running'}
        onFiles={(files) => begin((tasks, tell) => tasks.files(files, tell))}
      />
      <Running at={at} onCancel={cancel} />
      {at.state === 'done' && <Compared {...compareFiles(at.value, planned, show.lengthMin)} />}
    </Box>
  );
};
