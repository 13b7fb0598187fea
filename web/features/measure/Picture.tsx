'use client';

import { Box, Text } from '@chakra-ui/react';
import {
  type Analysis,
  entry,
  filmBeside,
  filmText,
  formatName,
  isDoubled,
  type PlannedFile,
  showOnDrives,
} from '@echo-loom/core';
import type { Stretch } from '@echo-loom/core/signal';
import { useState } from 'react';
import { useRig } from '@/features/rig/RigProvider';
import { ChoiceField } from '@/ui/ChoiceField';
import { PlainTable } from '@/ui/PlainTable';
import type { PictureFound } from '@/workers/measuring/film-tasks';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Files } from './Files';
import { Running } from './Running';
import { StillPicture } from './StillPicture';

const OURS = ['lost-frames.webm'] as const;
const SAYS =
  'What a film really is, beside what was planned: its size and rate, frames that are lost or doubled, ' +
  'black, and how bright a face is.';
const NOTE =
  'Size and rate by every frame of the file; doubled and still pictures and black by its first minute.';
/** Stretches that are named */
const NAMED = 4;

const seconds = (s: number): string => `${s.toFixed(1)} s`;

const stretches = (found: readonly Stretch[]): string =>
  found.length === 0
    ? 'none'
    : found
        .slice(0, NAMED)
        .map(({ fromS, toS }) => `${seconds(fromS)} to ${seconds(toS)}`)
        .join(', ') + (found.length > NAMED ? ` and ${found.length - NAMED} more` : '');

const lostText = ({ pace }: PictureFound): string =>
  !pace || pace.missing === 0
    ? 'none'
    : `${pace.missing}, at ${pace.gaps
        .slice(0, NAMED)
        .map(({ atS }) => seconds(atS))
        .join(', ')}${pace.gaps.length > NAMED ? ' and later' : ''}`;

const repeatedText = ({ shown }: PictureFound): string => {
  if (!shown) return 'not read';
  if (shown.repeated === 0) return 'none';
  return shown.everyNth === null
    ? `${shown.repeated} of ${shown.frames}`
    : `every ${shown.everyNth}th: made of a lower rate`;
};

const rangeText = ({ isFullRange, isHdr }: PictureFound): string =>
  (isFullRange === null
    ? 'not said in the file'
    : isFullRange
      ? 'full, 0 to 255'
      : 'limited, 16 to 235') + (isHdr ? ', HDR' : '');

const linesOf = (found: PictureFound) => {
  const { facts, pace, width, height, shown, codec, sound } = found;
  const line = (id: string, head: string, cell: string, isMarked = false) => ({
    id,
    head,
    cells: [cell],
    isMarked,
  });
  return [
    line('size', 'Picture', facts ? filmText(facts) : `${width} × ${height}`),
    line(
      'pace',
      'Frames come',
      !pace ? 'too few to tell' : pace.isConstant ? 'evenly' : 'unevenly',
      pace?.isConstant === false,
    ),
    line('lost', 'Lost frames', lostText(found), (pace?.missing ?? 0) > 0),
    line('doubled', 'Doubled frames', repeatedText(found), shown !== null && isDoubled(shown)),
    line(
      'still',
      'Stands still',
      shown ? stretches(shown.still) : 'not read',
      (shown?.still.length ?? 0) > 0,
    ),
    line(
      'black',
      'Black',
      shown ? stretches(shown.black) : 'not read',
      (shown?.black.length ?? 0) > 0,
    ),
    line('range', 'Range', rangeText(found)),
    line('made', 'Made with', sound ? `${codec}, sound ${sound}` : `${codec}, no sound`),
  ];
};

const plannedPictures = (analysis: Analysis): readonly PlannedFile[] =>
  showOnDrives(analysis).drives.flatMap(({ files }) =>
    files.filter(({ format }) => format !== null),
  );

/** The film beside one file that the rig should write. */
const Beside = ({ found }: { readonly found: PictureFound }) => {
  const analysis = useRig((state) => state.analysis);
  const planned = plannedPictures(analysis);
  const [chosen, setChosen] = useState('');
  const plan = planned.find(({ key }) => key === chosen) ?? planned[0];
  if (!plan?.format)
    return (
      <Text fontSize="sm" color="ink.soft" mt="2">
        No picture is recorded in this rig yet, so there is no plan to hold it against.
      </Text>
    );
  const says = found.facts ? filmBeside(found.facts, plan.format) : [];
  const drive = entry(analysis.rig.devices, plan.deviceId)?.name ?? plan.deviceId;
  return (
    <Box mt="2">
      <ChoiceField
        label="It should be"
        width="300px"
        value={plan.key}
        options={planned.map((file) => ({ value: file.key, label: file.name }))}
        onChoose={setChosen}
      />
      <Text fontSize="sm" mt="1" color={says.length > 0 ? 'madder' : undefined}>
        {formatName(plan.format)} is planned, on {drive}.{' '}
        {says.length === 0 ? 'It is as planned.' : `It is not as planned: ${says.join('; ')}.`}
      </Text>
    </Box>
  );
};

/** What the picture of a film is, beside what was planned. */
export const Picture = () => {
  const { at, begin, cancel } = useMeasuring<PictureFound>();
  const found = at.state === 'done' ? at.value : null;
  return (
    <Box as="section" aria-label="Picture">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Picture
      </Text>
      <Files
        label="Choose a film"
        says={SAYS}
        least={1}
        ours={OURS}
        isBusy={at.state === 'running'}
        onFiles={([file]) => file && begin((tasks, tell) => tasks.picture(file, tell))}
      />
      <Running at={at} onCancel={cancel} />
      {found && (
        <Box mt="3">
          <PlainTable
            label={`The picture of ${found.name}`}
            headings={[found.name, 'Is']}
            lines={linesOf(found)}
            note={NOTE}
          />
          {found.unread && (
            <Text fontSize="sm" color="madder" mt="2">
              {found.unread} Its size, rate and lost frames are right all the same.
            </Text>
          )}
          <Beside found={found} />
          {found.still && <StillPicture still={found.still} />}
        </Box>
      )}
    </Box>
  );
};
