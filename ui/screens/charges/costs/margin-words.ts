import type { Margin } from '../../../../core/costs/margin-board.ts';
import { countFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { signedMoney } from './signed-money.ts';

/** What a figure of the board says to those who do not see it. */
export const marginWords = (name: string, margin: Margin, decimals: number): string =>
  `${name}: ${countFigure(margin.orders, 'order')}, charged ${moneyFigure(margin.chargedWithCost, decimals)}, cost ${moneyFigure(
    margin.cost,
    decimals,
  )}, margin ${signedMoney(margin.margin, decimals)}${lackingWords(margin, decimals)}`;

/** What of the costs is estimated or not known, with what was charged for the latter, or nothing. */
export const lackingWords = (
  { estimated, unknown, charged, chargedWithCost }: Margin,
  decimals: number,
): string => {
  const parts = [
    ...(estimated > 0 ? [`${estimated} estimated`] : []),
    ...(unknown > 0
      ? [`${unknown} left out, cost not known (${moneyFigure(charged - chargedWithCost, decimals)} charged)`]
      : []),
  ];
  return parts.length > 0 ? `, ${parts.join(', ')}` : '';
};
