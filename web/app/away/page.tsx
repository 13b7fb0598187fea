import { addDays, formatDistanceToNow } from 'date-fns';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { PutAway } from '@/features/shelf/PutAway';
import { KEPT_DAYS, listPutAway } from '@/server/rigs';

export const metadata: Metadata = { title: 'Put away' };

/** Rigs that were taken off the shelf and can be put back. */
const Page = async () => {
  await connection();
  const items = (await listPutAway()).map(({ id, read, deletedAt }) => ({
    id,
    name: read.ok ? read.rig.name : null,
    devices: read.ok ? Object.keys(read.rig.devices).length : 0,
    putAway: `put away ${formatDistanceToNow(deletedAt, { addSuffix: true })}`,
    goes: `gone for good ${formatDistanceToNow(addDays(deletedAt, KEPT_DAYS), { addSuffix: true })}`,
  }));
  return <PutAway items={items} keptDays={KEPT_DAYS} />;
};
export default Page;
