import type { Remote } from 'comlink';
import { useCallback } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { AccountShare } from '../../../../core/costs/accounts-compared.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { countFigure, moneyFigure, percentFigure, wholeFigure } from '../../../../core/words/figure.ts';
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
    ? 'No order it can take has a cost on record to compare with.'
    : `The ${countFigure(withCost, 'order')} with a cost on record took ${moneyFigure(costAsSent, decimals)}; at its prices they would take ${moneyFigure(costInstead, decimals)} (${signedMoney(costInstead - costAsSent, decimals)}).`;

/** '9.80, the cheapest', '12.40, 2.60 above the cheapest'. */
const pricedText = ({ price, least }: PricedOrder, decimals: number): string =>
  price === least
    ? `${moneyFigure(price, decimals)}, the cheapest`
    : `${moneyFigure(price, decimals)}, ${moneyFigure(price - least, decimals)} above the cheapest`;

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
          {moneyFigure(Math.round(share.cost / share.orders), decimals)} on average
        </Text>
      </View>
      <Text style={style.note}>
        Prices {wholeFigure(share.orders)} of {countFigure(all, 'order')}; cheapest for{' '}
        {wholeFigure(share.cheapest)} of them (
        {percentFigure(Math.round((share.cheapest * 1_000) / all) * 10)}). {switchWords(share, decimals)}
      </Text>
      <Fold title="Orders" of={account.name} summary="those for which another is cheaper by most come first">
        <OrdersBehind
          coster={coster}
          ask={ask}
          label={`Orders at the prices of ${account.name}`}
          hint="Those for which another carrier is cheaper by most come first."
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
    return <Text style={style.note}>The book has no carrier accounts. Add one under Carriers.</Text>;
  const shares = carriers.flatMap((account) => {
    const share = compared?.shares.get(account.id);
    return share ? [{ account, share }] : [];
  });
  return (
    <View style={style.all}>
      <Text style={style.note}>
        Each account’s carrier is asked for its cheapest service for every parcel that was shipped in the
        period, at its present prices.
      </Text>
      {isAsked ? null : (
        <TextAction main style={style.action} label="Ask the carriers about past orders" onPress={ask} />
      )}
      {isAsked && !compared ? (
        <UnderWay
          label="Asking the carriers"
          {...ordersDone(progress, 'Asking …')}
          stopLabel="Stop asking"
          onStop={stop}
        />
      ) : null}
      {compared?.orders === 0 ? (
        <Text>No order of the period was shipped, or no carrier gave a price.</Text>
      ) : null}
      {compared && compared.orders > 0 ? (
        <>
          <View role="list" aria-label="Accounts" style={style.rows}>
            {shares.map((one) => (
              <Account key={one.account.id} {...props} {...one} all={compared.orders} />
            ))}
          </View>
          <Section title="By zone and weight" />
          <AccountsTable compared={compared} accounts={shares.map(({ account }) => account)} />
        </>
      ) : null}
    </View>
  );
};
export default AccountsView;
