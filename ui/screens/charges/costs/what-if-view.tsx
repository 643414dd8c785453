import type { Remote } from 'comlink';
import { useLocalSearchParams } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import { bestUnder, breakEvens, marginWithMore, shareOfMore } from '../../../../core/costs/lever-curve.ts';
import { leverValue, type Lever, type LeverValue } from '../../../../core/costs/lever.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import type { WhatIf } from '../../../../core/costs/what-if.ts';
import { moneyFigure, percentFigure } from '../../../../core/words/figure.ts';
import { CountField, PercentField } from '../../../fields/kind-fields.tsx';
import { withoutCents } from '../../../parts/chart-axes.tsx';
import { Chooser } from '../../../parts/chooser.tsx';
import { Fold } from '../../../parts/fold.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { undoMessage } from '../../../state/session.ts';
import { selectBook, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { ChartSave } from './chart-save.tsx';
import { CurveTable } from './curve-table.tsx';
import { leverEdit } from './lever-edit.ts';
import { LeverChart, type ChartMark } from './lever-chart.tsx';
import { LeverSlider } from './lever-slider.tsx';
import { ValueField } from './lever-value-field.tsx';
import {
  isThreshold,
  LEVER_FAMILIES,
  leverId,
  leversOfFamily,
  valueLabel,
  valueName,
  valueText,
  type LeverFamily,
  type WhatIfFamily,
  type NamedLever,
} from './lever-words.ts';
import { MovedOrders } from './moved-orders.tsx';
import { signedMoney } from './signed-money.ts';
import { SubtotalBars } from './subtotal-bars.tsx';
import { SwitchPart } from './switch-part.tsx';
import { switchesOf, type NamedSwitch } from './switches.ts';
import { useAnswer } from './use-costs.ts';
import { useAtValue, useCurve } from './use-what-if.ts';
import { Measured } from './measured.tsx';
import { WhatIfFigures } from './what-if-figures.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
}

const CHART = 'what-if-chart';

const styles = (inks: Inks) => ({
  all: { gap: 12, paddingTop: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  choice: { flexDirection: 'row', maxWidth: 480 } as const,
  halves: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 32, rowGap: 12 } as const,
  half: { flexGrow: 1, flexShrink: 1, flexBasis: 330, minWidth: 0, gap: 8 } as const,
  field: { width: 150 },
  small: { width: 190 },
  note: note(inks),
});

