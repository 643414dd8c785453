import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text, TextInput } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { pastedSteps, type RangeNaming } from '../../../core/formats/pasted-steps.ts';
import type { StepsPrice } from '../../../core/model/price.ts';
import { measureFigure, moneyFigure, type DisplayFormat } from '../../../core/words/figure.ts';
import { decimalMark } from '../../fields/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { aside, smallFigure } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

interface Props {
  price: StepsPrice;
  onDone: (price: StepsPrice) => void;
}

const styles = (inks: Inks) => ({
  all: { gap: 10, paddingVertical: 8 },
  input: { backgroundColor: inks.raised, minHeight: 96 },
  figure: { ...smallFigure, color: inks.ink },
  doubt: { ...aside, color: inks.doubt },
});

const guess = (text: string): RangeNaming => (/up to|incl|max|≤|bis/i.test(text) ? 'up-to' : 'from');

const MOST_STEPS = 2_000;

/** The steps that were read, in one sentence. */
const readWords = (
  basis: StepsPrice['basis'],
  steps: StepsPrice['steps'],
  until: number | undefined,
  display: DisplayFormat,
): string => {
  const figure = (value: number): string => measureFigure(basis, value, display);
  const list = steps
    .map(({ from, amount }) => `${figure(from)}: ${moneyFigure(amount, display.decimals)}`)
    .join('; ');
  return until === undefined
    ? t('From {list}', { list })
    : t('From {list}; ends before {figure}', { list, figure: figure(until) });
};

const takeLabel = (count: number, present: number): string => {
  if (count === 0) return t('Nothing to import yet');
  return count > MOST_STEPS
    ? t('A price has at most {most} steps; these are {count}', { most: MOST_STEPS, count })
    : t('Put {count, plural, one {# step} other {# steps}} in place of the {present}', { count, present });
};

/** Rows from a spreadsheet or a leaflet into steps: what was read is shown before it takes the place of the steps. */
const PasteSteps = ({ price, onDone }: Props) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<RangeNaming | null>(null);
  const naming = chosen ?? guess(text);
  const { steps, until, unread } = pastedSteps(text, price.basis, naming, display, decimalMark);
  const take = (): void => {
    const { until: _, ...rest } = price;
    onDone({ ...rest, steps, ...(until === undefined ? {} : { until }) });
  };
  return (
    <View style={style.all}>
      <TextInput
        mode="outlined"
        multiline
        value={text}
        onChangeText={setText}
        aria-label={t('Rows to paste')}
        accessibilityLabel={t('Rows to paste')}
        placeholder={t('A value and a charge on each line:\n2 kg	8.50\n5 kg	11.00')}
        style={style.input}
      />
      <Segments
        label={t('A row’s value is')}
        value={naming}
        onChange={setChosen}
        options={[
          { value: 'from', label: t('where the step begins') },
          { value: 'up-to', label: t('the last value in it') },
        ]}
      />
      {steps.length > 0 ? (
        <Text style={style.figure}>{readWords(price.basis, steps, until, display)}</Text>
      ) : null}
      {unread.map(({ line, text: row }) => (
        <Text key={line} style={style.doubt}>
          {t('Line {line} was not understood: {row}', { line, row })}
        </Text>
      ))}
      <Button
        mode="outlined"
        disabled={steps.length === 0 || steps.length > MOST_STEPS}
        onPress={take}
        style={{ alignSelf: 'flex-start', borderRadius: 2 }}
      >
        {takeLabel(steps.length, price.steps.length)}
      </Button>
    </View>
  );
};

export default PasteSteps;
