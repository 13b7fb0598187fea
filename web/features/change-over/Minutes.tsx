import { Text } from '@chakra-ui/react';
import { personMinutes, type Schedule, type Task } from '@echo-loom/core';
import { clockText } from './Timeline';

interface Props {
  readonly tasks: readonly Task[];
  readonly schedule: Extract<Schedule, { ok: true }>;
  readonly people: number;
}

/** How long it takes so many people, all of it together, and whether less can be. */
export const Minutes = ({ tasks, schedule, people }: Props) => (
  <Text fontSize="lg" role="status">
    <b className="figures">{clockText(schedule.minutes)}</b> minutes with{' '}
    {people === 1 ? 'one person' : `${people} people`}
    <Text as="span" fontSize="sm" color="ink.soft">
      {` · ${personMinutes(tasks)} person-minutes · ` +
        (schedule.isBest
          ? 'no order takes less'
          : `no order takes less than ${clockText(schedule.leastMin)}`)}
    </Text>
  </Text>
);
