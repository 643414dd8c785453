import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { WorkingLine } from '../../core/model/quote.ts';
import { moneyFigure } from '../../core/words/figure.ts';
import { selectBook } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { smallFigure } from '../theme/text.ts';
import { SERIF, type Inks } from '../theme/tokens.ts';
import { ruleLink } from './rule-link.ts';
import { RuleRow } from './rule-row.tsx';

interface Props {
  lines: readonly WorkingLine[];
  decimals: number;
}

const styles = (inks: Inks) => ({
  ledger: { borderLeftWidth: 1, borderLeftColor: inks.hairline, marginLeft: 12, marginBottom: 12 },
  line: {
    flexDirection: 'row',
    gap: 12,
    paddingLeft: 12,
    paddingVertical: 4,
    alignItems: 'flex-start',
  } as const,
  text: { flex: 1, fontFamily: SERIF, fontSize: 15, lineHeight: 20, color: inks.ink },
  linked: { textDecorationLine: 'underline', textDecorationColor: inks.control } as const,
  change: { ...smallFigure, color: inks.ink, minWidth: 52, textAlign: 'right' } as const,
  running: { ...smallFigure, color: inks.quiet, minWidth: 52, textAlign: 'right' } as const,
});

/** How a charge came about: each line with its change and the running total, leading to its rule. */
export const Working = ({ lines, decimals }: Props) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectBook);
  return (
    <View style={style.ledger} role="list" aria-label={t('How it adds up')}>
      {lines.map((line, at) => {
        const link = ruleLink(book, line.from);
        return (
          <RuleRow key={`${line.step}-${at}`} link={link} label={`${line.text}.`}>
            <View style={style.line}>
              <Text style={[style.text, link ? style.linked : null]}>{line.text}</Text>
              <Text style={style.change}>{moneyFigure(line.change, decimals)}</Text>
              <Text style={style.running}>{moneyFigure(line.running, decimals)}</Text>
            </View>
          </RuleRow>
        );
      })}
    </View>
  );
};
