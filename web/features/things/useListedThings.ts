'use client';

import { useEffect, useState } from 'react';
import { fetchThings, type ListedThings } from './door';

const NONE: ListedThings = { things: [], findings: [] };

/**
 * The things of the studio, asked for anew each time; none until they are there, or without an answer.
 * @param of asked for again when this changes: what the rig took since
 */
export const useListedThings = (of: string): ListedThings => {
  const [listed, setListed] = useState(NONE);
  useEffect(() => {
    let isOpen = true;
    void fetchThings().then((found) => isOpen && found && setListed(found));
    return () => {
      isOpen = false;
    };
  }, [of]);
  return listed;
};
