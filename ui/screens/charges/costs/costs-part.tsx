import type { Remote } from 'comlink';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { localMoment } from '../../../../core/time/local-moment.ts';
import { dayText } from '../../../parts/dates.ts';
import { Tabs } from '../../../parts/tabs.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useWidth } from '../../../parts/use-width.ts';
import { useNow } from '../../../time/use-now.ts';
import { Later } from '../../../parts/later.tsx';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, strongFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { BoardOfPeriod, Coster } from '../../../workers/costs/coster.ts';
import { CostFiltersRow, filterOf, type CostFilters } from './cost-filters.tsx';
import { lackingWords } from './margin-words.ts';
import { MarginView } from './margin-view.tsx';
import { signedMoney } from './signed-money.ts';
import { ordersDone, UnderWay } from './under-way.tsx';
import { useAnswer, useCosts, type Costs } from './use-costs.ts';
import { Actions } from '../../../parts/actions.tsx';

const WhatIfView = lazy(() => import('./what-if-view.tsx'));
const StepsView = lazy(() => import('./steps-view.tsx'));
const AccountsView = lazy(() => import('./accounts-view.tsx'));
const PackingView = lazy(() => import('./packing-view.tsx'));

const VIEWS = [
  { value: 'margin', label: t('Margin') },
  { value: 'what-if', label: t('What if') },
  { value: 'steps', label: t('Steps and costs') },
  { value: 'carriers', label: t('Carriers compared') },
  { value: 'packing', label: t('Packing compared') },
] as const;
type CostView = (typeof VIEWS)[number]['value'];

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingTop: 12 },
  quiet: note(inks),
  waiting: { gap: 8, paddingTop: 16 },
  fault: { color: inks.rubric, paddingTop: 12 },
  sums: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 32, rowGap: 8, paddingVertical: 12 } as const,
  figure: { ...strongFigure, color: inks.ink },
  loss: { ...strongFigure, color: inks.rubric },
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** Which orders are counted, and on the board by margin what they were charged, cost, and left. */
const Sums = ({ board, isWhole }: { board: BoardOfPeriod; isWhole: boolean }) => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { timeZone } = useBookParts('store').store;
  const { total, first, last } = board;
  if (!first || !last)
    return (
      <Text style={style.note}>
        {t('No past orders are counted here. Choose a longer period or other weights, or import some.')}
      </Text>
    );
  const day = (instant: string): string => dayText(localMoment(instant, timeZone).date);
  const figures = [
    { name: t('Charged'), text: moneyFigure(total.chargedWithCost, decimals), isLoss: false },
    { name: t('Cost'), text: moneyFigure(total.cost, decimals), isLoss: false },
    { name: t('Margin'), text: signedMoney(total.margin, decimals), isLoss: total.margin < 0 },
  ];
  return (
    <>
      {isWhole ? (
        <View style={style.sums}>
          {figures.map(({ name, text, isLoss }) => (
            <View key={name}>
              <Text style={style.quiet}>{name}</Text>
              <Text style={isLoss ? style.loss : style.figure}>{text}</Text>
            </View>
          ))}
        </View>
      ) : null}
      <Text style={isWhole ? style.quiet : style.note}>
        {t('{orders, plural, one {# order} other {# orders}} from {day} to {day2}{lacking}. {explanation}', {
          orders: total.orders,
          day: day(first),
          day2: day(last),
          lacking: lackingWords(total, decimals),
          explanation: isWhole
            ? t('Margin is what was charged at the time, without tax, less what the order cost to send.')
            : '',
        })}
      </Text>
    </>
  );
};

const ViewOf = ({
  view,
  coster,
  filters,
}: {
  view: CostView;
  coster: Remote<Coster>;
  filters: CostFilters;
}) => {
  const now = useNow();
  // The period begins at a moment of its own, so that it stays the same while the page is open.
  const [at] = useState(() => Date.parse(now));
  const filter = useMemo(() => filterOf(filters, at), [filters, at]);
  const ask = useCallback((one: Remote<Coster>) => one.board(filter), [filter]);
  const board = useAnswer(coster, ask);
  if (!board) return null;
  const shared = { coster, filter };
  return (
    <>
      <Sums board={board} isWhole={view === 'margin'} />
      {board.total.orders === 0 ? null : view === 'margin' ? (
        <MarginView {...shared} board={board} />
      ) : (
        <Later>
          {view === 'what-if' ? (
            <WhatIfView {...shared} />
          ) : view === 'steps' ? (
            <StepsView {...shared} />
          ) : view === 'carriers' ? (
            <AccountsView {...shared} />
          ) : (
            <PackingView {...shared} />
          )}
        </Later>
      )}
    </>
  );
};

/** While the costs are found, or where they were not. */
const Waiting = ({ costs: { progress, fault, stopped, stop, again } }: { costs: Costs }) => {
  const style = useStyles(styles);
  if (fault !== null)
    return <Text style={style.fault}>{t('The costs could not be worked out: {fault}', { fault })}</Text>;
  if (stopped) return <TextAction style={style.action} label={t('Work out the costs')} onPress={again} />;
  return (
    <View style={style.waiting}>
      <UnderWay
        label={t('Finding what past orders cost')}
        {...ordersDone(progress, t('Reading past orders …'))}
        stopLabel={t('Stop')}
        onStop={stop}
      />
    </View>
  );
};

/** The page to itself; or, where there is room for both, beside the board, or across the page all the same. */
type Room = 'page' | 'beside' | 'whole';

/** What getting past orders there earned and cost, and what other prices would have changed. */
const CostsPart = ({ room }: { room: Room }) => {
  const style = useStyles(styles);
  const router = useRouter();
  const { view } = useLocalSearchParams<{ view?: string }>();
  const go = (to: CostView, where = room): void =>
    router.navigate({
      pathname: '/charges',
      params: { part: 'costs', view: to, ...(where === 'whole' ? { whole: 'yes' } : {}) },
    });
  const here = VIEWS.find(({ value }) => value === view)?.value ?? 'margin';
  const [filters, setFilters] = useState<CostFilters>({ days: '365' });
  const costs = useCosts();
  const isPhone = useWidth() === 'phone';
  return (
    <View>
      <Text style={style.note}>
        {t('What customers were charged for getting past orders to them, beside what that cost you.')}
      </Text>
      <Actions>
        <TextAction
          label={t('Import past orders')}
          onPress={() => router.navigate({ pathname: '/settings', params: { part: 'orders' } })}
        />
        {room === 'beside' ? (
          <TextAction label={t('Across the whole page')} onPress={() => go(here, 'whole')} />
        ) : null}
        {room === 'whole' ? (
          <TextAction label={t('Beside the board')} onPress={() => go(here, 'beside')} />
        ) : null}
      </Actions>
      <CostFiltersRow value={filters} onChange={setFilters} />
      <Tabs
        bleed={isPhone ? 20 : 0}
        label={t('Costs')}
        value={here}
        options={VIEWS}
        onChange={(next) => go(next)}
      />
      {costs.coster && costs.progress ? (
        <Text style={style.note}>
          {t(
            'Working out the costs after the change: {done} of {all, plural, one {# order} other {# orders}}. The figures below are from before it.',
            { done: costs.progress.done, all: costs.progress.of },
          )}
        </Text>
      ) : null}
      {costs.coster ? (
        <ViewOf view={here} coster={costs.coster} filters={filters} />
      ) : (
        <Waiting costs={costs} />
      )}
    </View>
  );
};
export default CostsPart;
