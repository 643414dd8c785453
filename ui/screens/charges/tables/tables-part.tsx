import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { Press } from '../../../parts/press.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { selectBook } from '../../../state/selectors.ts';
import { useAppDispatch, useAppStore } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  facts: note(inks),
});

/** The rate tables, each with what it goes by and how many rates it prices. */
const TablesPart = ({ onOpen }: { onOpen: (id: string) => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const { rateTables, rates } = useBookParts('rateTables', 'rates');
  const add = (): void => {
    dispatch(edit('addTable', { name: t('New table'), basis: 'weight' }, t('New rate table')));
    const made = selectBook(store.getState()).rateTables.at(-1);
    if (made) onOpen(made.id);
  };
  const pricedBy = (id: string): number =>
    rates.filter(({ price }) => price.kind === 'table' && price.tableId === id).length;
  return (
    <View>
      <Text style={style.note}>
        {rateTables.length === 0
          ? t(
              'A table has a row for each place and range: a carrier’s list of codes and weights, up to 200,000 rows, out of a CSV. A rate can then be priced by it.',
            )
          : t('Each row is a place, a range and an amount. A rate is priced by a table on the board.')}
      </Text>
      <View role="list" aria-label={t('Rate tables')}>
        {rateTables.map(({ id, name, basis, rows }) => (
          <View style={style.item} role="listitem" key={id}>
            <Press role="button" onPress={() => onOpen(id)}>
              <View style={style.row}>
                <Text style={style.name}>{name}</Text>
                <Text style={style.facts}>
                  {t(
                    'By {basis} · {count, plural, one {# row} other {# rows}} · prices {pricedBy, plural, one {# rate} other {# rates}}',
                    { basis, count: rows.length, pricedBy: pricedBy(id) },
                  )}
                </Text>
              </View>
            </Press>
          </View>
        ))}
      </View>
      <TextAction
        label={t('Add a table')}
        style={{ alignSelf: 'flex-start', marginLeft: -4, marginTop: 4 }}
        onPress={add}
      />
    </View>
  );
};
export default TablesPart;
