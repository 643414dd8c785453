import { t } from '../../../../core/translate/translate.ts';
import { cellKey, NO_MARGIN, type Margin, type MarginBoard } from '../../../../core/costs/margin-board.ts';
import type { Book } from '../../../../core/model/book.ts';

/** A row of the board by margin, named; `cells` go by the columns. */
export interface BoardLine {
  id: string;
  name: string;
  total: Margin;
  cells: readonly Margin[];
}

/** The board by margin as it is drawn: zones against services, then what is brought round or collected. */
export interface BoardLines {
  columns: readonly { id: string; name: string; total: Margin }[];
  zones: readonly BoardLine[];
  nearby: readonly BoardLine[];
}

const named = (list: readonly { id: string; name: string }[], kind: string): { id: string; name: string }[] =>
  list.map(({ id, name }) => ({ id: `${kind}:${id}`, name }));

const GONE = { id: 'gone', name: t('Not in the book') };

/** The rows and columns that have orders, in the order of the book. */
export const boardLines = ({ rows, columns, cells }: MarginBoard, book: Book): BoardLines => {
  const services = named(book.services, 'service').filter(({ id }) => columns.has(id));
  const line = ({ id, name }: { id: string; name: string }): BoardLine => ({
    id,
    name,
    total: rows.get(id) ?? NO_MARGIN,
    cells: services.map((service) => cells.get(cellKey(id, service.id)) ?? NO_MARGIN),
  });
  const lines = (list: { id: string; name: string }[]): BoardLine[] =>
    list.filter(({ id }) => rows.has(id)).map(line);
  return {
    columns: services.map((service) => ({ ...service, total: columns.get(service.id) ?? NO_MARGIN })),
    zones: lines(named(book.zones, 'zone')),
    nearby: lines([...named(book.areas, 'area'), ...named(book.pickups, 'pickup'), GONE]),
  };
};

/** The greatest gain or loss that a bar has to show; minor units. */
export const greatestMargin = ({ zones, nearby }: BoardLines): number =>
  Math.max(
    1,
    ...zones.flatMap(({ cells }) => cells.map(({ margin }) => Math.abs(margin))),
    ...nearby.map(({ total }) => Math.abs(total.margin)),
  );

/** The order that rows stand in: the board's own, or by what they came to. */
export type LineOrder = 'board' | 'loss' | 'margin' | 'orders';

const FIRST: Readonly<Record<Exclude<LineOrder, 'board'>, (a: Margin, b: Margin) => number>> = {
  loss: (a, b) => a.margin - b.margin,
  margin: (a, b) => b.margin - a.margin,
  orders: (a, b) => b.orders - a.orders,
};

/** The same rows in another order; rows that come to the same stay as they were. */
export const inOrder = <T>(
  lines: readonly T[],
  by: LineOrder,
  marginOf: (line: T) => Margin,
): readonly T[] => (by === 'board' ? lines : [...lines].sort((a, b) => FIRST[by](marginOf(a), marginOf(b))));
