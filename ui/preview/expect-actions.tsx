import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Choice, Quote, Withheld } from '../../core/model/quote.ts';
import type { Expectation } from '../../core/check/check-test-order.ts';
import { TextAction } from '../parts/text-action.tsx';
import { edit } from '../state/draft.ts';
import { undoMessage } from '../state/session.ts';
import { selectTestOrder } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { asItIs, standingOf, withExpectation, withoutExpectation, type Standing } from './expectations.ts';

const styles = (inks: Inks) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, marginLeft: -4 } as const,
  kept: { ...note(inks), color: inks.sound },
  broken: { ...note(inks), color: inks.rubric },
});

const NONE: readonly Expectation[] = [];

/** What the preview's test order expects. */
export const useExpectations = (): readonly Expectation[] =>
  useAppSelector((state) => selectTestOrder(state).testOrder?.expects ?? NONE);

const useExpect = () => {
  const dispatch = useAppDispatch();
  const { testOrder } = useAppSelector(selectTestOrder);
  return (expects: Expectation[], what: string): void => {
    if (testOrder) dispatch(edit('setExpects', { id: testOrder.id, expects }, `${testOrder.name}: ${what}`));
  };
};

const WORDS: Record<Exclude<Standing, 'unsaid'>, string> = {
  kept: t('as expected'),
  broken: t('not as expected'),
};

/** How a choice stands to what the test order expects of it; nothing where nothing is said. */
export const StandingMark = ({ one }: { one: Choice | Withheld }) => {
  const style = useStyles(styles);
  const standing = standingOf(useExpectations(), one);
  return standing === 'unsaid' ? null : <Text style={style[standing]}>{WORDS[standing]}</Text>;
};

/** By pointing at a choice: that it is right as it stands, or that nothing more is expected of it. */
export const ExpectActions = ({ one }: { one: Choice | Withheld }) => {
  const style = useStyles(styles);
  const expects = useExpectations();
  const expect = useExpect();
  const standing = standingOf(expects, one);
  return (
    <View style={style.row}>
      {standing === 'kept' ? null : (
        <TextAction
          label={t('Expect this')}
          accessibilityLabel={t('{name}: expect this', { name: one.name })}
          onPress={() =>
            expect(withExpectation(expects, asItIs(one)), t('{name} is right', { name: one.name }))
          }
        />
      )}
      {standing === 'unsaid' ? null : (
        <TextAction
          label={t('Stop checking this')}
          accessibilityLabel={t('{name}: stop checking this', { name: one.name })}
          onPress={() =>
            expect(withoutExpectation(expects, one.id), t('{name}, nothing expected', { name: one.name }))
          }
        />
      )}
    </View>
  );
};

/** That the whole preview is right as it stands: every charge, and every choice that is not offered. */
export const AllRight = ({ quote }: { quote: Quote }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const expects = useExpectations();
  const expect = useExpect();
  const all = [...quote.choices, ...quote.withheld];
  if (all.length === 0 || all.every((one) => standingOf(expects, one) === 'kept')) return null;
  const others = expects.filter(({ kind }) => kind === 'how-many' || kind === 'cheapest');
  return (
    <View style={style.row}>
      <TextAction
        label={t('Expect all of this')}
        onPress={() => {
          expect([...others, ...all.map(asItIs)], t('all of it expected'));
          dispatch(undoMessage(t('The test order now expects exactly this.')));
        }}
      />
    </View>
  );
};
