import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { locatedSentence } from '../../core/words/fault-sentence.ts';
import type { ListSummary } from '../workers/list-reader.ts';
import { Sum } from '../parts/sum.tsx';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { SANS_STRONG, type Inks } from '../theme/tokens.ts';

interface Props {
  summary: ListSummary;
  odd: readonly string[];
}

const MOST_LINES = 30;

const styles = (inks: Inks) => ({
  sums: { flexDirection: 'row', flexWrap: 'wrap', gap: 20, paddingVertical: 8 } as const,
  note: note(inks),
  head: { fontFamily: SANS_STRONG, paddingTop: 12, paddingBottom: 4 },
  fault: { color: inks.rubric, paddingVertical: 2 },
  line: { paddingVertical: 2 },
});

const Lines = ({
  title,
  lines,
  count,
  isFault,
}: {
  title: string;
  lines: readonly string[];
  count: number;
  isFault: boolean;
}) => {
  const style = useStyles(styles);
  if (count === 0) return null;
  const shown = lines.slice(0, MOST_LINES);
  return (
    <View role={isFault ? 'alert' : 'group'} aria-label={title}>
      <Text style={style.head}>{title}</Text>
      {shown.map((line, at) => (
        <Text key={at} style={isFault ? style.fault : style.line}>
          {line}
        </Text>
      ))}
      {count > shown.length ? (
        <Text style={style.note}>{t('and {count} more', { count: count - shown.length })}</Text>
      ) : null}
    </View>
  );
};

/** What a file gave: how many rows are sound, what is wrong with the others, and what is odd about the sound. */
export const ImportReview = ({ summary, odd }: Props) => {
  const style = useStyles(styles);
  return (
    <View role="region" aria-label={t('What it holds')}>
      <View style={style.sums}>
        <Sum count={summary.sound} what={t('rows understood')} />
        <Sum count={summary.faulty} what={t('rows with a fault')} />
        <Sum count={summary.oddCount} what={t('oddities')} />
      </View>
      <Lines
        isFault
        title={t('Left out')}
        lines={summary.faults.map(locatedSentence)}
        count={summary.faultCount}
      />
      <Lines
        isFault={false}
        title={t('Unusual, and imported as it is')}
        lines={odd}
        count={summary.oddCount}
      />
    </View>
  );
};
