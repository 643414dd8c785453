import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { ComparedCell } from '../../../../core/costs/accounts-compared.ts';
import { numbers, words, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import type { CarrierAccount } from '../../../../core/model/carrier.ts';
import { moneyFigure, weightFigure } from '../../../../core/words/figure.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { SaveList } from '../../../parts/save-list.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { SERIF_STRONG, type Inks } from '../../../theme/tokens.ts';
import type { AccountsCompared } from '../../../workers/costs/account-costs.ts';
import { Actions } from '../../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
    paddingVertical: 5,
  } as const,
  zone: { width: 150, paddingRight: 8 },
  weight: { width: 100 },
  head: { ...note(inks), width: 124, textAlign: 'right' } as const,
  cell: { ...smallFigure, width: 124, textAlign: 'right', color: inks.ink } as const,
  least: { fontFamily: SERIF_STRONG, textDecorationLine: 'underline' } as const,
  note: note(inks),
});

const columnsOf = (accounts: readonly CarrierAccount[]): SheetColumn[] => [
  { heading: 'zone', ...words(t('Where the orders went.')) },
  {
    heading: 'up_to',
    ...numbers(t('Grams, to this and above the row before; empty is all that is heavier.')),
  },
  { heading: 'orders', ...numbers(t('Past orders of that zone and weight.')) },
  ...accounts.map(({ id, name }) => ({
    heading: id,
    ...numbers(t('What {name} asks on average for the orders it prices, minor units.', { name })),
  })),
];

const meanOf = ({ shares }: ComparedCell, id: string): number | null => {
  const share = shares.get(id);
  return share ? Math.round(share.cost / share.orders) : null;
};

/** What each account asks for the orders of one zone and weight. */
const CellRow = ({
  cell,
  accounts,
  zone,
}: {
  cell: ComparedCell;
  accounts: readonly CarrierAccount[];
  /** Its zone, where the row before is of another. */
  zone: string;
}) => {
  const style = useStyles(styles);
  const { decimals, units } = useAppSelector(selectDisplayFormat);
  const means = accounts.map(({ id }) => meanOf(cell, id));
  const least = Math.min(...means.flatMap((mean) => mean ?? []));
  return (
    <View role="row" style={style.row}>
      <Text role="rowheader" style={style.zone}>
        {zone}
      </Text>
      <Text role="cell" style={style.weight}>
        {cell.upTo === null ? 'heavier' : t('to {weight}', { weight: weightFigure(cell.upTo, units) })}
      </Text>
      <Text role="cell" style={style.cell}>
        {cell.orders}
      </Text>
      {means.map((mean, account) => (
        <Text
          role="cell"
          key={accounts[account]?.id}
          style={[style.cell, mean === least ? style.least : null]}
        >
          {mean === null ? t('no price') : moneyFigure(mean, decimals)}
        </Text>
      ))}
    </View>
  );
};

/** What each account asks on average, by zone and weight; the least of a row is underlined. */
export const AccountsTable = ({
  compared: { cells },
  accounts,
}: {
  compared: AccountsCompared;
  accounts: readonly CarrierAccount[];
}) => {
  const style = useStyles(styles);
  const { zones, store } = useBookParts('zones', 'store');
  const zoneName = (row: string): string =>
    zones.find(({ id }) => `zone:${id}` === row)?.name ?? t('Not in the book');
  return (
    <View>
      <ScrollView horizontal>
        <View role="table" aria-label={t('Prices by zone and weight')}>
          <View role="row" style={style.row}>
            <Text role="columnheader" style={[style.note, style.zone]}>
              {t('Zone')}
            </Text>
            <Text role="columnheader" style={[style.note, style.weight]}>
              {t('Weight')}
            </Text>
            {[t('Orders'), ...accounts.map(({ name }) => name)].map((name) => (
              <Text key={name} role="columnheader" style={style.head}>
                {name}
              </Text>
            ))}
          </View>
          {cells.map((cell, at) => (
            <CellRow
              key={`${cell.row} ${cell.upTo}`}
              cell={cell}
              accounts={accounts}
              zone={cell.row === cells[at - 1]?.row ? '' : zoneName(cell.row)}
            />
          ))}
        </View>
      </ScrollView>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'carriers-compared', dayNow(store), kind)}
          sheet={t('Carriers')}
          columns={() => columnsOf(accounts)}
          items={cells}
          cells={(cell) =>
            [
              zoneName(cell.row),
              cell.upTo ?? '',
              cell.orders,
              ...accounts.map(({ id }) => meanOf(cell, id) ?? ''),
            ].map(String)
          }
        />
      </Actions>
    </View>
  );
};
