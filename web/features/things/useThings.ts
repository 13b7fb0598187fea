'use client';

import { useRouter } from 'next/navigation';
import { toaster } from '@/ui/toaster';
import { takenBack, type ThingsAnswer, thingsDo, type ThingsDeed } from './door';

/**
 * Does something with the things of the studio, tells what was done with a way to take it back, and brings the page
 * up to date.
 * @returns the answer of the server
 */
export const useThings = (): ((deed: ThingsDeed, says: string) => Promise<ThingsAnswer>) => {
  const router = useRouter();
  const perform = async (deed: ThingsDeed, says: string): Promise<ThingsAnswer> => {
    const answer = await thingsDo(deed);
    if (!answer.ok) {
      toaster.create({ title: answer.says, type: 'error', closable: true });
      return answer;
    }
    const undo = takenBack(answer.saved);
    toaster.create({
      title: says,
      closable: true,
      duration: 12_000,
      ...(answer.saved.length > 0
        ? { action: { label: 'Undo', onClick: () => void perform(undo, 'Taken back.') } }
        : {}),
    });
    router.refresh();
    return answer;
  };
  return perform;
};
