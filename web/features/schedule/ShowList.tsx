import { Text } from '@chakra-ui/react';
import { type AgendaShow, minuteText } from '@echo-loom/core';
import Link from 'next/link';
import { PlainTable } from '@/ui/PlainTable';

const spanText = ({ fromMin, beginsMin, untilMin }: AgendaShow): string =>
  beginsMin === null || fromMin === null
    ? 'not said'
    : `${minuteText(beginsMin)}${untilMin === null ? '' : ` to ${minuteText(untilMin)}`}` +
      (fromMin === beginsMin ? '' : `, set-up from ${minuteText(fromMin)}`);

const dayText = (on: string): string =>
  new Date(`${on}T12:00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  });

/** Every show with who comes and what must be ready. */
export const ShowList = ({ shows }: { readonly shows: readonly AgendaShow[] }) =>
  shows.length === 0 ? (
    <Text fontSize="sm" mt="4">
      No show to come has a day.
    </Text>
  ) : (
    <PlainTable
      label="Shows"
      headings={[
        'Day',
        'Show',
        'When',
        'In the room',
        'By line',
        'Charge the evening before',
        'Empty before',
      ]}
      lines={shows.map((show) => ({
        id: `${show.rigId} ${show.showId}`,
        head: dayText(show.on),
        cells: [
          <Link
            key="show"
            href={`/rigs/${show.rigId}/runs`}
            prefetch={false}
            style={{ textDecoration: 'underline' }}
          >
            {show.name === show.rigName ? show.name : `${show.rigName}: ${show.name}`}
          </Link>,
          spanText(show),
          show.onSite.join(', ') || '–',
          show.remote.join(', ') || '–',
          show.batteries.join(', ') || '–',
          show.cards.join(', ') || '–',
        ],
      }))}
      note="A card is emptied when its files are verified twice: the board of episodes says so."
    />
  );
