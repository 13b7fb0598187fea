import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ScheduleView } from '@/features/schedule/ScheduleView';
import { readSchedule } from '@/server/schedule';

export const metadata: Metadata = { title: 'Schedule' };

/** Every show of every rig: as a list, by month, and what is wanted twice. */
const Page = async () => {
  await connection();
  return <ScheduleView {...await readSchedule()} />;
};
export default Page;
