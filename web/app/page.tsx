import { analyse, STARTING_POINTS, type StartingPoint, type Studio, UNSAID } from '@echo-loom/core';
import { formatDistanceToNow } from 'date-fns';
import { connection } from 'next/server';
import { RigPicture } from '@/features/shelf/RigPicture';
import { Shelf, type ShelfItem } from '@/features/shelf/Shelf';
import { listPutAway, listRigs, type ShelfRig } from '@/server/rigs';
import { findStudio } from '@/server/studio';

/**
 * A rig as its card shows it. One that cannot be read, or whose analysis fails, is a card that says
 * so and harms no other.
 */
const itemOf = ({ id, read, changedAt }: ShelfRig): ShelfItem => {
  const changed = `changed ${formatDistanceToNow(changedAt, { addSuffix: true })}`;
  if (!read.ok) {
    const [problem] = read.problems;
    return {
      is: 'unreadable',
      id,
      changed,
      why: problem ? `${problem.path}: ${problem.says}` : 'It is empty.',
    };
  }
  try {
    const analysis = analyse(read.rig);
    const picture = <RigPicture analysis={analysis} />;
    return {
      is: 'readable',
      id,
      name: read.rig.name,
      verdict: analysis.verdict,
      devices: analysis.graph.devices.size,
      changed,
      tags: read.rig.tags,
      picture,
    };
  } catch (error) {
    console.error(error);
    return {
      is: 'unreadable',
      id,
      changed,
      why: 'It could not be computed; the reason has been logged.',
    };
  }
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
  const [rigs, studio, away] = await Promise.all([listRigs(), findStudio(), listPutAway()]);
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
      putAway={away.length}
    />
  );
};
export default Page;
