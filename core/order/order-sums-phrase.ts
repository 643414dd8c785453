import type { PastOrder } from '../model/order.ts';
import { isTaxWithin } from './tax-within.ts';
import { t } from '../translate/translate.ts';
import { moneyFigure } from '../words/figure.ts';

/**
 * What an order came to, for the merchant: 'products 79.90 · Van 5.00 · total 84.90, of which taxes 6.36'; of an order
 * from elsewhere, whose products are not summed up, what getting it there cost.
 */
export const orderSumsPhrase = ({ sums, chosen }: PastOrder, decimals: number): string => {
  const part = (name: string, amount: number): string =>
    t('{name} {amount}', { name, amount: moneyFigure(amount, decimals) });
  const way = part(chosen.name, chosen.charge);
  if (!sums) return way;
  const isWithin = isTaxWithin({ sums, chosen });
  const total = part(t('total'), sums.total);
  return [
    part(t('products'), sums.goods),
    way,
    ...(sums.taxes > 0 && !isWithin ? [part(t('taxes'), sums.taxes)] : []),
    ...(sums.prepaid ? [part(t('import charges'), sums.prepaid)] : []),
    isWithin
      ? t('{total}, of which taxes {amount}', { total, amount: moneyFigure(sums.taxes, decimals) })
      : total,
  ].join(' · ');
};
