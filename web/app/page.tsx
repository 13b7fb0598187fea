import { STARTING_POINTS, type StartingPoint, type Studio, UNSAID } from '@echo-loom/core';
import { formatDistanceToNow } from 'date-fns';
import { connection } from 'next/server';
import type { ShelfItem } from '@/features/shelf/items';
import { Shelf } from '@/features/shelf/Shelf';
import { type Digested, digested } from '@/server/digests';
import { countPutAway } from '@/server/rigs';
import { findStudio } from '@/server/studio';

/** A rig as its card shows it. One that cannot be read is a card that says so and harms no other. */
const itemOf = ({ id, name, digest, isNow, changedAt }: Digested): ShelfItem => {
  const changed = `changed ${formatDistanceToNow(changedAt, { addSuffix: true })}`;
  if (digest?.is === 'unreadable' && isNow)
    return { is: 'unreadable', id, changed, why: digest.why };
  const known = digest?.is === 'read' ? digest : null;
  return {
    is: 'readable',
    id,
    name,
    // A verdict of before the last edit is none.
    verdict: isNow && known ? known.verdict : null,
    devices: isNow && known ? known.devices : null,
    changed,
    tags: known?.tags ?? [],
    picture: known?.picture ?? null,
  };
};

/** To the nearest of these a price is said, since every one of its parts is only typical. */
const ABOUT = 50;

/** What a starting point brings, in words. */
const bringsText = (
  { people, cameras, price }: StartingPoint['brings'],
  currency: string,
): string => {
  const money = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    maximumFractionDigits: 0,
  });
  const count = (number: number, one: string, many: string) =>
    `${number} ${number === 1 ? one : many}`;
  return (
    `${count(people, 'person', 'people')}, ${count(cameras, 'camera', 'cameras')}, ` +
    `about ${money.format(Math.round(price / ABOUT) * ABOUT)}`
  );
};

const isSettled = (studio: Studio): boolean => studio.mains !== UNSAID.mains;

/** The shelf. */
const Page = async () => {
  await connection();
  const [rigs, studio, away] = await Promise.all([digested(), findStudio(), countPutAway()]);
  return (
    <Shelf
      items={rigs.map(itemOf)}
      points={STARTING_POINTS.map(({ id, name, about, brings }) => ({
        id,
        name,
        about,
        brings: bringsText(brings, studio.currency),
      }))}
      isSettled={isSettled(studio)}
      putAway={away}
    />
  );
};
export default Page;
