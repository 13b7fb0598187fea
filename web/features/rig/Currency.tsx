'use client';

import { createContext, useContext, type ReactNode } from 'react';

const CurrencyContext = createContext('EUR');

/** Gives the studio's currency to every price below. */
export const CurrencyProvider = ({
  currency,
  children,
}: {
  readonly currency: string;
  readonly children: ReactNode;
}) => <CurrencyContext.Provider value={currency}>{children}</CurrencyContext.Provider>;

/** Writes amounts in the studio's currency, whole. No exchange rates: a currency is a name here. */
export const useMoney = (): ((amount: number) => string) => {
  const currency = useContext(CurrencyContext);
  const format = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    maximumFractionDigits: 0,
  });
  return (amount) => format.format(amount).replace('-', '−');
};
