import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { GoodsTable } from '../../../core/formats/goods-table.ts';
import type { GoodsDifference } from '../../../core/goods/difference.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { ChangedItem, MoreItems } from '../../list-import/changed-item.tsx';
import { Sum } from '../../parts/sum.tsx';
import { useStyles } from '../../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';

interface Props {
  table: GoodsTable;
  difference: GoodsDifference;
}

const MOST_LINES = 40;

const styles = (inks: Inks) => ({
  all: { gap: 4 },
  sums: { flexDirection: 'row', flexWrap: 'wrap', gap: 20, paddingVertical: 8 } as const,
  head: { fontFamily: SANS_STRONG, paddingTop: 12, paddingBottom: 4 },
  fault: { color: inks.rubric, paddingVertical: 2 },
});

const Faults = ({ table }: { table: GoodsTable }) => {
  const style = useStyles(styles);
  if (table.faults.length === 0) return null;
  return (
    <View role="alert">
      <Text style={style.head}>
        {table.faulty > 0
          ? t('{faulty, plural, one {# row} other {# rows}} not imported', { faulty: table.faulty })
          : t('What is wrong')}
      </Text>
      {table.faults.slice(0, MOST_LINES).map((fault, at) => (
        <Text key={`${fault.path}-${at}`} style={style.fault}>
          {locatedSentence(fault)}
        </Text>
      ))}
      <MoreItems count={table.faults.length - MOST_LINES} />
    </View>
  );
};

const Named = ({ title, names }: { title: string; names: readonly string[] }) => {
  const style = useStyles(styles);
  if (names.length === 0) return null;
  return (
    <View>
      <Text style={style.head}>{title}</Text>
      <Text>{names.slice(0, MOST_LINES).join(', ')}</Text>
      <MoreItems count={names.length - MOST_LINES} />
    </View>
  );
};

const nameOf = ({ name }: { name: string }): string => name;

/** What taking the table would do: how many rows are sound, what is wrong with the rest, and every change. */
export const CsvReview = ({ table, difference }: Props) => {
  const style = useStyles(styles);
  const { added, removed, changed } = difference;
  return (
    <View style={style.all} role="region" aria-label={t('What would change')}>
      <View style={style.sums}>
        <Sum count={table.sound} what={t('rows understood')} />
        <Sum count={table.faulty} what={t('rows with a fault')} />
        <Sum count={added.length} what={t('new products')} />
        <Sum count={changed.length} what={t('changed')} />
        <Sum count={removed.length} what={t('gone')} />
      </View>
      <Faults table={table} />
      <Named title={t('New')} names={added.map(nameOf)} />
      <Named title={t('Gone')} names={removed.map(nameOf)} />
      {changed.length > 0 ? <Text style={style.head}>{t('Changed')}</Text> : null}
      <View role="list" aria-label={t('Changed')}>
        {changed.slice(0, MOST_LINES).map(({ sku, name, fields }) => (
          <ChangedItem key={sku} name={name} fields={fields} />
        ))}
      </View>
      <MoreItems count={changed.length - MOST_LINES} />
    </View>
  );
};
