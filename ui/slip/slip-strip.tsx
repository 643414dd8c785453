import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { Money } from '../parts/money.tsx';
import { Press } from '../parts/press.tsx';
import { slipOpened } from '../state/session.ts';
import { selectSlip, selectSlipBefore, selectDisplayFormat, selectTrial } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { aside, note } from '../theme/text.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { slipChanges } from './slip-changes.ts';
import { selectTrialFacts } from './trial-facts.ts';

const styles = (inks: Inks) => ({
  strip: { backgroundColor: inks.raised, borderTopWidth: 2, borderTopColor: inks.ink },
  row: {
    flexDirection: 'row',
    gap: 12,
    paddingHorizontal: 20,
    paddingVertical: 10,
    minHeight: TOUCH,
  } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontSize: 15, lineHeight: 24 },
  note: note(inks),
  right: { textAlign: 'right' } as const,
  nothing: { ...aside, color: inks.rubric },
});

/** The slip in two lines along the bottom; pressed, it opens upwards. Its figure is one that changed, else the first. */
export const SlipStrip = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { trial } = useAppSelector(selectTrial);
  const facts = useAppSelector(selectTrialFacts);
  const slip = useAppSelector(selectSlip);
  const { before } = slipChanges(useAppSelector(selectSlipBefore), slip);
  if (!trial || !facts) {
    return (
      <View style={style.strip}>
        <Press
          onPress={() => dispatch(slipOpened(true))}
          role="button"
          aria-label="Open the preview"
          testID="slip-strip"
        >
          <View style={style.row}>
            <Text style={style.note}>No test order yet: make one to see what a customer would see.</Text>
          </View>
        </Press>
      </View>
    );
  }
  const choices = slip?.ok ? slip.quote.choices : [];
  const shown =
    choices.find((choice) => before.has(choice.id) && before.get(choice.id) !== choice.charge) ?? choices[0];
  return (
    <View style={style.strip}>
      <Press
        onPress={() => dispatch(slipOpened(true))}
        role="button"
        aria-label={`Open the preview of ${trial.name}`}
        testID="slip-strip"
      >
        <View style={style.row}>
          <View style={style.words}>
            <Text style={style.name} numberOfLines={1}>
              {trial.name}
            </Text>
            <Text style={style.note} numberOfLines={1}>
              {facts.brief}
            </Text>
          </View>
          <View>
            {shown ? (
              <Money amount={shown.charge} decimals={decimals} before={before.get(shown.id)} />
            ) : (
              <Text style={style.nothing}>no choice</Text>
            )}
            <Text style={[style.note, style.right]}>
              {shown
                ? `${shown.name} · ${choices.length} ${choices.length === 1 ? 'choice' : 'choices'}`
                : 'cannot buy'}
            </Text>
          </View>
        </View>
      </Press>
    </View>
  );
};
