import { CATALOGUE, modelRefOf } from '@echo-loom/core';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ThingsView } from '@/features/things/ThingsView';
import { listOwnModels } from '@/server/library';
import { findStudio } from '@/server/studio';
import { aroundThings, listThings } from '@/server/things';

export const metadata: Metadata = { title: 'Things' };

/** What the studio has, borrows and wants, and where it is used. */
const Page = async () => {
  await connection();
  const [things, models, { currency }] = await Promise.all([
    listThings(),
    listOwnModels(),
    findStudio(),
  ]);
  const { uses, findings, behind } = await aroundThings(things);
  return (
    <ThingsView
      things={things}
      uses={uses}
      findings={findings}
      models={[
        ...models.map(({ id, model }) => ({ value: `own:${id}`, label: `${model.name} (yours)` })),
        ...CATALOGUE.flatMap((model) => {
          const value = modelRefOf(model);
          return value === null ? [] : [{ value, label: model.name }];
        }),
      ]}
      currency={currency}
      behind={behind}
    />
  );
};
export default Page;
