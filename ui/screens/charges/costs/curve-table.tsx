import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { marginWithMore } from '../../../../core/costs/lever-curve.ts';
import type { Lever } from '../../../../core/costs/lever.ts';
import { chargedWithCost, type WhatIf } from '../../../../core/costs/what-if.ts';
import { numbers, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import { moneyFigure, type DisplayFormat } from '../../../../core/words/figure.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { Fold } from '../../../parts/fold.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { valueLabel, valueText } from './lever-words.ts';
import { signedMoney } from './signed-money.ts';
import { Actions } from '../../../parts/actions.tsx';

const COLUMNS: SheetColumn[] = [
  {
    heading: 'value',
    ...numbers(t('Of the figure that is changed: minor units, or hundredths of a percent.')),
  },
  { heading: 'charged', ...numbers(t('What the orders with a cost would be charged, minor units.')) },
  { heading: 'cost', ...numbers(t('What those with a cost take, minor units.')) },
  { heading: 'margin', ...numbers(t('Charged less cost, of those with a cost; minor units.')) },
  { heading: 'pay_more', ...numbers(t('Orders charged more than now.')) },
  { heading: 'pay_less', ...numbers(t('Orders charged less than now.')) },
  { heading: 'lost', ...numbers(t('Orders that could not be bought this way any more.')) },
];

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
    paddingVertical: 4,
  } as const,
  head: { ...note(inks), flex: 1, textAlign: 'right' } as const,
  cell: { ...smallFigure, flex: 1, textAlign: 'right', color: inks.ink } as const,
});

/** A point of the line as the columns of a file have it. */
const savedCells = (point: WhatIf, moreOrders: number): string[] =>
  [
    point.value ?? '',
    chargedWithCost(point.now),
    point.now.cost,
    marginWithMore(point, moreOrders),
    point.more.orders,
    point.less.orders,
    point.lost,
  ].map(String);

/** A point of the line as the table shows it. */
const shownCells = (point: WhatIf, lever: Lever, moreOrders: number, display: DisplayFormat): string[] => [
  valueText(lever, point.value, display),
  moneyFigure(chargedWithCost(point.now), display.decimals),
  signedMoney(marginWithMore(point, moreOrders), display.decimals),
  String(point.more.orders),
  String(point.less.orders),
];

/** The line of a lever as a table, and saved as one. */
export const CurveTable = ({
  curve,
  lever,
  name,
  moreOrders,
}: {
  curve: readonly WhatIf[];
  lever: Lever;
  name: string;
  moreOrders: number;
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const { store } = useBookParts('store');
  return (
    <Fold title={t('Table')} of={name} summary={t('the same line in figures, to read or to save')}>
      <View role="table" aria-label={`${valueLabel(lever)}, ${name}`}>
        <View role="row" style={style.row}>
          {[t('Value'), t('Charged'), t('Margin'), t('Pay more'), t('Pay less')].map((heading) => (
            <Text key={heading} role="columnheader" style={style.head}>
              {heading}
            </Text>
          ))}
        </View>
        {curve.map((point) => (
          <View role="row" key={String(point.value)} style={style.row}>
            {shownCells(point, lever, moreOrders, display).map((cell, at) => (
              <Text key={COLUMNS[at]?.heading} role="cell" style={style.cell}>
                {cell}
              </Text>
            ))}
          </View>
        ))}
      </View>
      <Actions>
        <SaveList
          name={(kind) => fileName(store.name, 'what-if', dayNow(store), kind)}
          sheet={t('What if')}
          columns={() => COLUMNS}
          items={curve}
          cells={(point) => savedCells(point, moreOrders)}
        />
      </Actions>
    </Fold>
  );
};
