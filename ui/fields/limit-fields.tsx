import { memo } from 'react';
import { t } from '../../core/translate/translate.ts';
import type { LimitMeasure, Limits } from '../../core/model/price.ts';
import { OptionalMeasureField } from './kind-fields.tsx';
import { FieldGroup } from './field-group.tsx';
import { isEmpty, withEnd, withField } from '../parts/optional-parts.ts';

interface Props {
  limits: Limits | undefined;
  onChange: (limits: Limits | undefined, visit: string) => void;
  name?: string;
  only?: LimitMeasure;
  but?: LimitMeasure | undefined;
}

const FIELD = { flexGrow: 1, flexBasis: 120, maxWidth: 148 };

const LIMITS: readonly [LimitMeasure, string, ('min' | 'max')[]][] = [
  ['weight', t('Weight'), ['min', 'max']],
  ['subtotal', t('Subtotal'), ['min', 'max']],
  ['units', t('Units'), ['min', 'max']],
  ['volume', t('Volume'), ['min', 'max']],
  ['longestSide', t('Longest side'), ['max']],
];

/** The limits of what takes a basket: both ends included. */
export const LimitFields = memo(function LimitFields(props: Props) {
  return (
    <FieldGroup name={props.name ?? t('Only for baskets of')}>
      <LimitEnds {...props} />
    </FieldGroup>
  );
});

/** The ends of limits alone, of all measures, of `only` one, or of all `but` one. */
export const LimitEnds = ({ limits: current, onChange, only, but }: Omit<Props, 'name'>) => {
  const set = (measure: LimitMeasure, end: 'min' | 'max', value: number | undefined, visit: string): void => {
    const limits: Limits = withField(current ?? {}, measure, withEnd(current?.[measure], end, value));
    onChange(isEmpty(limits) ? undefined : limits, visit);
  };
  return (
    <>
      {LIMITS.filter(([measure]) => (only ? measure === only : measure !== but)).flatMap(
        ([measure, what, ends]) =>
          ends.map((end) => {
            const limit: { min?: number; max?: number } = current?.[measure] ?? {};
            const value = limit[end];
            return (
              <OptionalMeasureField
                key={`${measure}-${end}`}
                style={FIELD}
                label={`${what}, ${end === 'min' ? t('at least') : t('at most')}`}
                placeholder={t('any')}
                value={value}
                measure={measure}
                onChange={(next, visit) => set(measure, end, next, visit)}
              />
            );
          }),
      )}
    </>
  );
};
