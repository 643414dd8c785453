import type { TestOrderChange } from '../../../core/publish/test-order-changes.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { listed } from '../../../core/words/names.ts';

/** What a test order's customer pays or is offered otherwise. */
export const changeWords = (
  { charges, lost, gained }: Pick<TestOrderChange, 'charges' | 'lost' | 'gained'>,
  decimals: number,
): string =>
  [
    ...charges.map(
      ({ name, was, now }) => `${name} ${moneyFigure(was, decimals)} becomes ${moneyFigure(now, decimals)}`,
    ),
    ...(lost.length > 0 ? [`loses ${listed(lost, 'and')}`] : []),
    ...(gained.length > 0 ? [`gains ${listed(gained, 'and')}`] : []),
  ].join('; ');
