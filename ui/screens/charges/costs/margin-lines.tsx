import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { Margin } from '../../../../core/costs/margin-board.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { Press } from '../../../parts/press.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import { SERIF_STRONG, TOUCH, type Inks } from '../../../theme/tokens.ts';
import { MarginBar } from './margin-bar.tsx';
import { marginWords } from './margin-words.ts';
import type { Cell } from './margin-table.tsx';
import { signedMoney } from './signed-money.ts';

export interface MarginLine {
  cell: Cell;
  /** Its name as the line shows it. */
  name: string;
  margin: Margin;
}

const styles = (inks: Inks) => ({
  all: { maxWidth: 720 },
  row: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  inside: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingVertical: 6,
  } as const,
  words: { flex: 1 },
  note: note(inks),
  end: { alignItems: 'flex-end', gap: 2 } as const,
  figure: { ...smallFigure, color: inks.ink },
  loss: { ...smallFigure, fontFamily: SERIF_STRONG, color: inks.rubric },
});

/** What some ways to get an order earned or lost, a line each. */
export const MarginLines = ({
  label,
  lines,
  greatest,
  open,
  onOpen,
}: {
  label: string;
  lines: readonly MarginLine[];
  greatest: number;
  open: Cell | null;
  onOpen: (cell: Cell) => void;
}) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  return (
    <View role="list" aria-label={label} style={style.all}>
      {lines.map(({ cell, name, margin }) => (
        <View role="listitem" key={`${cell.row} ${cell.column}`} style={style.row}>
          <Press
            role="button"
            aria-label={marginWords(cell.name, margin, decimals)}
            aria-expanded={open?.row === cell.row && open.column === cell.column}
            onPress={() => onOpen(cell)}
          >
            <View style={style.inside}>
              <View style={style.words}>
                <Text>{name}</Text>
                <Text style={style.note}>
                  {t('{orders, plural, one {# order} other {# orders}}, {amount} charged', {
                    orders: margin.orders,
                    amount: moneyFigure(margin.chargedWithCost, decimals),
                  })}
                </Text>
              </View>
              <View style={style.end}>
                <Text style={margin.margin < 0 ? style.loss : style.figure}>
                  {signedMoney(margin.margin, decimals)}
                </Text>
                <MarginBar margin={margin.margin} greatest={greatest} width={96} />
              </View>
            </View>
          </Press>
        </View>
      ))}
    </View>
  );
};
