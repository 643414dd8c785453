import { useState } from 'react';
import { View } from 'react-native';
import { HelperText } from 'react-native-paper';
import type { Erratum } from '../../../core/model/erratum.ts';
import { readMeasure, readSize } from '../../parts/readers.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { TextLine } from '../../parts/text-line.tsx';
import { edit } from '../../state/draft.ts';
import { told } from '../../state/session.ts';
import { selectSpeech } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

const styles = {
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, paddingBottom: 10 },
  field: { flexGrow: 1, maxWidth: 220 },
} as const;

const FIGURES = { 'weight-missing': 'weight', 'size-missing': 'size' } as const;

/** The figure of a product that an erratum is for want of; null where it is of another kind. */
const figureOf = ({ code }: Erratum): 'weight' | 'size' | null =>
  code in FIGURES ? FIGURES[code as keyof typeof FIGURES] : null;

/** Where one value mends an erratum, the field for it: what a product weighs or measures. */
export const MendField = ({ erratum, name }: { erratum: Erratum; name: string }) => {
  const dispatch = useAppDispatch();
  const speech = useAppSelector(selectSpeech);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const figure = figureOf(erratum);
  const sku = erratum.where[0]?.id;
  if (figure === null || sku === undefined) return null;
  const label = `${figure === 'weight' ? 'Weight' : 'Size'} of ${name}`;
  const give = (): void => {
    const read = figure === 'weight' ? readMeasure('weight', speech)(text) : readSize(speech)(text);
    if (!read.ok) {
      setFault(read.text);
      return;
    }
    dispatch(edit('setGood', { sku, changes: { [figure]: read.value } }, `${name}: ${figure}`));
    dispatch(told({ text: `${label} is set.`, undo: true }));
  };
  return (
    <View>
      <View style={styles.row}>
        <View style={styles.field}>
          <TextLine
            hideLabel
            label={label}
            placeholder={figure === 'weight' ? '1.2 kg' : '30 x 20 x 15 cm'}
            value={text}
            onChange={setText}
            onSubmit={give}
          />
        </View>
        <TextAction
          label="Set"
          accessibilityLabel={`Set the ${figure} of ${name}`}
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
