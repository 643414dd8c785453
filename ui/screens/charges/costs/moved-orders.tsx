import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { t } from '../../../../core/translate/translate.ts';
import type { Lever, LeverValue } from '../../../../core/costs/lever.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { ListedMove } from '../../../workers/costs/lever-costs.ts';
import { OrdersBehind } from './orders-behind.tsx';

/** '8.50 becomes 0.00', 'not offered any more'. */
export const changeText = ({ was, now }: ListedMove, decimals: number): string => {
  if (now === null) return t('not offered any more');
  if (was === null) return t('offered again, {amount}', { amount: moneyFigure(now, decimals) });
  return t('{amount} becomes {amount2}', {
    amount: moneyFigure(was, decimals),
    amount2: moneyFigure(now, decimals),
  });
};

/** The orders that one change would touch, those by most first. */
export const MovedOrders = ({
  coster,
  filter,
  lever,
  value,
}: {
  coster: Remote<Coster>;
  filter: OrderFilter;
  lever: Lever;
  value: LeverValue;
}) => {
  const { decimals } = useAppSelector(selectDisplayFormat);
  const ask = useCallback(
    (at: Remote<Coster>) => at.movedOrders(filter, lever, value),
    [filter, lever, value],
  );
  return (
    <OrdersBehind
      coster={coster}
      ask={ask}
      none={t('No order is charged otherwise.')}
      label={t('Orders that would change')}
      hint={t('Those that would change by most come first.')}
      figureOf={(order: ListedMove) => changeText(order, decimals)}
    />
  );
};
