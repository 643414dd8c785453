import { useState } from 'react';
import { View } from 'react-native';
import { HelperText } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { AskedValue } from '../../../core/repair/repair.ts';
import { askedLabel } from '../../../core/repair/repair-words.ts';
import { exampleAmount, measureFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import type { Read } from '../../fields/draft-field.tsx';
import { readMeasure, readMoney, readSize } from '../../fields/readers.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

const styles = {
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 8, paddingBottom: 10 },
  field: { flexGrow: 1, maxWidth: 320 },
} as const;

const EXAMPLES: Partial<Record<AskedValue['reads'], string>> = {
  weight: t('1.2 kg'),
  size: t('30 x 20 x 15 cm'),
};

const readerOf = (reads: AskedValue['reads'], display: DisplayFormat): ((text: string) => Read<unknown>) => {
  if (reads === 'size') return readSize(display);
  return reads === 'money' ? readMoney(display) : readMeasure(reads, display);
};

/** The value as it is now: 'now 450 kg'. */
const nowWords = ({ now, reads }: AskedValue, display: DisplayFormat): string | undefined => {
  if (now === undefined || reads === 'size')
    return reads === 'money' ? exampleAmount(display.decimals) : EXAMPLES[reads];
  return t('now {figure}', { figure: measureFigure(reads === 'money' ? 'subtotal' : reads, now, display) });
};

/** The field for the one value that mends a problem. */
export const MendField = ({ asked }: { asked: AskedValue }) => {
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const label = askedLabel(asked);
  const give = (): void => {
    const read = readerOf(asked.reads, display)(text);
    if (!read.ok) {
      setFault(read.text);
      return;
    }
    setFault(null);
    setText('');
    dispatch(edit('repair', { changes: asked.give(read.value) }, label));
    dispatch(undoMessage(t('{label}: saved.', { label })));
  };
  return (
    <View>
      <View style={styles.row}>
        <View style={styles.field}>
          <TextLine
            label={label}
            placeholder={nowWords(asked, display)}
            value={text}
            onChange={setText}
            onSubmit={give}
          />
        </View>
        <TextAction
          label={t('Save')}
          accessibilityLabel={t('Save: {label}', { label })}
          disabled={text.trim() === ''}
          onPress={give}
        />
      </View>
      {fault === null ? null : (
        <HelperText type="error" visible role="alert">
          {fault}
        </HelperText>
      )}
    </View>
  );
};
