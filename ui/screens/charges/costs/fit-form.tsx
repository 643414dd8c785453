import type { Remote } from 'comlink';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { FittedSteps, StepsBound } from '../../../../core/costs/fewest-steps.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { countFigure, measureFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { CountField, MeasureField, MoneyField, PercentField } from '../../../fields/kind-fields.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { messageShown } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { signedMoney } from './signed-money.ts';
import type { SteppedRate } from './steps-view.tsx';

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

/** The fewest steps that follow what a rate's orders cost, found in the worker and put into the draft. */
export const FitForm = ({
  coster,
  filter,
  stepped,
}: {
  coster: Remote<Coster>;
  filter: OrderFilter;
  stepped: SteppedRate;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  const { rate, price, name } = stepped;
  const [bound, setBound] = useState<StepsBound>({
    ...FIRST,
    grain: GRAINS[price.basis] ?? 1,
    unit: Math.max(1, 50 * 10 ** (display.decimals - 2)),
  });
  const [fitted, setFitted] = useState<FittedSteps | 'looking' | 'too-fine' | null>(null);
  const asked = useRef(bound);
  const found = typeof fitted === 'object' ? fitted : null;
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
    // What was asked before a field was changed is no answer any more.
    if (asked.current === bound) setFitted(steps ?? 'too-fine');
  };
  const take = (): void => {
    if (!found) return;
    const next = { ...price, steps: found.steps };
    dispatch(
      edit('setRate', { id: rate.id, changes: { price: next } }, `${name}: steps that follow the costs`),
    );
    dispatch(messageShown({ text: `${name} has the new steps in the draft.`, undo: true }));
  };
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  return (
    <View style={style.all}>
      <View style={style.row}>
        <PercentField
          right
          style={style.field}
          label="Orders covered in each, %"
          value={Math.round(bound.covered * 10_000)}
          onChange={(share) => set({ covered: Math.min(share, 10_000) / 10_000 })}
        />
        <MoneyField
          right
          style={style.field}
          label="Off by at most, on average"
          value={bound.apart}
          onChange={(apart) => set({ apart })}
        />
        <MeasureField
          right
          style={style.field}
          label="Steps begin at every"
          measure={price.basis}
          value={bound.grain}
          onChange={(grain) => set({ grain })}
        />
        <MoneyField
          right
          style={style.field}
          label="Charges rounded to"
          value={bound.unit}
          onChange={(unit) => set({ unit })}
        />
        <CountField
          right
          style={style.field}
          label="Steps, at most"
          value={bound.most}
          least={1}
          most={20}
          onChange={(most) => set({ most })}
        />
      </View>
      <TextAction
        style={style.action}
        label={fitted === 'looking' ? 'Looking …' : 'Find the fewest steps'}
        disabled={fitted === 'looking' || bound.grain <= 0 || bound.unit <= 0}
        onPress={() => void find()}
      />
      {fitted === 'too-fine' ? (
        <Text style={style.fault} role="alert">
          There are too many places and charges to look through. Let steps begin at larger multiples, or
          charges be in larger ones.
        </Text>
      ) : null}
      {found ? (
        <View style={style.all} aria-live="polite">
          <Text>
            {countFigure(found.steps.length, 'step')}:{' '}
            {found.steps
              .map(({ from, amount }) => `from ${measureFigure(price.basis, from, display)} ${money(amount)}`)
              .join(' · ')}
          </Text>
          <Text style={style.note}>
            {money(found.apart)} off on average
            {found.apart > bound.apart
              ? `, more than you allowed: no better with at most ${countFigure(bound.most, 'step')}`
              : ''}
            . If no delivery were free, the orders would leave {signedMoney(found.margin, display.decimals)}{' '}
            over their cost{rate.handling ? ', handling included' : ''}.
          </Text>
          <TextAction main style={style.action} label={`Put into the draft: ${name}`} onPress={take} />
        </View>
      ) : null}
    </View>
  );
};
