'use client';

import type { OwnModel } from '@echo-loom/core';
import { useEffect, useState } from 'react';
import { fetchOwnModels } from './door';

/** The models of the studio's library, asked for anew each time; none until they are there, or without an answer. */
export const useOwnModels = (): readonly OwnModel[] => {
  const [models, setModels] = useState<readonly OwnModel[]>([]);
  useEffect(() => {
    let isOpen = true;
    void fetchOwnModels().then((found) => isOpen && setModels(found ?? []));
    return () => {
      isOpen = false;
    };
  }, []);
  return models;
};
