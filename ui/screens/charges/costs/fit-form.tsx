import type { Remote } from 'comlink';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { FittedSteps, StepsBound } from '../../../../core/costs/fewest-steps.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { measureFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { CountField, MeasureField, MoneyField, PercentField } from '../../../fields/kind-fields.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { signedMoney } from './signed-money.ts';
import type { SteppedRate } from './steps-view.tsx';

interface Props {
  coster: Remote<Coster>;
  filter: OrderFilter;
  stepped: SteppedRate;
}

const styles = (inks: Inks) => ({
  all: { gap: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  field: { width: 158 },
  note: note(inks),
  fault: { ...note(inks), color: inks.rubric },
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** Where steps may begin if nothing else is said, by what the price measures. */
const GRAINS: Record<string, number> = {
  weight: 500,
  subtotal: 1_000,
  units: 1,
  volume: 1_000_000,
  distance: 1_000,
};
const FIRST: Omit<StepsBound, 'grain' | 'unit'> = { covered: 0.8, apart: 400, most: 6 };

/** What is sought, and what was found for it: an answer to what was asked before a field was changed is none any more. */
const useFit = ({ coster, filter, stepped: { rate, price } }: Props) => {
  const { decimals } = useAppSelector(selectDisplayFormat);
  const [bound, setBound] = useState<StepsBound>({
    ...FIRST,
    grain: GRAINS[price.basis] ?? 1,
    unit: Math.max(1, 50 * 10 ** (decimals - 2)),
  });
  const [fitted, setFitted] = useState<FittedSteps | 'looking' | 'too-fine' | null>(null);
  const asked = useRef(bound);
  const set = (changes: Partial<StepsBound>): void => {
    const next = { ...bound, ...changes };
    asked.current = next;
    setBound(next);
    setFitted(null);
  };
  const find = async (): Promise<void> => {
    asked.current = bound;
    setFitted('looking');
    const steps = await coster.fit(filter, rate.id, bound).catch(() => null);
    if (asked.current === bound) setFitted(steps ?? 'too-fine');
  };
  return { bound, set, fitted, find };
};

/** How close the steps are to follow the costs, and what they may look like. */
const BoundFields = ({
  bound,
  basis,
  set,
}: {
  bound: StepsBound;
  basis: SteppedRate['price']['basis'];
  set: (changes: Partial<StepsBound>) => void;
}) => {
  const style = useStyles(styles);
  const field = { right: true, style: style.field };
  return (
    <View style={style.row}>
      <PercentField
        {...field}
        label={t('Orders covered in each, %')}
        value={Math.round(bound.covered * 10_000)}
        onChange={(share) => set({ covered: Math.min(share, 10_000) / 10_000 })}
      />
      <MoneyField
        {...field}
        label={t('Off by at most, on average')}
        value={bound.apart}
        onChange={(apart) => set({ apart })}
      />
      <MeasureField
        {...field}
        label={t('Steps begin at every')}
        measure={basis}
        value={bound.grain}
        onChange={(grain) => set({ grain })}
      />
      <MoneyField
        {...field}
        label={t('Charges rounded to')}
        value={bound.unit}
        onChange={(unit) => set({ unit })}
      />
      <CountField
        {...field}
        label={t('Steps, at most')}
        value={bound.most}
        least={1}
        most={20}
        onChange={(most) => set({ most })}
      />
    </View>
  );
};

/** The steps that were found, how close they are, and the way into the draft. */
const FoundSteps = ({
  found,
  bound,
  stepped: { rate, price, name },
}: {
  found: FittedSteps;
  bound: StepsBound;
  stepped: SteppedRate;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  const take = (): void => {
    const changes = { price: { ...price, steps: found.steps } };
    dispatch(edit('setRate', { id: rate.id, changes }, t('{name}: steps that follow the costs', { name })));
    dispatch(undoMessage(t('{name} has the new steps in the draft.', { name })));
  };
  return (
    <View style={style.all} aria-live="polite">
      <Text>
        {t('{count, plural, one {# step} other {# steps}}', { count: found.steps.length })}:{' '}
        {found.steps
          .map(({ from, amount }) =>
            t('from {figure} {amount}', {
              figure: measureFigure(price.basis, from, display),
              amount: money(amount),
            }),
          )
          .join(' · ')}
      </Text>
      <Text style={style.note}>
        {t(
          '{amount} off on average{most}. If no delivery were free, the orders would leave {signedMoney} over their cost{handling}.',
          {
            amount: money(found.apart),
            most:
              found.apart > bound.apart
                ? t(
                    ', more than you allowed: no better with at most {most, plural, one {# step} other {# steps}}',
                    { most: bound.most },
                  )
                : '',
            signedMoney: signedMoney(found.margin, display.decimals),
            handling: rate.handling ? t(', handling included') : '',
          },
        )}
      </Text>
      <TextAction
        main
        style={style.action}
        label={t('Put into the draft: {name}', { name })}
        onPress={take}
      />
    </View>
  );
};

/** The fewest steps that follow what a rate's orders cost, found in the worker and put into the draft. */
export const FitForm = (props: Props) => {
  const style = useStyles(styles);
  const { stepped } = props;
  const { bound, set, fitted, find } = useFit(props);
  return (
    <View style={style.all}>
      <BoundFields bound={bound} basis={stepped.price.basis} set={set} />
      <TextAction
        style={style.action}
        label={fitted === 'looking' ? t('Looking …') : t('Find the fewest steps')}
        disabled={fitted === 'looking' || bound.grain <= 0 || bound.unit <= 0}
        onPress={() => void find()}
      />
      {fitted === 'too-fine' ? (
        <Text style={style.fault} role="alert">
          {t(
            'There are too many places and charges to look through. Let steps begin at larger multiples, or charges be in larger ones.',
          )}
        </Text>
      ) : null}
      {fitted !== null && typeof fitted === 'object' ? (
        <FoundSteps found={fitted} bound={bound} stepped={stepped} />
      ) : null}
    </View>
  );
};
