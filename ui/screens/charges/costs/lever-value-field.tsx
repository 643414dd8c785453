import { t } from '../../../../core/translate/translate.ts';
import { isInPercent, type Lever, type LeverValue } from '../../../../core/costs/lever.ts';
import { MoneyField, OptionalMoneyField, PercentField } from '../../../fields/kind-fields.tsx';
import { maybeNone, valueLabel } from './lever-words.ts';

const FIELD = { width: 150 };

/** The field of a lever's value, in money or percent. */
export const ValueField = ({
  lever,
  value,
  onChange,
}: {
  lever: Lever;
  value: LeverValue;
  onChange: (value: LeverValue) => void;
}) => {
  const shown = { right: true, style: FIELD, label: valueLabel(lever) };
  if (isInPercent(lever)) return <PercentField {...shown} value={value ?? 0} onChange={onChange} />;
  if (!maybeNone(lever)) return <MoneyField {...shown} value={value ?? 0} onChange={onChange} />;
  return (
    <OptionalMoneyField
      {...shown}
      placeholder={t('none')}
      value={value ?? undefined}
      onChange={(next) => onChange(next ?? null)}
    />
  );
};
