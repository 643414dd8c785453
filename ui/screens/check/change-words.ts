import { t } from '../../../core/translate/translate.ts';
import type { TestOrderChange } from '../../../core/publish/test-order-changes.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { listed } from '../../../core/words/names.ts';

/** What a test order's customer pays or is offered otherwise. */
export const changeWords = (
  { charges, lost, gained }: Pick<TestOrderChange, 'charges' | 'lost' | 'gained'>,
  decimals: number,
): string =>
  [
    ...charges.map(({ name, was, now }) =>
      t('{name} {amount} becomes {amount2}', {
        name,
        amount: moneyFigure(was, decimals),
        amount2: moneyFigure(now, decimals),
      }),
    ),
    ...(lost.length > 0 ? [t('loses {listed}', { listed: listed(lost, 'and') })] : []),
    ...(gained.length > 0 ? [t('gains {listed}', { listed: listed(gained, 'and') })] : []),
  ].join('; ');
