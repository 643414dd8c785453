import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { Margin } from '../../../../core/costs/margin-board.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { Beside } from '../../../parts/beside.tsx';
import { Section } from '../../../parts/section.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useHasRoomBeside } from '../../../parts/use-room-beside.ts';
import { useWidth } from '../../../parts/use-width.ts';
import { selectBook } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import type { BoardOfPeriod, Coster } from '../../../workers/costs/coster.ts';
import { Panel } from '../panel.tsx';
import {
  boardLines,
  greatestMargin,
  inOrder,
  type BoardLine,
  type BoardLines,
  type LineOrder,
} from './board-lines.ts';
import { BoardSave } from './board-save.tsx';
import { MarginLines, type MarginLine } from './margin-lines.tsx';
import { MarginTable, type Cell } from './margin-table.tsx';
import { OrdersBehind } from './orders-behind.tsx';
import { Actions } from '../../../parts/actions.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
  board: BoardOfPeriod;
}

const ORDERS = [
  { value: 'board', label: t('As on the board') },
  { value: 'loss', label: t('Most lost first') },
  { value: 'margin', label: t('Most earned first') },
  { value: 'orders', label: t('Most orders first') },
] as const satisfies readonly { value: LineOrder; label: string }[];

const order = { maxWidth: 640, paddingTop: 12 } as const;
const actions = { paddingTop: 8 };

const whole = (line: BoardLine): MarginLine => ({
  cell: { row: line.id, column: null, name: line.name },
  name: line.name,
  margin: line.total,
});

/** The services of a zone that have orders. */
const inside = (line: BoardLine, { columns }: BoardLines): MarginLine[] =>
  columns.flatMap(({ id, name }, at) => {
    const margin = line.cells[at];
    return margin && margin.orders > 0
      ? [
          {
            cell: { row: line.id, column: id, name: t('{name} to {line}', { name, line: line.name }) },
            name,
            margin,
          },
        ]
      : [];
  });

const Orders = ({
  coster,
  filter,
  cell,
  onClose,
}: Omit<Props, 'board'> & { cell: Cell; onClose: () => void }) => {
  const { row, column } = cell;
  const ask = useCallback((at: Remote<Coster>) => at.ordersOf(filter, row, column), [filter, row, column]);
  const title = t('Orders: {cell}', { cell: cell.name });
  const isPhone = useWidth() === 'phone';
  return (
    <Panel title={title} onClose={onClose}>
      {isPhone ? <Section title={title} /> : null}
      <OrdersBehind key={cell.name} coster={coster} ask={ask} />
      {isPhone ? <TextAction label={t('Close the orders')} onPress={onClose} /> : null}
    </Panel>
  );
};

/** On a phone each zone with its services under it. */
const PhoneLines = ({
  lines,
  greatest,
  by,
  ...open
}: {
  lines: BoardLines;
  greatest: number;
  by: LineOrder;
  open: Cell | null;
  onOpen: (cell: Cell) => void;
}) => (
  <>
    {lines.zones.map((line) => (
      <View key={line.id}>
        <Section title={line.name} />
        <MarginLines
          label={line.name}
          lines={inOrder(inside(line, lines), by, ({ margin }) => margin)}
          greatest={greatest}
          {...open}
        />
      </View>
    ))}
  </>
);

/** Where past orders earned and lost: zones against services, then what is brought round or collected. */
export const MarginView = ({ coster, filter, board }: Props) => {
  const isPhone = useWidth() === 'phone';
  const isBeside = useHasRoomBeside();
  const book = useAppSelector(selectBook);
  const [cell, setCell] = useState<Cell | null>(null);
  const [by, setBy] = useState<LineOrder>('board');
  const { columns, zones, nearby } = boardLines(board, book);
  const total = ({ total: margin }: BoardLine): Margin => margin;
  const lines = { columns, zones: inOrder(zones, by, total), nearby: inOrder(nearby, by, total) };
  const greatest = greatestMargin(lines);
  const press = (next: Cell): void =>
    setCell(cell?.row === next.row && cell.column === next.column ? null : next);
  const shared = { open: cell, onOpen: press };
  const panel = cell ? (
    <Orders coster={coster} filter={filter} cell={cell} onClose={() => setCell(null)} />
  ) : null;
  return (
    <Beside panel={panel}>
      <View style={order}>
        <Segments label={t('Order of rows')} value={by} options={ORDERS} onChange={setBy} />
      </View>
      {isPhone ? (
        <PhoneLines lines={lines} greatest={greatest} by={by} {...shared} />
      ) : (
        <MarginTable lines={lines} {...shared} />
      )}
      {lines.nearby.length === 0 ? null : (
        <>
          <Section title={t('Local delivery and pickup')} />
          <MarginLines
            label={t('Local delivery and pickup')}
            lines={lines.nearby.map(whole)}
            greatest={greatest}
            {...shared}
          />
        </>
      )}
      <Actions style={actions}>
        <BoardSave lines={lines} />
      </Actions>
      {isBeside ? null : panel}
    </Beside>
  );
};
