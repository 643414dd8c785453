import { t } from '../../../../core/translate/translate.ts';
import type { Margin } from '../../../../core/costs/margin-board.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { signedMoney } from './signed-money.ts';

/** What a figure of the board says to those who do not see it. */
export const marginWords = (name: string, margin: Margin, decimals: number): string =>
  t(
    '{name}: {orders, plural, one {# order} other {# orders}}, charged {amount}, cost {amount2}, margin {signedMoney}{lacking}',
    {
      name,
      orders: margin.orders,
      amount: moneyFigure(margin.chargedWithCost, decimals),
      amount2: moneyFigure(margin.cost, decimals),
      signedMoney: signedMoney(margin.margin, decimals),
      lacking: lackingWords(margin, decimals),
    },
  );

/** What of the costs is estimated or not known, with what was charged for the latter, or nothing. */
export const lackingWords = (
  { estimated, unknown, charged, chargedWithCost }: Margin,
  decimals: number,
): string => {
  const parts = [
    ...(estimated > 0 ? [t('{estimated} estimated', { estimated })] : []),
    ...(unknown > 0
      ? [
          t('{unknown} left out, cost not known ({amount} charged)', {
            unknown,
            amount: moneyFigure(charged - chargedWithCost, decimals),
          }),
        ]
      : []),
  ];
  return parts.length > 0 ? `, ${parts.join(', ')}` : '';
};
