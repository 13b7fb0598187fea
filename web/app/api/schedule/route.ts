import { answering } from '@/server/answers';
import { calendarFile } from '@/server/calendar-file';
import { readSchedule } from '@/server/schedule';

/** Every show as a calendar file. */
export const GET = answering(async () => {
  const { shows } = await readSchedule(Infinity);
  return new Response(calendarFile(shows), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="echo-loom.ics"',
      'cache-control': 'no-store',
    },
  });
});
