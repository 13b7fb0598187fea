'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { keepRoom } from '@echo-loom/core';
import { useState } from 'react';
import { useRig, useRigSession } from '@/features/rig/RigProvider';
import { PlainTable } from '@/ui/PlainTable';
import type { RoomFound } from '@/workers/measuring/tasks';
import { useMeasuring } from '@/workers/measuring/useMeasuring';
import { Files } from './Files';
import { originOf } from './origin';
import { Running } from './Running';

const OURS = ['clap-in-room.wav'] as const;
const SAYS =
  'How long the room rings: one clap or a balloon, loud, with three seconds of nothing after it. ' +
  'Keep ears away from the balloon.';
const NOTE =
  'By a line from −5 to −25 dB of Schroeder’s integration, 35 dB over the noise at least. One clap is ' +
  'indicative: clap at three places and look at them all.';

/** To the hundredth, as it is kept. */
const hundredth = (value: number): number => Math.round(100 * value) / 100;

const seconds = (rt60S: number | null): string => (rt60S === null ? '—' : `${rt60S.toFixed(2)} s`);

/** How long the room rings, by a clap or balloon, before and after; and that it can be taken over. */
export const RoomRings = () => {
  const { run } = useRigSession();
  const analysis = useRig((state) => state.analysis);
  const known = analysis.rig.room.rt60S;
  const { at, begin, cancel } = useMeasuring<RoomFound>();
  const [before, setBefore] = useState<RoomFound | null>(null);
  const found = at.state === 'done' ? at.value : null;
  const beforeAt = (bandHz: number): number | null =>
    before?.ringing.find((band) => band.bandHz === bandHz)?.rt60S ?? null;
  const middle = found?.middle ?? null;
  return (
    <Box as="section" aria-label="Room">
      <Text as="h2" fontSize="lg" fontWeight="600" mb="1">
        Room
      </Text>
      <Files
        label="Choose a clap"
        says={SAYS}
        least={1}
        ours={OURS}
        records={{ lengthS: 8 }}
        isBusy={at.state === 'running'}
        onFiles={([file]) => {
          if (!file) return;
          setBefore(found);
          begin((tasks, tell) => tasks.room(file, tell));
        }}
      />
      <Running at={at} onCancel={cancel} />
      {found && (
        <Box mt="3">
          <PlainTable
            label={`How long the room rings, by ${found.name}`}
            headings={[
              'Octave',
              ...(before ? [`Before: ${before.name}`] : []),
              'RT60',
              'By chance',
              'Over the noise',
            ]}
            lines={found.ringing.map(({ bandHz, rt60S, spreadS, rangeDb }) => ({
              id: String(bandHz),
              head: `${bandHz} Hz`,
              cells: [
                ...(before ? [seconds(beforeAt(bandHz))] : []),
                seconds(rt60S),
                spreadS === null ? '—' : `± ${spreadS.toFixed(2)} s`,
                `${rangeDb.toFixed(0)} dB`,
              ],
            }))}
            note={NOTE}
          />
          {middle ? (
            <Flex mt="2" gap="3" align="center" wrap="wrap">
              <Text fontSize="sm">
                500 to 2000 Hz: {middle.rt60S.toFixed(2)} ± {middle.spreadS.toFixed(2)} s.{' '}
                {known === null ? '' : `The rig has ${known} s.`}
              </Text>
              {known !== hundredth(middle.rt60S) && (
                <Button
                  size="xs"
                  variant="outline"
                  onClick={() =>
                    run(
                      keepRoom(
                        analysis,
                        hundredth(middle.rt60S),
                        hundredth(middle.spreadS),
                        originOf(found),
                      ),
                    )
                  }
                >
                  The room rings {hundredth(middle.rt60S)} s
                </Button>
              )}
            </Flex>
          ) : (
            <Text fontSize="sm" color="madder" mt="2">
              The clap stands too little over the noise between 500 and 2000 Hz: no figure is given.
              Clap louder, or turn off what hums.
            </Text>
          )}
        </Box>
      )}
    </Box>
  );
};
