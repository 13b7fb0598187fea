'use client';

import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { AgendaShow, Clash, LeftInMonth, ThingFinding } from '@echo-loom/core';
import Link from 'next/link';
import { useState } from 'react';
import { ChoiceField } from '@/ui/ChoiceField';
import { StillReading } from '@/ui/StillReading';
import { ThemeButton } from '@/ui/ThemeButton';
import { today } from '@/ui/today';
import { Clashes } from './Clashes';
import { LeftByMonth } from './LeftByMonth';
import { Month } from './Month';
import { ShowList } from './ShowList';

interface Props {
  readonly shows: readonly AgendaShow[];
  readonly clashes: readonly Clash[];
  readonly things: readonly ThingFinding[];
  readonly unread: number;
  readonly behind: number;
  readonly left: readonly LeftInMonth[];
}

/** Every show of every rig: who and what is needed when, and what two of them want at once. */
export const ScheduleView = ({ shows, clashes, things, unread, behind, left }: Props) => {
  const [now] = useState(today);
  const [which, setWhich] = useState('to come');
  const shown = which === 'all' ? shows : shows.filter(({ on }) => on >= now);
  const isAhead = (on: string): boolean => which === 'all' || on >= now;
  return (
    <Box maxW="1180px" mx="auto" px="5" py="4">
      <Flex align="center" gap="3" mb="4" wrap="wrap">
        <Button asChild size="sm" variant="ghost" px="2" className="screen-only">
          <Link href="/" prefetch={false}>
            Shelf
          </Link>
        </Button>
        <Heading as="h1" size="lg">
          Schedule
        </Heading>
        <Flex ml="auto" gap="2" align="center" wrap="wrap" className="screen-only">
          <ThemeButton />
          <Button asChild size="sm" variant="outline">
            <a href="/api/schedule" download="echo-loom.ics">
              As calendar file
            </a>
          </Button>
          <Button size="sm" variant="outline" onClick={() => window.print()}>
            Print
          </Button>
        </Flex>
      </Flex>
      <Box as="main">
        <StillReading rigs={behind} />
        {unread > 0 && (
          <Text role="alert" fontSize="sm" mb="3">
            {unread} {unread === 1 ? 'rig' : 'rigs'} on the shelf cannot be read: nothing is known
            of their shows.
          </Text>
        )}
        <Clashes clashes={clashes.filter(({ on }) => isAhead(on))} things={things} shows={shows} />
        {shows.length === 0 ? (
          <Text maxW="60ch">
            No show has a day yet. A rig’s days are said in its brief, under Show days; then they
            stand here, with who and what they need.
          </Text>
        ) : (
          <>
            <Month shows={shows} now={now} />
            <Box maxW="16rem" mb="2" className="screen-only">
              <ChoiceField
                label="Shows"
                value={which}
                width="130px"
                options={[
                  { value: 'to come', label: 'to come' },
                  { value: 'all', label: 'all' },
                ]}
                onChoose={setWhich}
              />
            </Box>
            <ShowList shows={shown} />
            <LeftByMonth left={left} />
          </>
        )}
      </Box>
    </Box>
  );
};
