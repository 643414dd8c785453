import type { Margin } from '../../../../core/costs/margin-board.ts';
import { countFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { signedMoney } from './signed-money.ts';

/** What a figure of the board says to those who do not see it. */
export const marginWords = (name: string, margin: Margin, decimals: number): string =>
  `${name}: ${countFigure(margin.orders, 'order')}, charged ${moneyFigure(margin.charged, decimals)}, cost ${moneyFigure(
    margin.cost,
    decimals,
  )}, margin ${signedMoney(margin.margin, decimals)}${lackingWords(margin)}`;

/** What of the costs is estimated or not known, or nothing. */
export const lackingWords = ({ estimated, unknown }: Margin): string => {
  const parts = [
    ...(estimated > 0 ? [`${estimated} estimated`] : []),
    ...(unknown > 0 ? [`${unknown} without a cost`] : []),
  ];
  return parts.length > 0 ? `, ${parts.join(', ')}` : '';
};
