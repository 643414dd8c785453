import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { fileName } from '../../files/files.ts';
import { SaveList } from '../../parts/save-list.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { goodCells, goodsSheet } from '../../../core/formats/goods-table.ts';
import { selectCatalogue, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import type { Goods } from './use-goods.ts';
import { dayNow } from '../../time/now.ts';
import { Actions } from '../../parts/actions.tsx';

interface Props {
  goods: Goods;
  onAdd: () => void;
  onOpenCsv: () => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 8, paddingTop: 12, paddingBottom: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center' } as const,
  across: { width: '100%' } as const,
  find: { flexGrow: 1, minWidth: 180, maxWidth: 300 },
  note: note(inks),
});

/** What is looked for among the goods, and what can be done with all of them. */
export const GoodsTools = ({ goods, onAdd, onOpenCsv }: Props) => {
  const style = useStyles(styles);
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { store } = useBookParts('store');
  const catalogue = useAppSelector(selectCatalogue);
  const display = useAppSelector(selectDisplayFormat);
  const { view, setView, missing, shown, all } = goods;
  return (
    <View style={style.all}>
      <View style={style.row}>
        <View style={isPhone ? style.across : style.find}>
          <TextLine
            hideLabel
            label={t('Find products')}
            placeholder={t('Name or stock number')}
            value={view.find}
            onChange={(find) => setView({ find })}
          />
        </View>
        <Segments
          hideLabel
          label={t('Which products are listed')}
          width={isPhone ? 350 : 240}
          value={view.only}
          onChange={(only) => setView({ only })}
          options={[
            { value: 'all', label: t('all {count}', { count: all.length }) },
            { value: 'missing', label: t('{missing} incomplete', { missing }) },
          ]}
        />
        {shown.length === all.length ? null : (
          <Text style={style.note}>
            {t('{count, plural, one {# product} other {# products}} shown', { count: shown.length })}
          </Text>
        )}
      </View>
      <Actions>
        <TextAction label={t('Add a product')} onPress={onAdd} />
        <TextAction label={t('Open a CSV or spreadsheet')} onPress={onOpenCsv} />
        <SaveList
          name={(kind) => fileName(store.name, 'goods', dayNow(store), kind)}
          sheet={t('Products')}
          columns={goodsSheet}
          items={catalogue.goods}
          cells={(good) => goodCells(good, display)}
        />
        <TextAction
          label={t('Groups')}
          accessibilityLabel={t('Handling groups')}
          onPress={() => router.navigate({ pathname: '/goods', params: { panel: 'groups' } })}
        />
        <TextAction
          label={t('Boxes')}
          onPress={() => router.navigate({ pathname: '/goods', params: { panel: 'boxes' } })}
        />
      </Actions>
    </View>
  );
};
