import { blankThing, type OwnThing, type Thing } from './schema';

/** Things for tests. */

export const ownThing = (id: string, more: Partial<Thing> = {}): OwnThing => ({
  id,
  version: 1,
  thing: { ...blankThing(id, more.is ?? 'device'), modelRef: 'mic-dynamic-quiet', ...more },
});
