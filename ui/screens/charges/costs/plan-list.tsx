import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { numbers, words, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import { takenBy } from '../../../../core/costs/packing-compared.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { packingPhrase } from '../../../../core/words/plan-phrase.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { SaveList } from '../../../parts/save-list.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import type { ComparedPlan } from '../../../workers/costs/packing-costs.ts';
import { signedMoney } from './signed-money.ts';
import { Actions } from '../../../parts/actions.tsx';

const COLUMNS: SheetColumn[] = [
  { heading: 'packed_by', ...words(t('Who packs so.')) },
  { heading: 'packed', ...words(t('How.')) },
  { heading: 'orders', ...numbers(t('Past orders that this way and the account’s own can pack.')) },
  { heading: 'parcels', ...numbers(t('What they come to.')) },
  { heading: 'carrier', ...numbers(t('What the carrier asks for them, minor units.')) },
  { heading: 'boxes', ...numbers(t('What the boxes cost, minor units.')) },
  { heading: 'own_carrier', ...numbers(t('The same for the account’s own way, minor units.')) },
  { heading: 'own_boxes', ...numbers(t('What its boxes cost, minor units.')) },
];

const styles = (inks: Inks) => ({
  rows: { maxWidth: 860 },
  row: { paddingVertical: 10, borderBottomWidth: 1, borderBottomColor: inks.hairline, gap: 2 },
  line: { flexDirection: 'row', justifyContent: 'space-between', gap: 12, alignItems: 'baseline' } as const,
  name: { fontFamily: SANS_STRONG, flexShrink: 1 },
  figure: { ...smallFigure, color: inks.ink },
  note: note(inks),
});

/** What a way of packing makes of the orders; beside the account's own way, where it is another. */
const planWords = ({ sums, own }: ComparedPlan, isOwn: boolean, decimals: number): string => {
  const money = (amount: number): string => moneyFigure(amount, decimals);
  const words = t(
    '{orders, plural, one {# order} other {# orders}} in {parcels, plural, one {# parcel} other {# parcels}}: {carrier} to the carrier, {boxes} for boxes',
    {
      orders: sums.orders,
      parcels: sums.parcels,
      carrier: money(sums.carrier),
      boxes: money(sums.boxes),
    },
  );
  if (isOwn) return `${words}.`;
  const beside = t(
    'packed as now they make {parcels, plural, one {# parcel} other {# parcels}} and take {amount} ({difference} this way)',
    {
      parcels: own.parcels,
      amount: money(takenBy(own)),
      difference: signedMoney(takenBy(sums) - takenBy(own), decimals),
    },
  );
  return `${words}; ${beside}.`;
};

/** The ways of packing that the book has over past orders, each beside the account's own. */
export const PlanList = ({ plans, accountId }: { plans: readonly ComparedPlan[]; accountId: string }) => {
  const style = useStyles(styles);
  const { boxes, carriers, store } = useBookParts('boxes', 'carriers', 'store');
  const display = useAppSelector(selectDisplayFormat);
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const nameOf = ({ by }: ComparedPlan): string =>
    by.map((id) => carriers.find((one) => one.id === id)?.name ?? t('the shop itself')).join(', ');
  const headOf = (plan: ComparedPlan): string =>
    t('As {name} {count, plural, one {packs} other {pack}}', {
      name: nameOf(plan),
      count: plan.by.length,
    });
  return (
    <>
      <View role="list" aria-label={t('Ways of packing')} style={style.rows}>
        {plans.map((plan) => (
          <View role="listitem" key={plan.by.join()} style={style.row}>
            <View style={style.line}>
              <Text style={style.name}>{headOf(plan)}</Text>
              <Text style={style.figure}>{money(takenBy(plan.sums))}</Text>
            </View>
            <Text style={style.note}>{planWords(plan, plan.by.includes(accountId), display.decimals)}</Text>
          </View>
        ))}
      </View>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'packing-compared', dayNow(store), kind)}
          sheet={t('Packing')}
          columns={() => COLUMNS}
          items={plans}
          cells={(plan) => {
            const { orders, parcels, carrier, boxes: cost } = plan.sums;
            const how = packingPhrase(plan.plan, boxes, display);
            return [nameOf(plan), how, orders, parcels, carrier, cost, plan.own.carrier, plan.own.boxes].map(
              String,
            );
          }}
        />
      </Actions>
    </>
  );
};
