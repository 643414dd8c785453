import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { RateRowChange } from '../../../../core/formats/rates-changes.ts';
import type { RatesRead } from '../../../../core/formats/rates-table.ts';
import { locatedSentence } from '../../../../core/words/fault-sentence.ts';
import { ChangedItem, MoreItems } from '../../../list-import/changed-item.tsx';
import { Sum } from '../../../parts/sum.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';

const MOST_LINES = 200;

const styles = (inks: Inks) => ({
  sums: { flexDirection: 'row', flexWrap: 'wrap', gap: 20, paddingVertical: 8 } as const,
  head: { fontFamily: SANS_STRONG, paddingTop: 12, paddingBottom: 4 },
  fault: { color: inks.rubric, paddingVertical: 2 },
  note: note(inks),
});

const SAYS: Record<RateRowChange['kind'], string> = { new: t(': new'), gone: t(': gone'), changed: '' };

/** How many rows are sound, what is wrong with the rest, and every change of a rate. */
export const RatesReview = ({ read, changes }: { read: RatesRead; changes: readonly RateRowChange[] }) => {
  const style = useStyles(styles);
  return (
    <View role="region" aria-label={t('What would change')}>
      <View style={style.sums}>
        <Sum count={read.sound} what={t('rows understood')} />
        <Sum count={read.faulty} what={t('rows not imported')} />
        <Sum count={changes.length} what={t('changes')} />
      </View>
      {read.faults.length > 0 ? (
        <View role="alert">
          <Text style={style.head}>
            {read.faulty > 0
              ? t('{faulty, plural, one {# row} other {# rows}} not imported', { faulty: read.faulty })
              : t('What is wrong')}
          </Text>
          <Text style={style.note}>{t('A rate is imported with all of its rows, or stays as it is.')}</Text>
          {read.faults.slice(0, MOST_LINES).map((one, at) => (
            <Text key={at} style={style.fault}>
              {locatedSentence(one)}
            </Text>
          ))}
          <MoreItems count={read.faults.length - MOST_LINES} />
        </View>
      ) : null}
      <View role="list" aria-label={t('Changes')}>
        {changes.slice(0, MOST_LINES).map(({ name, kind, fields }, at) => (
          <ChangedItem key={at} name={`${name}${SAYS[kind]}`} fields={fields} />
        ))}
      </View>
      <MoreItems count={changes.length - MOST_LINES} />
      {changes.length === 0 ? <Text style={style.note}>{t('Nothing would change.')}</Text> : null}
    </View>
  );
};
