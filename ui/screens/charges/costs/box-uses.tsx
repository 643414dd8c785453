import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Rect } from 'react-native-svg';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import type { BoxUse } from '../../../../core/costs/packing-compared.ts';
import { numbers, words, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import { percentFigure, sizeFigure } from '../../../../core/words/figure.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { Press } from '../../../parts/press.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { useInks } from '../../../theme/theme.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { TOUCH, type Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { OrdersBehind } from './orders-behind.tsx';
import { Actions } from '../../../parts/actions.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
  accountId: string;
  uses: readonly BoxUse[];
}

const COLUMNS: SheetColumn[] = [
  { heading: 'box', ...words(t('Its name.')) },
  { heading: 'inside', ...words(t('Length, width and height, millimetres.')) },
  { heading: 'orders', ...numbers(t('Past orders with a parcel in it.')) },
  { heading: 'parcels', ...numbers(t('Parcels packed into it.')) },
  { heading: 'filled', ...numbers(t('The share of its room that products took up, in percent.')) },
];

const styles = (inks: Inks) => ({
  rows: { maxWidth: 860 },
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 12,
    rowGap: 2,
    paddingVertical: 8,
    minHeight: TOUCH,
  } as const,
  words: { flexGrow: 1, flexBasis: 190 },
  end: { width: 104, alignItems: 'flex-end' } as const,
  note: note(inks),
  figure: { ...smallFigure, color: inks.ink },
  orders: { paddingBottom: 12 },
});

const BAR = 150;
const TALL = 10;

/** How full a box is: ink for the products, an outline for its room. */
const FilledBar = ({ share }: { share: number }) => {
  const inks = useInks();
  return (
    <View aria-hidden>
      <Svg width={BAR} height={TALL + 2}>
        <Rect x={0.5} y={1} width={BAR - 1} height={TALL} fill="none" stroke={inks.control} />
        <Rect x={0.5} y={1} width={(BAR - 1) * share} height={TALL} fill={inks.ink} />
      </Svg>
    </View>
  );
};

/** 25 % of a share of 0.2549. */
const filledText = (share: number): string => percentFigure(Math.round(share * 100) * 100);

const useText = ({ box: { inside }, parcels, orders }: BoxUse): string => {
  const { units } = useAppSelector(selectDisplayFormat);
  const size = t('{size} inside', { size: sizeFigure(inside, units) });
  if (parcels === 0) return t('{size}; not used', { size });
  return t(
    '{size}; {parcels, plural, one {# parcel} other {# parcels}} of {orders, plural, one {# order} other {# orders}}',
    { size, parcels, orders },
  );
};

const BoxRow = ({ use, coster, filter, accountId }: Omit<Props, 'uses'> & { use: BoxUse }) => {
  const style = useStyles(styles);
  const [open, setOpen] = useState(false);
  const { box, filled } = use;
  const text = useText(use);
  const share = filled === null ? '' : t('{share} full', { share: filledText(filled) });
  const ask = useCallback(
    (at: Remote<Coster>) => at.ordersInBox(filter, accountId, box.id),
    [filter, accountId, box.id],
  );
  const row = (
    <View style={style.row}>
      <View style={style.words}>
        <Text>{box.name}</Text>
        <Text style={style.note}>{text}</Text>
      </View>
      {filled === null ? null : <FilledBar share={filled} />}
      <View style={style.end}>
        <Text style={style.figure}>{share}</Text>
      </View>
    </View>
  );
  return (
    <View role="listitem" style={style.item}>
      {filled === null ? (
        row
      ) : (
        <Press
          role="button"
          aria-expanded={open}
          aria-label={`${labelled(box.name, text)}, ${share}`}
          onPress={() => setOpen(!open)}
        >
          {row}
        </Press>
      )}
      {open ? (
        <View style={style.orders}>
          <OrdersBehind coster={coster} ask={ask} />
        </View>
      ) : null}
    </View>
  );
};

/** The boxes of an account: how often each was used for past orders, and how full; each leads to its orders. */
export const BoxUses = ({ uses, ...shared }: Props) => {
  const style = useStyles(styles);
  const { store } = useBookParts('store');
  return (
    <>
      <View role="list" aria-label={t('How full the boxes are')} style={style.rows}>
        {uses.map((use) => (
          <BoxRow key={use.box.id} use={use} {...shared} />
        ))}
      </View>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'box-use', dayNow(store), kind)}
          sheet={t('Boxes')}
          columns={() => COLUMNS}
          items={uses}
          cells={({ box: { name, inside }, orders, parcels, filled }) =>
            [
              name,
              `${inside.length} x ${inside.width} x ${inside.height}`,
              orders,
              parcels,
              filled === null ? '' : Math.round(filled * 100),
            ].map(String)
          }
        />
      </Actions>
    </>
  );
};
