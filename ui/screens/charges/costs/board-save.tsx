import { t } from '../../../../core/translate/translate.ts';
import { numbers, words, type SheetColumn } from '../../../../core/formats/sheet-column.ts';
import type { Margin } from '../../../../core/costs/margin-board.ts';
import { fileName } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { SaveList } from '../../../parts/save-list.tsx';
import type { BoardLines } from './board-lines.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';

const COLUMNS: SheetColumn[] = [
  { heading: 'place', ...words(t('The zone, delivery area or pickup point.')) },
  { heading: 'service', ...words(t('Empty for local delivery and pickup.')) },
  { heading: 'orders', ...numbers(t('Past orders.')) },
  { heading: 'charged', ...numbers(t('What all of them were charged without tax, minor units.')) },
  { heading: 'with_cost', ...numbers(t('Orders whose cost is on record or estimated.')) },
  { heading: 'estimated', ...numbers(t('Of those, orders whose cost is estimated.')) },
  { heading: 'cost', ...numbers(t('What they cost, minor units.')) },
  { heading: 'margin', ...numbers(t('What they were charged, less that; minor units.')) },
];

interface Row {
  place: string;
  service: string;
  margin: Margin;
}

const rowsOf = ({ zones, nearby, columns }: BoardLines): Row[] => [
  ...zones.flatMap(({ name: place, cells }) =>
    columns.flatMap(({ name: service }, at) => {
      const margin = cells[at];
      return margin && margin.orders > 0 ? [{ place, service, margin }] : [];
    }),
  ),
  ...nearby.map(({ name: place, total: margin }) => ({ place, service: '', margin })),
];

const cellsOf = ({ place, service, margin }: Row): string[] => [
  place,
  service,
  ...[
    margin.orders,
    margin.charged,
    margin.recorded + margin.estimated,
    margin.estimated,
    margin.cost,
    margin.margin,
  ].map(String),
];

/** The board by margin saved, a row for each of its cells. */
export const BoardSave = ({ lines }: { lines: BoardLines }) => {
  const { store } = useBookParts('store');
  return (
    <SaveList
      name={(kind) => fileName(store.name, 'margin', dayNow(store), kind)}
      sheet={t('Margin')}
      columns={() => COLUMNS}
      items={rowsOf(lines)}
      cells={cellsOf}
    />
  );
};
