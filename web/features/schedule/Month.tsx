'use client';

import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type AgendaShow, minuteText } from '@echo-loom/core';
import {
  addMonths,
  eachDayOfInterval,
  endOfMonth,
  endOfWeek,
  format,
  isSameMonth,
  parseISO,
  startOfMonth,
  startOfWeek,
} from 'date-fns';
import Link from 'next/link';
import { useState } from 'react';

const MONDAY = { weekStartsOn: 1 } as const;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface Props {
  readonly shows: readonly AgendaShow[];
  /** `2026-12-01` */
  readonly now: string;
}

/** One month of shows, week by week. */
export const Month = ({ shows, now }: Props) => {
  const [month, setMonth] = useState(() => startOfMonth(parseISO(now)));
  const days = eachDayOfInterval({
    start: startOfWeek(month, MONDAY),
    end: endOfWeek(endOfMonth(month), MONDAY),
  });
  const weeks = Array.from({ length: days.length / 7 }, (_, at) => days.slice(7 * at, 7 * at + 7));
  const name = format(month, 'MMMM yyyy');
  return (
    <Box as="section" aria-label={name} mb="5">
      <Flex align="center" gap="2" mb="2">
        <Text as="h2" fontWeight="600" minW="9rem" aria-live="polite">
          {name}
        </Text>
        <Flex gap="1" className="screen-only">
          <Button size="xs" variant="outline" onClick={() => setMonth(addMonths(month, -1))}>
            Month before
          </Button>
          <Button size="xs" variant="outline" onClick={() => setMonth(addMonths(month, 1))}>
            Month after
          </Button>
        </Flex>
      </Flex>
      <Box as="table" width="100%" tableLayout="fixed" borderCollapse="collapse" fontSize="xs">
        <thead>
          <tr>
            {WEEKDAYS.map((day) => (
              <Box as="th" key={day} textAlign="start" px="1" fontWeight="400" color="ink.soft">
                {day}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={format(week[0] ?? month, 'yyyy-MM-dd')}>
              {week.map((day) => {
                const on = format(day, 'yyyy-MM-dd');
                const its = shows.filter((show) => show.on === on);
                return (
                  <Box
                    as="td"
                    key={on}
                    verticalAlign="top"
                    borderWidth="1px"
                    borderColor="rule"
                    height="4rem"
                    p="1"
                    overflowWrap="anywhere"
                    bg={its.length > 0 ? 'paper.card' : undefined}
                    color={isSameMonth(day, month) ? undefined : 'ink.soft'}
                  >
                    <Text
                      as="span"
                      aria-label={format(day, 'd MMMM')}
                      className="figures"
                      fontWeight={on === now ? '600' : undefined}
                      textDecoration={on === now ? 'underline' : undefined}
                    >
                      {format(day, 'd')}
                    </Text>
                    {its.map((show) => (
                      <Box key={`${show.rigId} ${show.showId}`} mt="0.5" lineHeight="1.25">
                        <Link
                          href={`/rigs/${show.rigId}/runs`}
                          prefetch={false}
                          style={{ textDecoration: 'underline' }}
                        >
                          {show.beginsMin === null ? '' : `${minuteText(show.beginsMin)} `}
                          {show.rigName}
                        </Link>
                      </Box>
                    ))}
                  </Box>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
};
