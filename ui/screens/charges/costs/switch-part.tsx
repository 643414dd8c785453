import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { Fold } from '../../../parts/fold.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { undoMessage } from '../../../state/session.ts';
import { selectBook, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { Switched } from '../../../workers/costs/lever-costs.ts';
import { changeText } from './moved-orders.tsx';
import { OrderList } from './order-list.tsx';
import { switchEdit, type NamedSwitch } from './switches.ts';
import { ordersDone, UnderWay } from './under-way.tsx';
import { useLongAnswer } from './use-long-answer.ts';
import { WhatIfFigures } from './what-if-figures.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
  named: NamedSwitch;
}

const styles = (inks: Inks) => ({
  all: { gap: 12 },
  note: note(inks),
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

const Found = ({ found, named }: { found: Switched; named: NamedSwitch }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const change = switchEdit(book, named);
  const take = (): void => {
    if (!change) return;
    dispatch(change);
    dispatch(undoMessage(t('In the draft: {name}.', { name: named.name })));
  };
  return (
    <>
      <WhatIfFigures found={found.result} moreOrders={0} />
      {found.moved.length === 0 ? null : (
        <Fold title={t('Orders')} of={named.name} summary={t('those that would be charged otherwise')}>
          <OrderList
            orders={found.moved}
            label={t('Orders that would change')}
            hint={t('Those that would change by most come first.')}
            figureOf={(order) => changeText(order, decimals)}
          />
        </Fold>
      )}
      {change ? (
        <TextAction main style={style.action} label={t('Put into the draft')} onPress={take} />
      ) : null}
    </>
  );
};

/** Another account for a rate, or another packing for an account: what it would do to past orders, once it is asked for. */
export const SwitchPart = ({ coster, filter, named }: Props) => {
  const style = useStyles(styles);
  const { switched } = named;
  const work = useCallback(
    (tell: (progress: CostProgress) => void) => coster.switched(filter, switched, tell),
    [coster, filter, switched],
  );
  const { found, progress, isAsked, ask, stop } = useLongAnswer<Switched, CostProgress>(work, coster.stop);
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {switched.kind === 'account'
          ? t('An order is taken to cost what the other account’s cheapest service asks for its parcels.')
          : t(
              'An order is taken to cost as much more or less as its carrier asks for parcels packed this way.',
            )}
      </Text>
      {isAsked ? null : (
        <TextAction main style={style.action} label={t('See what it would do')} onPress={ask} />
      )}
      {isAsked && !found ? (
        <UnderWay
          label={t('Pricing past orders again')}
          {...ordersDone(progress, t('Pricing …'))}
          stopLabel={t('Stop pricing')}
          onStop={stop}
        />
      ) : null}
      {found ? <Found found={found} named={named} /> : null}
    </View>
  );
};
