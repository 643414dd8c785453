import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text, TextInput } from 'react-native-paper';
import { pastedSteps, type RangeNaming } from '../../../core/formats/pasted-steps.ts';
import type { StepsPrice } from '../../../core/model/price.ts';
import { countFigure, measureFigure, moneyFigure } from '../../../core/words/figure.ts';
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
  const words = steps.map(
    ({ from, amount }) =>
      `${measureFigure(price.basis, from, display)}: ${moneyFigure(amount, display.decimals)}`,
  );
  return (
    <View style={style.all}>
      <TextInput
        mode="outlined"
        multiline
        value={text}
        onChangeText={setText}
        aria-label="Rows to paste"
        accessibilityLabel="Rows to paste"
        placeholder={'A value and a charge on each line:\n2 kg\t8.50\n5 kg\t11.00'}
        style={style.input}
      />
      <Segments
        label="A row’s value is"
        value={naming}
        onChange={setChosen}
        options={[
          { value: 'from', label: 'where the step begins' },
          { value: 'up-to', label: 'the last value in it' },
        ]}
      />
      {steps.length > 0 ? (
        <Text style={style.figure}>
          {`From ${words.join('; ')}${until === undefined ? '' : `; ends before ${measureFigure(price.basis, until, display)}`}`}
        </Text>
      ) : null}
      {unread.map(({ line, text: row }) => (
        <Text key={line} style={style.doubt}>{`Line ${line} was not understood: ${row}`}</Text>
      ))}
      <Button
        mode="outlined"
        disabled={steps.length === 0 || steps.length > MOST_STEPS}
        onPress={take}
        style={{ alignSelf: 'flex-start', borderRadius: 2 }}
      >
        {steps.length === 0
          ? 'Nothing to import yet'
          : steps.length > MOST_STEPS
            ? `A price has at most ${MOST_STEPS} steps; these are ${steps.length}`
            : `Put ${countFigure(steps.length, 'step')} in place of the ${price.steps.length}`}
      </Button>
    </View>
  );
};

export default PasteSteps;
