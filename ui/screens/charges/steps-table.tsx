import { lazy, memo, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Step, StepsPrice } from '../../../core/model/price.ts';
import { measureFigure } from '../../../core/words/figure.ts';
import { MoneyField } from '../../fields/kind-fields.tsx';
import { DraftField } from '../../fields/draft-field.tsx';
import { readMeasure } from '../../fields/readers.ts';
import { Opened } from '../../parts/opened.tsx';
import { useSteady } from '../../parts/use-steady.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { aside, note } from '../../theme/text.ts';
import { FINGER, type Inks } from '../../theme/tokens.ts';
import { StepExtras } from './step-extras.tsx';
import { Later } from '../../parts/later.tsx';
import { inOrder, isInOrder, nextStep } from '../../../core/price/next-step.ts';
import { IconAction } from '../../parts/icon-action.tsx';
import { Actions } from '../../parts/actions.tsx';

const PasteSteps = lazy(() => import('./paste-steps.tsx'));

interface Props {
  price: StepsPrice;
  onChange: (price: StepsPrice, visit: string | null) => void;
}

const HEADS: Record<StepsPrice['basis'], string> = {
  weight: t('Weight from'),
  subtotal: t('Subtotal from'),
  units: t('Units from'),
  volume: t('Volume from'),
  distance: t('Distance from'),
};

const styles = (inks: Inks) => ({
  head: {
    flexDirection: 'row',
    borderBottomWidth: 1,
    borderBottomColor: inks.ink,
    paddingBottom: 4,
    gap: 8,
  } as const,
  row: { borderBottomWidth: 1, borderBottomColor: inks.hairline, paddingVertical: 4 },
  line: { flexDirection: 'row', alignItems: 'flex-start', gap: 8 } as const,
  field: { flex: 1, minWidth: 0 },
  note: note(inks),
  right: { textAlign: 'right' } as const,
  gap: { width: 2 * FINGER + 8 },
  doubt: { ...aside, color: inks.doubt },
});

interface RowProps {
  step: Step;
  at: number;
  basis: StepsPrice['basis'];
  /** Whether it is the only step, which cannot be taken out. */
  only: boolean;
  /** Another step in its place; null takes it out. */
  onStep: (at: number, next: Step | null, visit: string | null) => void;
}

/** One step; drawn again only when it is another. */
const StepRow = memo(function StepRow({ step, at, basis, only, onStep }: RowProps) {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const [open, setOpen] = useState(false);
  const name = measureFigure(basis, step.from, display);
  const set = (next: Step, visit: string | null): void => onStep(at, next, visit);
  const hasExtras = step.each !== undefined || step.percent !== undefined;
  return (
    <View style={style.row} role="listitem">
      <View style={style.line}>
        <DraftField
          hideLabel
          style={style.field}
          label={t('{heading}, step {count}', { heading: HEADS[basis], count: at + 1 })}
          text={name}
          read={readMeasure(basis, display)}
          onChange={(from, visit) => set({ ...step, from }, visit)}
        />
        <MoneyField
          hideLabel
          right
          style={style.field}
          label={t('Charge from {name}', { name })}
          value={step.amount}
          onChange={(amount, visit) => set({ ...step, amount }, visit)}
        />
        <IconAction
          icon={open ? 'chevron-up' : 'plus'}
          size={18}
          accessibilityLabel={
            open
              ? t('Hide what is added from {name}', { name })
              : t('Add for what lies above {name}', { name })
          }
          onPress={() => setOpen(!open)}
        />
        <IconAction
          icon="close"
          size={18}
          disabled={only}
          accessibilityLabel={t('Remove the step from {name}', { name })}
          onPress={() => onStep(at, null, null)}
        />
      </View>
      {open || hasExtras ? (
        <StepExtras step={step} basis={basis} name={name} open={open} onChange={set} />
      ) : null}
    </View>
  );
});

/** Steps added by hand, pasted, and put in order. */
const StepsActions = ({ price, onChange }: Props) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const [pasting, setPasting] = useState(false);
  return (
    <>
      {isInOrder(price.steps) ? null : (
        <Text style={style.doubt}>
          {t('The steps are not in order; charges are worked out correctly anyway.')}
        </Text>
      )}
      <Actions>
        <TextAction
          label={t('Add a step')}
          onPress={() =>
            onChange({ ...price, steps: [...price.steps, nextStep(price, display.units)] }, null)
          }
        />
        <TextAction
          label={pasting ? t('Do not paste') : t('Paste rows')}
          onPress={() => setPasting(!pasting)}
        />
        {isInOrder(price.steps) ? null : (
          <TextAction
            label={t('Put in order')}
            onPress={() => onChange({ ...price, steps: inOrder(price.steps) }, null)}
          />
        )}
      </Actions>
      {pasting ? (
        <Opened>
          <Later>
            <PasteSteps
              price={price}
              onDone={(next) => {
                onChange(next, null);
                setPasting(false);
              }}
            />
          </Later>
        </Opened>
      ) : null}
    </>
  );
};

/** The steps of a price, edited in place: values and charges, and what is added above each. */
export const StepsTable = memo(function StepsTable({ price, onChange }: Props) {
  const style = useStyles(styles);
  const onStep = useSteady((at: number, next: Step | null, visit: string | null) => {
    const steps = price.steps.flatMap((one, i) => (i === at ? (next ?? []) : one));
    onChange({ ...price, steps }, visit);
  });
  return (
    <View style={{ gap: 8 }}>
      <View>
        <View style={style.head}>
          <Text style={[style.note, style.field]}>{HEADS[price.basis]}</Text>
          <Text style={[style.note, style.field, style.right]}>{t('Charge')}</Text>
          <View style={style.gap} />
        </View>
        <View role="list" aria-label={t('Steps')}>
          {price.steps.map((step, at) => (
            <StepRow
              key={at}
              at={at}
              step={step}
              basis={price.basis}
              only={price.steps.length === 1}
              onStep={onStep}
            />
          ))}
        </View>
      </View>
      <StepsActions price={price} onChange={onChange} />
    </View>
  );
});
