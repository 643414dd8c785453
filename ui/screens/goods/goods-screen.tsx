import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, useCallback, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Good } from '../../../core/model/good.ts';
import type { Fault } from '../../../core/model/fault.ts';
import type { GoodsView } from '../../../core/goods/sort.ts';
import { chooseRows } from '../../list-import/read-rows.ts';
import { IconAction } from '../../parts/icon-action.tsx';
import { Page } from '../../page/page.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { ColumnWidth } from '../../parts/column-width.ts';
import { useHasRoomBeside } from '../../parts/use-room-beside.ts';
import { useWidth } from '../../parts/use-width.ts';
import { Later } from '../../parts/later.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { messageShown } from '../../state/session.ts';
import { selectGoods } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { raisedPanel } from '../../theme/text.ts';
import { BESIDE_WIDTH, PAGE_WIDTH, SPACE, type Inks } from '../../theme/tokens.ts';
import { AddGood } from '../../page/later-forms.ts';
import { CsvPage } from './csv-page.tsx';
import { GoodPanel } from './good-panel.tsx';
import { GroupsPage } from './groups-page.tsx';
import { GoodsTable } from './goods-table.tsx';
import { GoodsTools } from './goods-tools.tsx';
import { ManyGoods } from './many-goods.tsx';
import { useGoods } from './use-goods.ts';

const BoxesPage = lazy(() => import('./boxes-page.tsx'));

const styles = (inks: Inks) => ({
  wide: {
    flex: 1,
    width: '100%',
    maxWidth: PAGE_WIDTH + 2 * SPACE.page,
    paddingHorizontal: SPACE.page,
    paddingTop: 24,
    overflow: 'auto' as 'scroll',
  } as const,
  phone: { flex: 1, paddingHorizontal: 20, paddingTop: 12, overflow: 'auto' as 'scroll' },
  full: { maxWidth: 'none' as unknown as number },
  table: { flex: 1, flexDirection: 'row', gap: 28 } as const,
  beside: { width: BESIDE_WIDTH + 60, flexGrow: 0, paddingTop: 12 } as const,
  panel: { ...raisedPanel(inks), padding: 12 },
  close: { margin: 0, alignSelf: 'flex-end' } as const,
  group: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12, paddingTop: 8 } as const,
  empty: { gap: 8, paddingTop: 24, alignItems: 'flex-start' } as const,
});

interface OpenFile {
  name: string;
  parsed: { rows: string[][]; faults: Fault[]; isSheet: boolean };
}

interface AllProps {
  only: GoodsView['only'];
  groupId: string | null;
  open: string | null;
  onOpen: (sku: string) => void;
  onCsv: () => void;
}

/** A product beside the table it is opened from. */
const GoodBeside = ({ good, onOpen }: { good: Good; onOpen: (sku: string) => void }) => {
  const style = useStyles(styles);
  return (
    <ScrollView style={style.beside}>
      <View style={style.panel}>
        <IconAction
          icon="close"
          size={20}
          style={style.close}
          accessibilityLabel={t('Close {good}', { good: good.name })}
          onPress={() => onOpen(good.sku)}
        />
        <ColumnWidth value="phone">
          <GoodPanel good={good} onGone={() => onOpen(good.sku)} onRenumbered={onOpen} />
        </ColumnWidth>
      </View>
    </ScrollView>
  );
};

/** That only a group's products are listed, which it is, and how to see all. */
const GroupShown = ({ id }: { id: string | null }) => {
  const style = useStyles(styles);
  const router = useRouter();
  const group = useBookParts('groups').groups.find((one) => one.id === id);
  if (!group) return null;
  return (
    <View style={style.group} role="status">
      <Text>{t('Only products in {group}', { group: group.name })}</Text>
      <TextAction
        label={t('To the group')}
        onPress={() => router.navigate({ pathname: '/goods', params: { panel: 'groups', group: group.id } })}
      />
      <TextAction label={t('Show all products')} onPress={() => router.navigate('/goods')} />
    </View>
  );
};