/** What the curve says in sentences: where it breaks even, and the best value under the merchant's bound. */
const Findings = ({
  curve,
  lever,
  most,
  moreOrders,
  onMove,
}: {
  curve: readonly WhatIf[];
  lever: Lever;
  most: number;
  moreOrders: number;
  onMove: (value: LeverValue) => void;
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const best = bestUnder(curve, most, moreOrders);
  const even = breakEvens(curve, moreOrders);
  const text = (value: LeverValue): string => valueText(lever, value, display);
  return (
    <View>
      <Text>
        {even.length > 0
          ? t('Charges cover costs at {list}.', { list: even.map(text).join(t(' and ')) })
          : t('No value along this line makes the charges just cover the costs.')}
      </Text>
      {best ? (
        <View style={style.row}>
          <Text style={{ flexShrink: 1 }}>
            {t(
              'Best while at most {percent} of orders pay more: {text}, with a margin of {signedMoney} ({percent2} pay more).',
              {
                percent: percentFigure(most),
                text: text(best.value),
                signedMoney: signedMoney(marginWithMore(best, moreOrders), display.decimals),
                percent2: percentFigure(shareOfMore(best)),
              },
            )}
          </Text>
          <TextAction
            label={t('Move to {text}', { text: text(best.value) })}
            onPress={() => onMove(best.value)}
          />
        </View>
      ) : (
        <Text>{t('No value keeps that bound.')}</Text>
      )}
    </View>
  );
};

const marksOf = (
  today: LeverValue,
  value: LeverValue,
  best: WhatIf | null,
  text: (value: LeverValue) => string,
): ChartMark[] => {
  const marks: ChartMark[] = [];
  if (value !== null && value !== today)
    marks.push({ at: value, text: t('tried {text}', { text: text(value) }), strong: true });
  if (today !== null) marks.push({ at: today, text: t('now {text}', { text: text(today) }) });
  if (best?.value != null && best.value !== value && best.value !== today)
    marks.push({ at: best.value, text: t('best {text}', { text: text(best.value) }) });
  return marks;
};

/** The value of a lever, typed or moved, and how it goes into the draft. */
const LeverValuePart = ({
  named: { lever, name },
  today,
  value,
  stops,
  onMove,
}: {
  named: NamedLever;
  today: LeverValue;
  value: LeverValue;
  stops: readonly number[];
  onMove: (value: LeverValue) => void;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const text = valueText(lever, value, display);
  const label = labelled(name, `${valueName(lever)} ${text}`);
  const change = value === today ? null : leverEdit(book, lever, value, label);
  const take = (): void => {
    if (!change) return;
    dispatch(change);
    dispatch(undoMessage(t('In the draft: {label}.', { label })));
  };
  return (
    <>
      <View style={style.row}>
        <ValueField lever={lever} value={value} onChange={onMove} />
        {change ? <TextAction main label={t('Put into the draft')} onPress={take} /> : null}
        {value === today ? null : <TextAction label={t('Move back')} onPress={() => onMove(today)} />}
      </View>
      <LeverSlider
        label={t('{valueLabel}, along its range', { valueLabel: valueLabel(lever) })}
        stops={stops}
        value={value}
        text={text}
        onChange={onMove}
      />
    </>
  );
};

/** How many may pay more, and how many more orders a threshold would bring. */
const JudgedBy = ({
  lever,
  most,
  onMost,
  moreOrders,
  onMoreOrders,
}: {
  lever: Lever;
  most: number;
  onMost: (share: number) => void;
  moreOrders: number;
  onMoreOrders: (orders: number) => void;
}) => {
  const style = useStyles(styles);
  return (
    <View style={style.row}>
      <PercentField
        right
        style={style.small}
        label={t('Most who pay more, %')}
        value={most}
        onChange={(share) => onMost(Math.min(share, 10_000))}
      />
      {isThreshold(lever) ? (
        <CountField
          right
          style={style.small}
          label={t('More orders it would bring')}
          value={moreOrders}
          least={0}
          most={100_000}
          onChange={onMoreOrders}
        />
      ) : null}
    </View>
  );
};

/** The margin along all values of a lever, with today's, the one that is tried and the best. */
const MarginChart = ({
  named: { lever, name },
  points,
  marks,
}: {
  named: NamedLever;
  points: readonly { at: number; amount: number }[];
  marks: readonly ChartMark[];
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const text = (one: LeverValue): string => valueText(lever, one, display);
  return (
    <View style={style.half}>
      <Text style={style.note}>{t('Margin, by {valueName}', { valueName: valueName(lever) })}</Text>
      <LeverChart
        id={CHART}
        points={points}
        marks={marks}
        across={(one) => withoutCents(text(one))}
        upward={(amount) => withoutCents(moneyFigure(amount, display.decimals))}
        spoken={t('Margin along {valueName} for {name}. {list}', {
          valueName: valueName(lever),
          name,
          list: points
            .map(({ at, amount }) => labelled(text(at), signedMoney(amount, display.decimals)))
            .join('; '),
        })}
      />
      <ChartSave id={CHART} name="what-if" />
    </View>
  );
};

/** One lever: its value moved, what that does, and the whole line of what it could be. */
const LeverPart = ({ coster, filter, named }: Props & { named: NamedLever }) => {
  const { lever, name } = named;
  const style = useStyles(styles);
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const today = leverValue(book, lever);
  const [value, setValue] = useState<LeverValue>(today);
  const [most, setMost] = useState(500);
  const [moreOrders, setMoreOrders] = useState(0);
  const curve = useCurve(coster, filter, lever);
  const found = useAtValue(coster, filter, lever, value);
  const points = curve.flatMap((point) =>
    point.value === null ? [] : [{ at: point.value, amount: marginWithMore(point, moreOrders) }],
  );
  const best = bestUnder(curve, most, moreOrders);
  const marks = marksOf(today, value, best, (one) => valueText(lever, one, display));
  const stops = points.map(({ at }) => at);
  return (
    <View style={style.all}>
      <View style={style.halves}>
        <View style={style.half}>
          <LeverValuePart named={named} today={today} value={value} stops={stops} onMove={setValue} />
          {found ? <WhatIfFigures found={found} moreOrders={moreOrders} /> : null}
          <JudgedBy
            lever={lever}
            most={most}
            onMost={setMost}
            moreOrders={moreOrders}
            onMoreOrders={setMoreOrders}
          />
          <Findings curve={curve} lever={lever} most={most} moreOrders={moreOrders} onMove={setValue} />
        </View>
        <MarginChart named={named} points={points} marks={marks} />
      </View>
      {value === today ? null : (
        <Fold title={t('Orders')} of={name} summary={t('those that would be charged otherwise')}>
          <MovedOrders coster={coster} filter={filter} lever={lever} value={value} />
        </Fold>
      )}
      <CurveTable curve={curve} lever={lever} name={name} moreOrders={moreOrders} />
      {lever.kind === 'free-from' && value !== null && value > 0 ? (
        <Near coster={coster} filter={filter} rateId={lever.rateId} threshold={value} />
      ) : null}
    </View>
  );
};

const Near = ({ coster, filter, rateId, threshold }: Props & { rateId: string; threshold: number }) => {
  const ask = useCallback(
    (at: Remote<Coster>) => at.near(filter, rateId, threshold),
    [filter, rateId, threshold],
  );
  const near = useAnswer(coster, ask);
  return near && near.orders > 0 ? <SubtotalBars near={near} threshold={near.threshold} /> : null;
};

/** The levers of a family, one of them chosen, with what moving it would do. */
const Levers = ({ coster, filter, family, first }: Props & { family: LeverFamily; first: string | null }) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const [chosen, setChosen] = useState<string | null>(first);
  const levers = useMemo(() => leversOfFamily(book, family, display), [book, family, display]);
  const named = levers.find(({ id }) => id === chosen) ?? levers[0];
  if (!named) return <Text>{t('The book has none to change.')}</Text>;
  const options = levers.map(({ id, name, lever }) => ({
    ...{ id, name },
    note: valueText(lever, leverValue(book, lever), display),
  }));
  return (
    <>
      <View style={style.choice}>
        <Chooser label={t('Where')} chosen={named.name} options={options} onChoose={setChosen} />
      </View>
      <Measured coster={coster} filter={filter}>
        {(measured) => <LeverPart key={named.id} {...measured} named={named} />}
      </Measured>
    </>
  );
};

/** The switches there are, one of them chosen, with what it would do. */
const Switches = ({ coster, filter }: Props) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectBook);
  const [chosen, setChosen] = useState<NamedSwitch | null>(null);
  const switches = useMemo(() => switchesOf(book), [book]);
  const open = switches.find(({ id }) => id === chosen?.id);
  const named = open ?? chosen ?? switches[0];
  const isDone = chosen !== null && !open;
  if (!named) return <Text>{t('No rate of the book is priced by a carrier.')}</Text>;
  return (
    <>
      <View style={style.choice}>
        <Chooser
          label={t('What instead')}
          chosen={named.name}
          options={switches.map(({ id, name }) => ({ id, name, note: '' }))}
          onChoose={(id) => setChosen(switches.find((one) => one.id === id) ?? null)}
        />
      </View>
      {isDone ? (
        <Text style={style.note}>{t('The draft has this now. Choose another to compare with it.')}</Text>
      ) : null}
      <Measured coster={coster} filter={filter}>
        {(measured) => (isDone ? null : <SwitchPart key={named.id} {...measured} named={named} />)}
      </Measured>
    </>
  );
};

/** What would happen to past orders if one figure of the book, what carriers ask, or who carries, were another. */
const WhatIfView = (props: Props) => {
  const style = useStyles(styles);
  const [family, setFamily] = useState<WhatIfFamily>('free');
  const { rate } = useLocalSearchParams<{ rate?: string }>();
  const first = rate === undefined ? null : leverId({ kind: 'free-from', rateId: rate });
  return (
    <View style={style.all}>
      <Text style={style.note}>
        {t(
          'The same orders, priced with the draft as it is, and with one thing changed. Nobody is taken to buy more or less because of it.',
        )}
      </Text>
      <Segments label={t('What to change')} value={family} options={LEVER_FAMILIES} onChange={setFamily} />
      {family === 'switch' ? (
        <Switches {...props} />
      ) : (
        <Levers key={family} {...props} family={family} first={family === 'free' ? first : null} />
      )}
    </View>
  );
};
export default WhatIfView;
