import { useCallback, useMemo, useRef } from 'react';
import { FlatList, View, type ListRenderItem, type ViewProps } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Good } from '../../../core/model/good.ts';
import type { GoodsOrder } from '../../../core/goods/sort.ts';
import { TickBox } from '../../parts/check.tsx';
import { Press } from '../../parts/press.tsx';
import { useHasRoomBeside } from '../../parts/use-room-beside.ts';
import { useWidth } from '../../parts/use-width.ts';
import { FEW_AT_A_TIME } from '../../parts/list-pace.ts';
import { messageShown } from '../../state/session.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { GoodPanel } from './good-panel.tsx';
import { COLUMNS, TITLES } from './goods-columns.ts';
import {
  COLUMN_WIDTHS,
  GRIDCELL,
  OPEN_HEIGHT,
  PHONE_ROW_HEIGHT,
  ROW_HEIGHT,
  rowPlace,
} from './goods-layout.ts';
import { GoodsRow, type RowPresses } from './goods-row.tsx';
import { PhoneRow } from './phone-row.tsx';
import type { Goods } from './use-goods.ts';
import { useGrid, type Grid } from './use-grid.ts';

interface Props {
  goods: Goods;
  open: string | null;
  onOpen: (sku: string) => void;
}

const styles = (inks: Inks) => ({
  all: { flex: 1, minHeight: 300 },
  list: { flex: 1 },
  head: { flexDirection: 'row', borderBottomWidth: 1, borderBottomColor: inks.ink } as const,
  title: { ...note(inks), paddingHorizontal: 8, paddingVertical: 8 },
  sorted: { color: inks.ink, fontFamily: SANS_STRONG },
  tick: { width: COLUMN_WIDTHS.tick, paddingVertical: 7 },
  more: { width: COLUMN_WIDTHS.more },
  open: {
    height: OPEN_HEIGHT,
    overflow: 'auto' as 'scroll',
    borderBottomWidth: 1,
    borderBottomColor: inks.ink,
  },
  none: { ...note(inks), paddingVertical: 24 },
});

const ORDERS: Record<(typeof COLUMNS)[number], GoodsOrder> = {
  name: 'name',
  price: 'price',
  weight: 'weight',
  size: 'size',
};

/** The headings; each sorts by its column, again the other way round, and a third time as listed. */
const Heading = ({ goods }: { goods: Goods }) => {
  const style = useStyles(styles);
  const { view, shown, chosen } = goods;
  const isAll = shown.length > 0 && shown.every(({ sku }) => chosen.has(sku));
  return (
    <View style={style.head} role="row">
      <View role="columnheader">
        <Press
          role="checkbox"
          aria-checked={isAll}
          aria-label={t('Choose all that are shown')}
          onPress={goods.toggleAll}
        >
          <View style={style.tick}>
            <TickBox on={isAll} />
          </View>
        </Press>
      </View>
      {COLUMNS.map((column) => {
        const width = COLUMN_WIDTHS[column];
        const isSorted = view.order === ORDERS[column];
        const sort = !isSorted ? 'none' : view.falling ? 'descending' : 'ascending';
        return (
          <View
            key={column}
            role="columnheader"
            style={width === null ? { flex: 1 } : { width }}
            {...({ 'aria-sort': sort } as ViewProps)}
          >
            <Press
              role="button"
              aria-label={t('Sort by {name}', { name: TITLES[column].toLowerCase() })}
              onPress={() => goods.sortBy(ORDERS[column])}
            >
              <Text
                style={[
                  style.title,
                  isSorted ? style.sorted : null,
                  { textAlign: width === null ? 'left' : 'right' },
                ]}
              >
                {TITLES[column]}
                {isSorted ? (view.falling ? ' ↓' : ' ↑') : ''}
              </Text>
            </Press>
          </View>
        );
      })}
      <View style={style.more} role="columnheader" aria-label={t('More')} />
    </View>
  );
};

