import { priceFigure } from '../../../core/words/figure.ts';
import { selectServedBook, selectServedDisplayFormat } from '../../state/served.ts';
import { useAppSelector } from '../../state/store.ts';

/** Writes an amount that stands alone, with the currency of the shop that customers see. */
export const usePrice = (): ((amount: number) => string) => {
  const { decimals } = useAppSelector(selectServedDisplayFormat);
  const { currency } = useAppSelector(selectServedBook).store;
  return (amount) => priceFigure(amount, decimals, currency);
};
