import { useCallback } from 'react';
import { CURRENCY } from '@/data/setting-kinds';
import { useSetting } from './useKept';

/** Says an amount in the person's own currency, where they told it. */
export function useMoney(): (amount: number) => string {
  const [currency = ''] = useSetting(CURRENCY);
  return useCallback((amount) => [currency, amount.toFixed(2)].filter(Boolean).join(' '), [currency]);
}
