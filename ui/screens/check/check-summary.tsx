import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Quote } from '../../../core/model/quote.ts';
import { moneyFigure } from '../../../core/words/figure.ts';
import { Press } from '../../parts/press.tsx';
import { Section } from '../../parts/section.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useToday } from '../../time/use-today.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { askedQuote } from '../../state/answers.ts';
import { previewOpened, testOrderChosen } from '../../state/session.ts';
import { selectCompiled } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { figure, note } from '../../theme/text.ts';
import { SANS_STRONG, TOUCH, type Inks } from '../../theme/tokens.ts';
import { GRAVITY_ORDER, selectProblems, type Gravity } from './problem-selectors.ts';
import { selectDraftChanges } from './publish-selectors.ts';
import { selectTestOrderLines, type TestOrderLine } from './test-orders-selectors.ts';
import { useAudit } from './use-audit.ts';

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingVertical: 8,
    minHeight: TOUCH,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  figure,
  sound: { ...note(inks), color: inks.sound },
  fault: { ...note(inks), color: inks.rubric },
  none: { ...note(inks), paddingVertical: 12 },
  line: { ...note(inks), color: inks.ink, paddingTop: 6 },
});

const STATE: Record<TestOrderLine['state'], string> = {
  kept: t('as expected'),
  broken: t('not as expected'),
  empty: t('expects nothing'),
  unchecked: t('not yet run'),
};

const cheapestOf = ({ choices }: Quote): Quote['choices'][number] | undefined =>
  choices.reduce<Quote['choices'][number] | undefined>(
    (best, choice) => (best === undefined || choice.charge < best.charge ? choice : best),
    undefined,
  );

/** A pinned test order as a short preview: the cheapest choice, how many there are, whether it is kept. */
const ShortPreview = ({ line: { testOrder, state } }: { line: TestOrderLine }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const compiled = useAppSelector(selectCompiled);
  const known = useAppSelector((root) => root.answers);
  const asked = askedQuote(compiled, testOrder.request, known, testOrder.answers);
  const quoted = asked.ok ? asked.value.quote : null;
  const cheapest = quoted ? cheapestOf(quoted) : undefined;
  const open = (): void => {
    dispatch(testOrderChosen(testOrder.id));
    dispatch(previewOpened(true));
  };
  return (
    <Press
      role="button"
      aria-label={t('{testOrder}: into the preview', { testOrder: testOrder.name })}
      onPress={open}
    >
      <View style={style.row}>
        <View style={style.words}>
          <Text style={style.name}>{testOrder.name}</Text>
          <Text style={style.note}>
            {cheapest
              ? t('{cheapest}, {count, plural, one {# choice} other {# choices}}', {
                  cheapest: cheapest.name,
                  count: quoted?.choices.length ?? 0,
                })
              : t('no choice: the order cannot be placed')}
          </Text>
          <Text style={state === 'broken' ? style.fault : state === 'kept' ? style.sound : style.note}>
            {STATE[state]}
          </Text>
        </View>
        <Text style={style.figure}>
          {cheapest ? moneyFigure(cheapest.charge, compiled.display.decimals) : '–'}
        </Text>
      </View>
    </Press>
  );
};

const GRAVITY_WORDS: Record<Gravity, (count: number) => string> = {
  stops: (count) => t('{count} {count, plural, one {keeps} other {keep}} customers from buying', { count }),
  leaks: (count) => t('{count} {count, plural, one {loses} other {lose}} money', { count }),
  odd: (count) => t('{count} {count, plural, one {is} other {are}} odd', { count }),
  data: (count) => t('{count} {count, plural, one {lacks} other {lack}} product data', { count }),
};

const Problems = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const { timeZone } = useBookParts('store').store;
  const audit = useAudit(useToday(timeZone));
  const problems = useAppSelector(selectProblems).filter(({ accepted }) => accepted === null);
  const isDone = useAppSelector(({ check }) => check.audit !== null);
  const counts = GRAVITY_ORDER.flatMap((gravity) => {
    const count = problems.filter(({ problem }) => problem.gravity === gravity && !problem.isVast).length;
    return count > 0 ? [{ gravity, count }] : [];
  });
  const vast = problems.filter(({ problem }) => problem.isVast).length;
  return (
    <View>
      <Section title={t('Problems')} />
      {!isDone && !audit.stopped && audit.fault === null ? (
        <Text style={style.none}>{t('Looking for problems …')}</Text>
      ) : null}
      {isDone && problems.length === 0 ? <Text style={style.none}>{t('No problems found.')}</Text> : null}
      {counts.map(({ gravity, count }) => (
        <Text
          key={gravity}
          style={[style.line, gravity === 'stops' || gravity === 'leaks' ? style.fault : null]}
        >
          {GRAVITY_WORDS[gravity](count)}
        </Text>
      ))}
      {vast > 0 ? <Text style={style.line}>{t('{vast} only in very large orders', { vast })}</Text> : null}
      {problems.length > 0 ? (
        <TextAction
          label={t('Look at the problems')}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={() => router.navigate({ pathname: '/check', params: { part: 'problems' } })}
        />
      ) : null}
    </View>
  );
};

const MOST_CHANGES = 4;

const Changes = () => {
  const style = useStyles(styles);
  const router = useRouter();
  const names = usePlaceNames();
  const changes = useAppSelector((state) => selectDraftChanges(state, names));
  return (
    <View>
      <Section title={t('What the draft changes')} />
      {changes === null ? <Text style={style.none}>{t('Nothing is published yet.')}</Text> : null}
      {changes?.length === 0 ? (
        <Text style={style.none}>{t('Nothing: the draft matches the live edition.')}</Text>
      ) : null}
      {changes?.slice(0, MOST_CHANGES).map(({ text }) => (
        <Text key={text} style={style.line}>
          {text}
        </Text>
      ))}
      <TextAction
        label={
          changes && changes.length > MOST_CHANGES
            ? t('All {count} changes, and publishing', { count: changes.length })
            : t('Go to publishing')
        }
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() => router.navigate({ pathname: '/check', params: { part: 'publish' } })}
      />
    </View>
  );
};

/** How the draft stands: the pinned test orders, the problems by gravity, and what it changes. */
export const CheckSummary = () => {
  const style = useStyles(styles);
  const lines = useAppSelector(selectTestOrderLines).filter(({ testOrder }) => testOrder.pinned);
  return (
    <View>
      <Section title={t('Pinned test orders')} />
      {lines.length === 0 ? (
        <Text style={style.none}>{t('Pin a test order under Check to have it in sight here.')}</Text>
      ) : null}
      {lines.map((line) => (
        <ShortPreview key={line.testOrder.id} line={line} />
      ))}
      <Problems />
      <Changes />
    </View>
  );
};
