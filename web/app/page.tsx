import { analyse, STARTING_POINTS } from '@echo-loom/core';
import { formatDistanceToNow } from 'date-fns';
import { connection } from 'next/server';
import { RigPicture } from '@/features/shelf/RigPicture';
import { Shelf, type ShelfItem } from '@/features/shelf/Shelf';
import { listPutAway, listRigs, type ShelfRig } from '@/server/rigs';
import { mainsName } from '@echo-loom/core';
import { currencySchema, findCurrency, findMains, mainsNameSchema } from '@/server/studio';

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

/** The shelf. */
const Page = async () => {
  await connection();
  const [rigs, currency, mains, away] = await Promise.all([
    listRigs(),
    findCurrency(),
    findMains(),
    listPutAway(),
  ]);
  return (
    <Shelf
      items={rigs.map(itemOf)}
      currency={currency}
      currencies={currencySchema.options}
      mains={mains && mainsName(mains)}
      mainsChoices={mainsNameSchema.options}
      points={STARTING_POINTS.map(({ id, name, about }) => ({ id, name, about }))}
      putAway={away.length}
    />
  );
};
export default Page;
