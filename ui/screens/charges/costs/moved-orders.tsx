import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { Text } from 'react-native-paper';
import type { Lever, LeverValue } from '../../../../core/costs/lever.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster, ListedMove } from '../../../workers/coster.ts';
import { OrderList } from './order-list.tsx';
import { useAnswer } from './use-costs.ts';

const styles = (inks: Inks) => ({ note: note(inks) });

/** '8.50 becomes 0.00', 'not offered any more'. */
const changeText = ({ was, now }: ListedMove, decimals: number): string => {
  if (now === null) return 'not offered any more';
  if (was === null) return `offered again, ${moneyFigure(now, decimals)}`;
  return `${moneyFigure(was, decimals)} becomes ${moneyFigure(now, decimals)}`;
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
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const ask = useCallback(
    (at: Remote<Coster>) => at.movedOrders(filter, lever, value),
    [filter, lever, value],
  );
  const moved = useAnswer(coster, ask);
  if (!moved) return <Text style={style.note}>Looking them up …</Text>;
  if (moved.length === 0) return <Text style={style.note}>No order is charged otherwise.</Text>;
  return (
    <OrderList
      orders={moved}
      label="Orders that would change"
      hint="Those that would change by most come first."
      figureOf={(order) => changeText(order, decimals)}
    />
  );
};
