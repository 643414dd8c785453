import { useEffect, useState } from 'react';
import type { PriceSpan } from '../../../core/delivery-page/price-key.ts';
import { selectServedBook, selectServedCatalogue } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { startPricing } from '../../workers/start-audit.ts';

/** What each way to get an order costs, worked out beside the page; null until it is. */
export const usePrices = (today: string): ReadonlyMap<string, PriceSpan> | null => {
  const book = useAppSelector(selectServedBook);
  const catalogue = useAppSelector(selectServedCatalogue);
  const [prices, setPrices] = useState<ReadonlyMap<string, PriceSpan> | null>(null);
  useEffect(() => {
    const pricing = startPricing({ book, catalogue }, new Date().toISOString());
    let wanted = true;
    void pricing.prices.then((found) => {
      if (wanted) setPrices(found);
    });
    return () => {
      wanted = false;
      pricing.stop();
    };
  }, [book, catalogue, today]);
  return prices;
};
