import { analyse, STARTING_POINTS } from '@echo-loom/core';
import { formatDistanceToNow } from 'date-fns';
import { connection } from 'next/server';
import { RigPicture } from '@/features/shelf/RigPicture';
import { Shelf, type ShelfItem } from '@/features/shelf/Shelf';
import { listRigs } from '@/server/rigs';
import { currencySchema, findCurrency } from '@/server/studio';

/** The shelf. */
const Page = async () => {
  await connection();
  const items = (await listRigs()).map(({ id, rig, changedAt }): ShelfItem => {
    const analysis = analyse(rig);
    return { id, name: rig.name, verdict: analysis.verdict, devices: analysis.graph.devices.size, changed: `changed ${formatDistanceToNow(changedAt, { addSuffix: true })}`, picture: <RigPicture analysis={analysis} /> };
  });
  return <Shelf items={items} currency={await findCurrency()} currencies={currencySchema.options} points={STARTING_POINTS.map(({ id, name, about }) => ({ id, name, about }))} />;
};
export default Page;
