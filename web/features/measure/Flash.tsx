'use client';

import { Box, Button, Flex, Link as Anchor, Text } from '@chakra-ui/react';
import { freeId, heldNow, type Meeting, meetings, type Pair } from '@echo-loom/core';
import { withoutAir } from '@echo-loom/core/signal';
import NextLink from 'next/link';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { msText, whoText } from '@/features/time/offsets';
import { ChoiceField } from '@/ui/ChoiceField';
import { NumberField } from '@/ui/NumberField';
import type { FlashOf } from '@/workers/measuring/film-tasks';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Files } from './Files';
import { FlashFilm } from './FlashFilm';
import { originOf } from './origin';
import { Running } from './Running';

const OURS = ['flash-and-beep.webm'] as const;
const SAYS =
  'How far sound is from picture where both meet: film our page that flashes and beeps, for half a ' +
  'minute, with what records there.';

/** A figure is kept to this. @unit ms */
const STEP = 100;

interface Choice {
  readonly key: string;
  readonly label: string;
  readonly meeting: Meeting;
  readonly pair: Pair;
}

/** What the rig had until now, beside what was measured. */
const predictedText = ({ offsetMs, measured }: Pair, foundMs: number): string =>
  offsetMs === null
    ? 'What the rig predicts there is not known.'
    : `${measured ? 'Measured before' : 'Predicted'}: ${msText(offsetMs)} ms, ` +
      `${msText(foundMs - offsetMs)} ms off.`;

/** How much later one of two cameras sees, where two are in the film and differ. */
const camerasText = ({ cameras }: FlashOf): string => {
  if (!cameras || Math.abs(cameras.laterMs) <= cameras.spreadMs) return '';
  const [which, other] =
    cameras.are === 'beside each other'
      ? ['the right one', 'the left one']
      : [`the one from ${(cameras.cutS ?? 0).toFixed(1)} s on`, 'the one before'];
  return (
    ` Two cameras are in it: ${which} sees ${msText(Math.abs(cameras.laterMs))} ± ` +
    `${msText(cameras.spreadMs)} ms ${cameras.laterMs < 0 ? 'earlier' : 'later'} than ${other}.`
  );
};

/** What was found, and that it can be kept for one place, microphone and camera. */
const Found = ({ found }: { readonly found: FlashOf }) => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const [airM, setAirM] = useState(0);
  const [chosen, setChosen] = useState('');
  const choices = meetings(analysis).flatMap((meeting) =>
    meeting.pairs.map((pair, index): Choice => ({
      // One voice may come by two sockets: its name does not tell the pairs apart.
      key: `${meeting.placeId} ${index}`,
      label:
        `${analysis.rig.devices[meeting.placeId]?.name ?? meeting.placeId}: ` +
        `${whoText(analysis, pair.sound, meeting.sounds)} and ` +
        whoText(analysis, pair.picture, meeting.pictures),
      meeting,
      pair,
    })),
  );
  const choice = choices.find(({ key }) => key === chosen) ?? choices[0];
  if (!found.isSure)
    return (
      <Text fontSize="sm" color="madder" mt="2">
        {found.name}: no figure is given. {found.why}
      </Text>
    );
  const there = withoutAir(found, airM, analysis.rig.room.temperatureC);
  const offsetMs = Math.round(STEP * there.offsetMs) / STEP;
  const spreadMs = Math.round(STEP * there.spreadMs) / STEP;
  // What is undone can be kept again.
  const isKept = ({ pair }: Choice): boolean =>
    Object.values(analysis.rig.offsets).some(
      ({ file, placeId, soundId, pictureId }) =>
        file?.sha256 === found.sha256 &&
        placeId === pair.placeId &&
        soundId === pair.sound.sourceIds[0] &&
        pictureId === pair.picture.sourceIds[0],
    );
  const keep = ({ pair }: Choice) => {
    const [soundId = '', pictureId = ''] = [pair.sound.sourceIds[0], pair.picture.sourceIds[0]];
    run({
      type: 'addOffset',
      offsetId: freeId('offset', analysis.rig.offsets),
      offset: {
        soundId,
        pictureId,
        placeId: pair.placeId,
        offsetMs,
        spreadMs,
        ...heldNow(analysis, pair),
        ...originOf(found),
      },
    });
  };
  return (
    <Box mt="3">
      <Text fontSize="sm">
        In {found.name} sound is {msText(Math.abs(found.offsetMs))} ms{' '}
        {found.offsetMs < 0 ? 'earlier' : 'later'} than its picture, by {found.flashes} flashes and{' '}
        {found.beeps} beeps.
        {camerasText(found)}
      </Text>
      <Flex direction="column" gap="1.5" mt="2" maxW="30rem">
        <NumberField
          label="From its loudspeaker to the microphone"
          unit="m"
          step={0.1}
          min={0}
          max={50}
          value={airM}
          onCommit={(value) => value !== null && setAirM(value)}
        />
        {choice && (
          <ChoiceField
            label="Recorded at"
            width="300px"
            value={choice.key}
            options={choices.map(({ key, label }) => ({ value: key, label }))}
            onChoose={setChosen}
          />
        )}
      </Flex>
      <Text fontSize="sm" mt="2">
        Without the air: {msText(offsetMs)} ± {msText(spreadMs)} ms.
        {choice && ` ${predictedText(choice.pair, offsetMs)}`}
      </Text>
      {choice ? (
        <Button
          size="sm"
          variant="outline"
          mt="1.5"
          disabled={isKept(choice)}
          onClick={() => keep(choice)}
        >
          {isKept(choice) ? 'Kept as measured' : 'Keep it as measured'}
        </Button>
      ) : (
        <Text fontSize="sm" color="ink.soft">
          Sound and picture meet nowhere in this rig yet, so there is nowhere to keep it.
        </Text>
      )}
    </Box>
  );
};

/** How far sound is from picture, from a film of our page. */
export const Flash = () => {
  const { at, begin, cancel } = useMeasuring<FlashOf>();
  return (
    <Box as="section" aria-label="Flash and beep">
      <Flex gap="3" align="baseline" mb="1" wrap="wrap">
        <Text as="h2" fontSize="lg" fontWeight="600">
          Flash and beep
        </Text>
        <Anchor asChild fontSize="sm" textDecoration="underline">
          <NextLink href="/flash" target="_blank">
            Open the page to film
          </NextLink>
        </Anchor>
        <FlashFilm />
      </Flex>
      <Files
        label="Choose a film"
        says={SAYS}
        least={1}
        ours={OURS}
        records={{ withPicture: true, lengthS: 25 }}
        isBusy={at.state === 'running'}
        onFiles={([file]) => file && begin((tasks, tell) => tasks.flash(file, tell))}
      />
      <Running at={at} onCancel={cancel} />
      {at.state === 'done' && <Found key={at.value.sha256} found={at.value} />}
    </Box>
  );
};
