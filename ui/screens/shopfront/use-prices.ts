import { useEffect, useState } from 'react';
import type { PriceSpan } from '../../../core/delivery-page/price-key.ts';
import { selectServedBook, selectServedCatalogue } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';
import { startPricing } from '../../workers/start-audit.ts';
import { SHOP_CHANNEL } from './shopper.ts';
import { momentNow } from '../../time/now.ts';

/** What each way to get an order costs, worked out beside the page; null until it is. */
export const usePrices = (today: string): ReadonlyMap<string, PriceSpan> | null => {
  const book = useAppSelector(selectServedBook);
  const catalogue = useAppSelector(selectServedCatalogue);
  const [prices, setPrices] = useState<ReadonlyMap<string, PriceSpan> | null>(null);
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => {
    const order = { placedAt: momentNow(), channel: SHOP_CHANNEL };
    const pricing = startPricing({ book, catalogue }, order);
    let wanted = true;
    pricing.prices.then(
      (found) => wanted && setPrices(found),
      (error: Error) => wanted && setFailure(error),
    );
    return () => {
      wanted = false;
      pricing.stop();
    };
  }, [book, catalogue, today]);
  if (failure) throw failure;
  return prices;
};
