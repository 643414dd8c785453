import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { AccountShare } from '../../../../core/costs/accounts-compared.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { moneyFigure, percentFigure, wholeFigure } from '../../../../core/words/figure.ts';
import { Fold } from '../../../parts/fold.tsx';
import { Section } from '../../../parts/section.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { figure, note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import type { AccountsCompared, PricedOrder } from '../../../workers/costs/account-costs.ts';
import { AccountsTable } from './accounts-table.tsx';
import { OrdersBehind } from './orders-behind.tsx';
import { ordersDone, UnderWay } from './under-way.tsx';
import { useLongAnswer } from './use-long-answer.ts';
import { signedMoney } from './signed-money.ts';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
}

/** The weights, in grams, up to which parcels are compared together. */
const EDGES = [500, 2_000, 5_000, 10_000, 20_000];

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 12 },
  note: note(inks),
  rows: { maxWidth: 860 },
  account: { paddingVertical: 10, borderBottomWidth: 1, borderBottomColor: inks.hairline, gap: 2 },
  name: { fontFamily: SANS_STRONG },
  figure: { ...figure, color: inks.ink },
  line: { flexDirection: 'row', justifyContent: 'space-between', gap: 12, alignItems: 'baseline' } as const,
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** What sending every order by one account would change, in a sentence. */
const switchWords = ({ withCost, costAsSent, costInstead }: AccountShare, decimals: number): string =>
  withCost === 0
    ? t('No order it can take has a cost on record to compare with.')
    : t(
        'The {withCost, plural, one {# order} other {# orders}} with a cost on record took {amount}; at its prices they would take {amount2} ({signedMoney}).',
        {
          withCost,
          amount: moneyFigure(costAsSent, decimals),
          amount2: moneyFigure(costInstead, decimals),
          signedMoney: signedMoney(costInstead - costAsSent, decimals),
        },
      );

/** '9.80, the cheapest', '12.40, 2.60 above the cheapest'. */
const pricedText = ({ price, least }: PricedOrder, decimals: number): string =>
  price === least
    ? t('{amount}, the cheapest', { amount: moneyFigure(price, decimals) })
    : t('{amount}, {amount2} above the cheapest', {
        amount: moneyFigure(price, decimals),
        amount2: moneyFigure(price - least, decimals),
      });

const Account = ({
  account,
  share,
  all,
  coster,
  filter,
}: Props & { account: CarrierAccount; share: AccountShare; all: number }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const ask = useCallback((at: Remote<Coster>) => at.ordersPriced(filter, account.id), [filter, account.id]);
  return (
    <View role="listitem" style={style.account}>
      <View style={style.line}>
        <Text style={style.name}>{account.name}</Text>
        <Text style={style.figure}>
          {t('{amount} on average', { amount: moneyFigure(Math.round(share.cost / share.orders), decimals) })}
        </Text>
      </View>
      <Text style={style.note}>
        {t(
          'Prices {priced} of {all, plural, one {# order} other {# orders}}; cheapest for {cheapest} of them ({percent}). {switch}',
          {
            priced: wholeFigure(share.orders),
            all,
            cheapest: wholeFigure(share.cheapest),
            percent: percentFigure(Math.round((share.cheapest * 1_000) / all) * 10),
            switch: switchWords(share, decimals),
          },
        )}
      </Text>
      <Fold
        title={t('Orders')}
        of={account.name}
        summary={t('those for which another is cheaper by most come first')}
      >
        <OrdersBehind
          coster={coster}
          ask={ask}
          label={t('Orders at the prices of {account}', { account: account.name })}
          hint={t('Those for which another carrier is cheaper by most come first.')}
          figureOf={(order: PricedOrder) => pricedText(order, decimals)}
        />
      </Fold>
    </View>
  );
};

/** The carriers' accounts over the shop's own past parcels: what each asks, where it is the cheapest. */
const AccountsView = (props: Props) => {
  const style = useStyles(styles);
  const { carriers } = useBookParts('carriers');
  const { coster, filter } = props;
  const work = useCallback(
    (tell: (progress: CostProgress) => void) => coster.accounts(filter, EDGES, tell),
    [coster, filter],
  );
  const {
    found: compared,
    progress,
    isAsked,
    ask,
    stop,
  } = useLongAnswer<AccountsCompared, CostProgress>(work, coster.stop);
  if (carriers.length === 0)
    return <Text style={style.note}>{t('The book has no carrier accounts. Add one under Carriers.')}</Text>;
  const shares = carriers.flatMap((account) => {
    const share = compared?.shares.get(account.id);
    return share ? [{ account, share }] : [];
  });
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t(
          'Each account’s carrier is asked for its cheapest service for every parcel that was shipped in the period, at its present prices.',
        )}
      </Text>
      {isAsked ? null : (
        <TextAction main style={style.action} label={t('Ask the carriers about past orders')} onPress={ask} />
      )}
      {isAsked && !compared ? (
        <UnderWay
          label={t('Asking the carriers')}
          {...ordersDone(progress, t('Asking …'))}
          stopLabel={t('Stop asking')}
          onStop={stop}
        />
      ) : null}
      {compared?.orders === 0 ? (
        <Text>{t('No order of the period was shipped, or no carrier gave a price.')}</Text>
      ) : null}
      {compared && compared.orders > 0 ? (
        <>
          <View role="list" aria-label={t('Accounts')} style={style.rows}>
            {shares.map((one) => (
              <Account key={one.account.id} {...props} {...one} all={compared.orders} />
            ))}
          </View>
          <Section title={t('By zone and weight')} />
          <AccountsTable compared={compared} accounts={shares.map(({ account }) => account)} />
        </>
      ) : null}
    </View>
  );
};
export default AccountsView;
