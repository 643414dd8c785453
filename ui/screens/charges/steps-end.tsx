import { t } from '../../../core/translate/translate.ts';
import type { LimitMeasure, Limits, StepsPrice } from '../../../core/model/price.ts';
import { OptionalMeasureField } from '../../fields/kind-fields.tsx';
import { FieldGroup } from '../../fields/field-group.tsx';
import { LimitEnds } from '../../fields/limit-fields.tsx';

/** The limits of what a price belongs to, and how they are changed. */
export interface LimitsBeside {
  limits: Limits | undefined;
  onLimits: (limits: Limits | undefined, visit: string) => void;
}

interface Props extends LimitsBeside {
  price: StepsPrice;
  onChange: (price: StepsPrice, visit: string | null) => void;
}

/** The limit that bounds the measure a price goes by, if there is one. */
export const limitOf = ({ kind, ...price }: { kind: string; basis?: string }): LimitMeasure | undefined =>
  kind === 'steps' && price.basis !== 'distance' ? (price.basis as LimitMeasure) : undefined;

/** What ends the offer, side by side: the value the steps end before, and the limits of the same measure. */
export const StepsEnd = ({ price, onChange, limits, onLimits }: Props) => {
  const measure = limitOf(price);
  return (
    <FieldGroup name={t('Where it is offered')}>
      <OptionalMeasureField
        style={{ flexGrow: 1, flexBasis: 120, maxWidth: 148 }}
        label={t('Not offered at or above')}
        placeholder={t('no limit')}
        value={price.until}
        measure={price.basis}
        onChange={(until, visit) => {
          const { until: _, ...rest } = price;
          onChange(until === undefined ? rest : { ...rest, until }, visit);
        }}
      />
      {measure ? <LimitEnds limits={limits} onChange={onLimits} only={measure} /> : null}
    </FieldGroup>
  );
};
