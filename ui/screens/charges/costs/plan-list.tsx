import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { numbers, words, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import { takenBy } from '../../../../core/costs/packing-compared.ts';
import { countFigure, moneyFigure } from '../../../../core/words/figure.ts';
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
  { heading: 'packed_by', ...words('Who packs so.') },
  { heading: 'packed', ...words('How.') },
  { heading: 'orders', ...numbers('Past orders that this way and the account’s own can pack.') },
  { heading: 'parcels', ...numbers('What they come to.') },
  { heading: 'carrier', ...numbers('What the carrier asks for them, minor units.') },
  { heading: 'boxes', ...numbers('What the boxes cost, minor units.') },
  { heading: 'own_carrier', ...numbers('The same for the account’s own way, minor units.') },
  { heading: 'own_boxes', ...numbers('What its boxes cost, minor units.') },
];

const styles = (inks: Inks) => ({
  rows: { maxWidth: 860 },
  row: { paddingVertical: 10, borderBottomWidth: 1, borderBottomColor: inks.hairline, gap: 2 },
  line: { flexDirection: 'row', justifyContent: 'space-between', gap: 12, alignItems: 'baseline' } as const,
  name: { fontFamily: SANS_STRONG, flexShrink: 1 },
  figure: { ...smallFigure, color: inks.ink },
  note: note(inks),
});

/** The ways of packing that the book has over past orders, each beside the account's own. */
export const PlanList = ({ plans, accountId }: { plans: readonly ComparedPlan[]; accountId: string }) => {
  const style = useStyles(styles);
  const { boxes, carriers, store } = useBookParts('boxes', 'carriers', 'store');
  const display = useAppSelector(selectDisplayFormat);
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const besideOwn = ({ sums, own }: ComparedPlan): string =>
    `; packed as now they make ${countFigure(own.parcels, 'parcel')} and take ${money(takenBy(own))} (${signedMoney(takenBy(sums) - takenBy(own), display.decimals)} this way)`;
  const nameOf = ({ by }: ComparedPlan): string =>
    by.map((id) => carriers.find((one) => one.id === id)?.name ?? 'the shop itself').join(', ');
  const headOf = (plan: ComparedPlan): string => {
    const name = nameOf(plan);
    return `As ${name} ${plan.by.length > 1 ? 'pack' : 'packs'}`;
  };
  return (
    <>
      <View role="list" aria-label="Ways of packing" style={style.rows}>
        {plans.map((plan) => (
          <View role="listitem" key={plan.by.join()} style={style.row}>
            <View style={style.line}>
              <Text style={style.name}>{headOf(plan)}</Text>
              <Text style={style.figure}>{money(takenBy(plan.sums))}</Text>
            </View>
            <Text style={style.note}>
              {countFigure(plan.sums.orders, 'order')} in {countFigure(plan.sums.parcels, 'parcel')}:{' '}
              {money(plan.sums.carrier)} to the carrier, {money(plan.sums.boxes)} for boxes
              {plan.by.includes(accountId) ? '' : besideOwn(plan)}.
            </Text>
          </View>
        ))}
      </View>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'packing-compared', dayNow(store), kind)}
          sheet="Packing"
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