const keyOf = ({ sku }: Good): string => sku;

/** What pressing a row does, in functions that stay the same so that no row is drawn again without need. */
const usePresses = (grid: Grid, goods: Goods, onOpen: (sku: string) => void): RowPresses => {
  const dispatch = useAppDispatch();
  const latest = useRef({ grid, goods, onOpen });
  latest.current = { grid, goods, onOpen };
  return useMemo(
    () => ({
      onOpen: (sku) => latest.current.onOpen(sku),
      onToggle: (sku, through) => latest.current.goods.toggle(sku, through),
      onEdit: (sku, column) => latest.current.grid.edit(sku, column),
      onFocus: (sku, column) => latest.current.grid.focusCell(sku, column),
      onNext: () => latest.current.grid.next(),
      onLeave: (fault) => {
        latest.current.grid.leave();
        if (fault !== null) dispatch(messageShown({ text: fault, undo: false }));
      },
    }),
    [dispatch],
  );
};

/** What opens under the row of a product. */
const OpenGood = ({ good, onOpen }: { good: Good; onOpen: (sku: string) => void }) => {
  const style = useStyles(styles);
  return (
    <View style={style.open} role="row">
      <View role={GRIDCELL}>
        <GoodPanel good={good} onGone={() => onOpen(good.sku)} onRenumbered={onOpen} />
      </View>
    </View>
  );
};

/** The products as a table that draws only the rows in sight; on a phone, as a list of two lines each. */
export const GoodsTable = ({ goods, open, onOpen }: Props) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const display = useAppSelector(selectDisplayFormat);
  const list = useRef<FlatList<Good>>(null);
  const grid = useGrid(goods.shown, (index) => {
    if (index >= 0) list.current?.scrollToIndex({ index, viewPosition: 0.5, animated: false });
  });
  const presses = usePresses(grid, goods, onOpen);
  const { cursor } = grid;
  const isBeside = useHasRoomBeside();
  const openIndex = open === null ? -1 : goods.shown.findIndex(({ sku }) => sku === open);
  const openAt = isPhone || isBeside ? -1 : openIndex;
  const isElsewhere = cursor === null || !goods.shown.some(({ sku }) => sku === cursor.sku);
  const render: ListRenderItem<Good> = useCallback(
    ({ item, index }) =>
      isPhone ? (
        <PhoneRow good={item} display={display} chosen={goods.chosen.has(item.sku)} presses={presses} />
      ) : (
        <>
          <GoodsRow
            good={item}
            at={index + 2}
            display={display}
            chosen={goods.chosen.has(item.sku)}
            open={index === openIndex}
            cursor={cursor?.sku === item.sku ? cursor : null}
            first={isElsewhere && index === 0}
            presses={presses}
          />
          {index === openAt ? <OpenGood good={item} onOpen={onOpen} /> : null}
        </>
      ),
    [isPhone, display, goods.chosen, presses, cursor, openIndex, openAt, isElsewhere, onOpen],
  );
  const asGrid = { 'aria-rowcount': goods.shown.length + 1, onKeyDownCapture: grid.onKey } as ViewProps;
  return (
    <View
      style={style.all}
      role={isPhone ? 'list' : 'grid'}
      aria-label={t('Products')}
      {...(isPhone ? {} : asGrid)}
    >
      {isPhone ? null : <Heading goods={goods} />}
      {goods.shown.length === 0 ? <Text style={style.none}>{t('No product matches.')}</Text> : null}
      <FlatList
        ref={list}
        style={style.list}
        data={goods.shown}
        extraData={render}
        renderItem={render}
        keyExtractor={keyOf}
        getItemLayout={(_, index) => rowPlace(index, isPhone ? PHONE_ROW_HEIGHT : ROW_HEIGHT, openAt)}
        initialNumToRender={24}
        {...FEW_AT_A_TIME}
        role="none"
      />
    </View>
  );
};
