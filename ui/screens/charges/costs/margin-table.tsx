import { ScrollView, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Margin } from '../../../../core/costs/margin-board.ts';
import { Press } from '../../../parts/press.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { SANS_STRONG, SERIF_STRONG, type Inks } from '../../../theme/tokens.ts';
import { greatestMargin, type BoardLine, type BoardLines } from './board-lines.ts';
import { MarginBar } from './margin-bar.tsx';
import { marginWords } from './margin-words.ts';
import { signedMoney } from './signed-money.ts';

/** A row and a column of the board; null is all of them. */
export interface Cell {
  row: string | null;
  column: string | null;
  name: string;
}

interface Props {
  lines: BoardLines;
  open: Cell | null;
  onOpen: (cell: Cell) => void;
}

const NAME = 136;
const CELL = 114;
const BAR = 92;

const styles = (inks: Inks) => ({
  row: { flexDirection: 'row', borderBottomWidth: 1, borderBottomColor: inks.hairline } as const,
  head: { flexDirection: 'row', borderBottomWidth: 1, borderBottomColor: inks.ink } as const,
  sums: { flexDirection: 'row', borderTopWidth: 1, borderTopColor: inks.ink } as const,
  name: { width: NAME, paddingVertical: 8, paddingRight: 8 },
  nameText: { fontFamily: SANS_STRONG, fontSize: 14, lineHeight: 20 },
  cell: { width: CELL, borderTopWidth: 3, borderTopColor: 'transparent' },
  open: { borderTopColor: inks.ink, backgroundColor: inks.raised },
  inside: { paddingVertical: 6, paddingHorizontal: 8, alignItems: 'flex-end', gap: 1 } as const,
  figure: { ...smallFigure, color: inks.ink },
  loss: { ...smallFigure, fontFamily: SERIF_STRONG, color: inks.rubric },
  note: { ...note(inks), textAlign: 'right' } as const,
  headText: { ...note(inks), textAlign: 'right', paddingHorizontal: 8, paddingVertical: 8 } as const,
});

const isSame = (a: Cell | null, b: Cell): boolean => a?.row === b.row && a.column === b.column;

const MarginCell = ({
  cell,
  margin,
  greatest,
  open,
  onOpen,
}: {
  cell: Cell;
  margin: Margin;
  greatest: number | null;
} & Pick<Props, 'open' | 'onOpen'>) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  if (margin.orders === 0) return <View role="cell" style={style.cell} />;
  return (
    <View role="cell" style={[style.cell, isSame(open, cell) ? style.open : null]}>
      <Press
        role="button"
        aria-label={marginWords(cell.name, margin, decimals)}
        aria-expanded={isSame(open, cell)}
        onPress={() => onOpen(cell)}
      >
        <View style={style.inside}>
          <Text style={margin.margin < 0 ? style.loss : style.figure}>
            {signedMoney(margin.margin, decimals)}
          </Text>
          {greatest === null ? null : <MarginBar margin={margin.margin} greatest={greatest} width={BAR} />}
          <Text style={style.note}>
            {t('{orders, plural, one {# order} other {# orders}}', { orders: margin.orders })}
          </Text>
        </View>
      </Press>
    </View>
  );
};

const Line = ({
  line,
  lines,
  ...shared
}: { line: BoardLine; lines: BoardLines; greatest: number } & Pick<Props, 'open' | 'onOpen'>) => {
  const style = useStyles(styles);
  return (
    <View role="row" style={style.row}>
      <View role="rowheader" style={style.name}>
        <Text style={style.nameText}>{line.name}</Text>
      </View>
      {lines.columns.map(({ id, name }, at) => (
        <MarginCell
          key={id}
          cell={{ row: line.id, column: id, name: t('{name} to {line}', { name, line: line.name }) }}
          margin={line.cells[at] as Margin}
          {...shared}
        />
      ))}
      <MarginCell
        cell={{ row: line.id, column: null, name: t('{line}, all services', { line: line.name }) }}
        margin={line.total}
        {...shared}
        greatest={null}
      />
    </View>
  );
};

/** Zones down, services across, in each cell what its orders earned or lost. */
export const MarginTable = ({ lines, open, onOpen }: Props) => {
  const style = useStyles(styles);
  const shared = { open, onOpen };
  const greatest = greatestMargin(lines);
  return (
    <ScrollView horizontal>
      <View role="table" aria-label={t('Margin by zone and service')}>
        <View role="row" style={style.head}>
          <View role="columnheader" style={style.name} />
          {[...lines.columns.map(({ name }) => name), t('All services')].map((name) => (
            <View role="columnheader" key={name} style={style.cell}>
              <Text style={style.headText}>{name}</Text>
            </View>
          ))}
        </View>
        {lines.zones.map((line) => (
          <Line key={line.id} line={line} lines={lines} greatest={greatest} {...shared} />
        ))}
        <View role="row" style={style.sums}>
          <View role="rowheader" style={style.name}>
            <Text style={style.nameText}>{t('All zones')}</Text>
          </View>
          {lines.columns.map((column) => (
            <MarginCell
              key={column.id}
              cell={{ row: null, column: column.id, name: t('{column}, all zones', { column: column.name }) }}
              margin={column.total}
              greatest={null}
              {...shared}
            />
          ))}
          <View role="cell" style={style.cell} />
        </View>
      </View>
    </ScrollView>
  );
};
