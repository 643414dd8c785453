import type { Remote } from 'comlink';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { ListedOrder } from '../../../workers/costs/listed-order.ts';
import { OrderList } from './order-list.tsx';
import { useAnswer } from './use-costs.ts';

const styles = (inks: Inks) => ({ note: note(inks) });

/** The orders behind a figure, looked up when they are shown; `ask` stays the same as long as it asks the same. */
export const OrdersBehind = <T extends ListedOrder>({
  coster,
  ask,
  none = t('There are none.'),
  ...shown
}: {
  coster: Remote<Coster>;
  ask: (coster: Remote<Coster>) => Promise<T[]>;
  none?: string;
  label?: string;
  hint?: string;
  figureOf?: (order: T) => string;
}) => {
  const style = useStyles(styles);
  const orders = useAnswer(coster, ask);
  if (!orders) return <Text style={style.note}>{t('Looking them up …')}</Text>;
  if (orders.length === 0) return <Text style={style.note}>{none}</Text>;
  return <OrderList orders={orders} {...shown} />;
};
