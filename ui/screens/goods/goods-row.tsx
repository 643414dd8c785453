import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Good } from '../../../core/model/good.ts';
import type { DisplayFormat } from '../../../core/words/figure.ts';
import { TickBox } from '../../parts/check.tsx';
import { Press } from '../../parts/press.tsx';
import { useStyles } from '../../theme/styles.ts';
import { note, smallFigure } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { CellField } from './cell-field.tsx';
import { cellWords, COLUMNS, TITLES, type Column } from './goods-columns.ts';
import { COLUMN_WIDTHS, GRIDCELL, ROW_HEIGHT } from './goods-layout.ts';
import { cellId, type Cursor } from './use-grid.ts';

export interface RowPresses {
  onOpen: (sku: string) => void;
  onToggle: (sku: string, through: boolean) => void;
  onEdit: (sku: string, column: Column) => void;
  onFocus: (sku: string, column: Column) => void;
  onNext: () => void;
  onLeave: (fault: string | null) => void;
}

interface Props {
  good: Good;
  /** Where the row stands in the whole table, from 1, for those who hear it. */
  at: number;
  display: DisplayFormat;
  chosen: boolean;
  open: boolean;
  /** The cursor, where it is on this row. */
  cursor: Cursor | null;
  /** Whether the row takes part in the order of Tab although no cursor is anywhere. */
  first: boolean;
  presses: RowPresses;
}

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'stretch',
    height: ROW_HEIGHT,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  chosen: { backgroundColor: inks.raised, borderLeftWidth: 3, borderLeftColor: inks.ink, marginLeft: -3 },
  tick: { width: COLUMN_WIDTHS.tick, height: ROW_HEIGHT - 1, justifyContent: 'center' } as const,
  cell: { height: ROW_HEIGHT - 1, justifyContent: 'center', paddingHorizontal: 8 } as const,
  right: { textAlign: 'right' } as const,
  figure: { ...smallFigure, color: inks.ink },
  missing: { ...smallFigure, color: inks.rubric, fontStyle: 'italic' } as const,
  sku: note(inks),
  more: {
    width: COLUMN_WIDTHS.more,
    height: ROW_HEIGHT - 1,
    justifyContent: 'center',
    alignItems: 'flex-end',
  } as const,
  under: { textDecorationLine: 'underline' } as const,
});

const Cell = ({
  good,
  column,
  display,
  cursor,
  first,
  presses,
}: Omit<Props, 'chosen' | 'at' | 'open'> & { column: Column }) => {
  const style = useStyles(styles);
  const isHere = cursor?.column === column;
  const { text, missing } = cellWords(good, column, display);
  const width = COLUMN_WIDTHS[column];
  const size = width === null ? { flex: 1, minWidth: 0 } : { width };
  if (isHere && cursor.editing) {
    return (
      <View role={GRIDCELL} style={[style.cell, size]}>
        <CellField good={good} column={column} onNext={presses.onNext} onLeave={presses.onLeave} />
      </View>
    );
  }
  const isTabStop = isHere || (first && column === 'name');
  return (
    <Pressable
      id={cellId(good.sku, column)}
      role={GRIDCELL}
      tabIndex={isTabStop ? 0 : -1}
      aria-label={`${TITLES[column]}: ${text}${column === 'name' ? `, ${good.sku}` : ''}`}
      onFocus={() => presses.onFocus(good.sku, column)}
      onPress={() => presses.onEdit(good.sku, column)}
      style={size}
    >
      <View style={style.cell}>
        {column === 'name' ? (
          <Text numberOfLines={1}>
            {text}
            <Text style={style.sku}>
              {'   '}
              {good.sku}
              {good.fulfilment === 'digital' ? t(', digital') : ''}
            </Text>
          </Text>
        ) : (
          <Text style={[missing ? style.missing : style.figure, style.right]} numberOfLines={1}>
            {text}
          </Text>
        )}
      </View>
    </Pressable>
  );
};

/** One good as a row of the table, its cells edited where they stand. */
export const GoodsRow = memo(function GoodsRow(props: Props) {
  const style = useStyles(styles);
  const { good, at, chosen, open, presses } = props;
  return (
    <View role="row" aria-rowindex={at} style={[style.row, chosen ? style.chosen : null]}>
      <View role={GRIDCELL}>
        <Press
          role="checkbox"
          aria-checked={chosen}
          aria-label={t('Choose {good}', { good: good.name })}
          onPress={(event) =>
            presses.onToggle(
              good.sku,
              (event.nativeEvent as unknown as { shiftKey?: boolean }).shiftKey === true,
            )
          }
        >
          <View style={style.tick}>
            <TickBox on={chosen} />
          </View>
        </Press>
      </View>
      {COLUMNS.map((column) => (
        <Cell key={column} column={column} {...props} />
      ))}
      <View role={GRIDCELL}>
        <Press
          role="button"
          aria-expanded={open}
          aria-label={t('All of {good}', { good: good.name })}
          onPress={() => presses.onOpen(good.sku)}
        >
          <View style={style.more}>
            <Text style={[style.sku, style.under]}>{open ? t('hide') : t('more')}</Text>
          </View>
        </Press>
      </View>
    </View>
  );
});