/** The whole list: its tools, what is being added or changed at once, and the table. */
const AllGoods = ({ only, groupId, open, onOpen, onCsv }: AllProps) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const isBeside = useHasRoomBeside();
  const opened = useAppSelector(selectGoods).get(open ?? '');
  const goods = useGoods({ only, groupId });
  const [adding, setAdding] = useState(false);
  const { chosen } = goods;
  return (
    <View style={isPhone ? style.phone : [style.wide, isBeside && opened ? style.full : null]}>
      <PageHead title={t('Products')} />
      {goods.all.length === 0 && !adding ? (
        <View style={style.empty}>
          <Text>{t('Your products, with their weights and sizes.')}</Text>
          <TextAction main label={t('Open a CSV or spreadsheet of products')} onPress={onCsv} />
          <TextAction label={t('Add a product')} onPress={() => setAdding(true)} />
        </View>
      ) : (
        <GoodsTools goods={goods} onAdd={() => setAdding(true)} onOpenCsv={onCsv} />
      )}
      <GroupShown id={groupId} />
      {adding ? (
        <Later>
          <AddGood onDone={() => setAdding(false)} />
        </Later>
      ) : null}
      {chosen.size > 0 ? <ManyGoods skus={[...chosen]} onDone={goods.clear} /> : null}
      {goods.all.length > 0 ? (
        <View style={style.table}>
          <GoodsTable goods={goods} open={open} onOpen={onOpen} />
          {isBeside && opened ? <GoodBeside good={opened} onOpen={onOpen} /> : null}
        </View>
      ) : null}
    </View>
  );
};

/** What stands in the address of the page. */
type Address = Partial<Record<'good' | 'only' | 'in' | 'panel' | 'group' | 'box', string>>;

/** A file of products that was chosen, to be looked through before it is imported. */
const useGoodsFile = () => {
  const dispatch = useAppDispatch();
  const [file, setFile] = useState<OpenFile | null>(null);
  const open = async (): Promise<void> => {
    const chosen = await chooseRows();
    if (!chosen) return;
    if (chosen.ok) setFile({ name: chosen.name, parsed: chosen });
    else
      dispatch(
        messageShown({
          text: t('{chosen} was not read: {why}', { chosen: chosen.name, why: chosen.why }),
          undo: false,
        }),
      );
  };
  return { file, openCsv: () => void open(), closeCsv: () => setFile(null) };
};

/** What is sent: the catalogue as a dense table; one good's page on a phone; a CSV that is being taken in. */
export default function GoodsScreen() {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { good: open, only, in: inGroup, panel, group, box } = useLocalSearchParams<Address>();
  const good = useAppSelector(selectGoods).get(open ?? '');
  const { file, openCsv, closeCsv } = useGoodsFile();
  const go = useCallback(
    (sku: string | null) =>
      router.navigate({
        pathname: '/goods',
        params: {
          ...(only === undefined ? {} : { only }),
          ...(inGroup === undefined ? {} : { in: inGroup }),
          ...(sku === null ? {} : { good: sku }),
        },
      }),
    [router, only, inGroup],
  );
  if (panel === 'boxes')
    return (
      <Later>
        <BoxesPage open={box ?? null} />
      </Later>
    );
  if (panel === 'groups') return <GroupsPage open={group ?? null} />;
  if (file) return <CsvPage {...file} onDone={closeCsv} />;
  if (isPhone && good) {
    return (
      <Page>
        <PageHead title={good.name} back={{ name: t('Products'), onPress: () => go(null) }} />
        <GoodPanel good={good} onGone={() => go(null)} onRenumbered={go} />
      </Page>
    );
  }
  return (
    <AllGoods
      key={`${only} ${inGroup}`}
      only={only === 'missing' ? 'missing' : 'all'}
      groupId={inGroup ?? null}
      open={open ?? null}
      onOpen={(sku) => go(sku === open ? null : sku)}
      onCsv={openCsv}
    />
  );
}
