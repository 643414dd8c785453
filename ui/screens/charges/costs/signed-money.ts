import { moneyFigure } from '../../../../core/words/figure.ts';

/** '+12.40' or '−3.10': an amount that can be either, with its sign. */
export const signedMoney = (amount: number, decimals: number): string =>
  amount > 0 ? `+${moneyFigure(amount, decimals)}` : moneyFigure(amount, decimals);
