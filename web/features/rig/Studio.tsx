'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { type Studio, UNSAID } from '@echo-loom/core';

const StudioContext = createContext<Studio>(UNSAID);

/** Gives what the studio has settled to every view below. */
export const StudioProvider = ({
  studio,
  children,
}: {
  readonly studio: Studio;
  readonly children: ReactNode;
}) => <StudioContext.Provider value={studio}>{children}</StudioContext.Provider>;

export const useStudio = (): Studio => useContext(StudioContext);

/** Writes amounts in the studio's currency, whole. No exchange rates: a currency is a name here. */
export const useMoney = (): ((amount: number) => string) => {
  const { currency } = useStudio();
  const format = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    maximumFractionDigits: 0,
  });
  return (amount) => format.format(amount).replace('-', '−');
};
