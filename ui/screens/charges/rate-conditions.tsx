import { t } from '../../../core/translate/translate.ts';
import { withDays } from './transit.ts';
import { memo } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { Handling } from '../../../core/model/price.ts';
import type { Rate } from '../../../core/model/rate.ts';
import { Check } from '../../parts/check.tsx';
import {
  OptionalCountField,
  OptionalMoneyField,
  OptionalPercentField,
  TokensField,
  WordsField,
} from '../../fields/kind-fields.tsx';
import { FieldGroup } from '../../fields/field-group.tsx';
import { LimitFields } from '../../fields/limit-fields.tsx';
import { Segments } from '../../parts/segments.tsx';
import { useSteady } from '../../parts/use-steady.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { limitOf } from './steps-end.tsx';
import { withEnd } from '../../parts/optional-parts.ts';

type Change = (changes: Partial<Rate>, what: string, visit?: string | null) => void;

interface Props {
  rate: Rate;
  /** The same function at each drawing: the parts are drawn again when it is another. */
  onChange: Change;
}

/** A part of a rate with its fields, drawn again only when that part is another. */
type PartProps<F extends keyof Rate> = Pick<Rate, F> & { onChange: Change };

const styles = (inks: Inks) => ({
  all: { borderTopWidth: 1, borderTopColor: inks.hairline, paddingTop: 12, gap: 16 },
  field: { width: 148 },
  note: note(inks),
});

const HandlingFields = memo(function HandlingFields({ handling, onChange }: PartProps<'handling'>) {
  const style = useStyles(styles);
  const set = (changes: Partial<Handling>, visit: string | null): void => {
    const next: Handling = { per: 'order', ...handling, ...changes };
    const nothing = next.amount === undefined && next.points === undefined;
    onChange({ handling: nothing ? undefined : next }, t('handling'), visit);
  };
  return (
    <FieldGroup name={t('Handling, on top of the price')}>
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Handling amount')}
        placeholder={t('none')}
        value={handling?.amount}
        onChange={(amount, visit) => set({ amount }, visit)}
      />
      <OptionalPercentField
        right
        style={style.field}
        label={t('% of the charge so far')}
        placeholder={t('none')}
        value={handling?.points}
        onChange={(points, visit) => set({ points }, visit)}
      />
      {handling?.amount === undefined ? null : (
        <Segments
          label={t('Handling for each')}
          width={280}
          value={handling.per}
          onChange={(per) => set({ per }, null)}
          options={[
            { value: 'order', label: t('order') },
            { value: 'parcel', label: t('parcel') },
            { value: 'unit', label: t('unit') },
          ]}
        />
      )}
    </FieldGroup>
  );
});

const ChargeFields = memo(function ChargeFields({
  freeFrom: current,
  bounds,
  onChange,
}: PartProps<'freeFrom' | 'bounds'>) {
  const style = useStyles(styles);
  const bound = (end: 'min' | 'max', value: number | undefined, visit: string): void =>
    onChange({ bounds: withEnd(bounds, end, value) }, t('bounds'), visit);
  return (
    <FieldGroup name={t('The charge')}>
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Free from a subtotal of')}
        placeholder={t('never free')}
        value={current}
        onChange={(freeFrom, visit) => onChange({ freeFrom }, t('free from'), visit)}
      />
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Never less than')}
        placeholder={t('no minimum')}
        value={bounds?.min}
        onChange={(value, visit) => bound('min', value, visit)}
      />
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Never more than')}
        placeholder={t('no maximum')}
        value={bounds?.max}
        onChange={(value, visit) => bound('max', value, visit)}
      />
    </FieldGroup>
  );
});

const TransitFields = memo(function TransitFields({ transit, onChange }: PartProps<'transit'>) {
  const style = useStyles(styles);
  const hasLocation = useAppSelector((state) => selectBook(state).locations.length > 0);
  const set = (end: 'min' | 'max', days: number | undefined, visit: string): void =>
    onChange({ transit: withDays(transit, end, days) }, t('transit'), visit);
  return (
    <FieldGroup name={t('Working days on the way')}>
      {(['min', 'max'] as const).map((end) => (
        <OptionalCountField
          key={end}
          style={style.field}
          label={end === 'min' ? t('At the earliest') : t('At the latest')}
          placeholder={t('not set')}
          value={transit?.[end]}
          least={0}
          most={365}
          onChange={(days, visit) => set(end, days, visit)}
        />
      ))}
      {transit && !hasLocation ? (
        <Text style={style.note}>
          {t(
            'Without a location nobody knows when an order leaves, so customers see these days, not a date. Add one under Settings, Locations.',
          )}
        </Text>
      ) : null}
    </FieldGroup>
  );
});

const ChannelsField = memo(function ChannelsField({ channels: current, onChange }: PartProps<'channels'>) {
  return (
    <TokensField
      prose
      label={t('Only for orders from these channels, separated by commas')}
      placeholder={t('every channel')}
      value={current ?? []}
      onChange={(channels, visit) =>
        onChange({ channels: channels.length > 0 ? channels : undefined }, t('channels'), visit)
      }
    />
  );
});

const TaxField = memo(function TaxField({ taxable, onChange }: PartProps<'taxable'>) {
  return (
    <Check
      label={t('Taxed like other charges at the destination')}
      on={taxable}
      onPress={() => onChange({ taxable: !taxable }, t('tax'))}
    />
  );
});

const ToldFields = memo(function ToldFields({
  whenWithheld,
  message: current = '',
  onChange,
}: PartProps<'whenWithheld' | 'message'>) {
  const tells = whenWithheld === 'tell';
  return (
    <>
      <Check
        label={t('Tell the customer why, where it is not offered')}
        on={tells}
        onPress={() => onChange({ whenWithheld: tells ? 'hide' : 'tell' }, t('what is told'))}
      />
      {tells ? (
        <WordsField
          label={t('Message to the customer')}
          prose
          placeholder={t('our own explanation')}
          value={current}
          most={2_000}
          onChange={(message, visit) =>
            onChange({ message: message === '' ? undefined : message }, t('what is told'), visit)
          }
        />
      ) : null}
    </>
  );
});

/** Everything about a rate besides its price: limits, handling, thresholds, bounds, transit, and what customers are told. */
export const RateConditions = ({ rate, onChange }: Props) => {
  const style = useStyles(styles);
  const { limits, handling, freeFrom, bounds, transit, channels, taxable, whenWithheld, message } = rate;
  const setLimits = useSteady((next: Rate['limits'], visit: string) =>
    onChange({ limits: next }, t('limits'), visit),
  );
  return (
    <View style={style.all}>
      <LimitFields but={limitOf(rate.price)} limits={limits} onChange={setLimits} />
      <HandlingFields handling={handling} onChange={onChange} />
      <ChargeFields freeFrom={freeFrom} bounds={bounds} onChange={onChange} />
      <TransitFields transit={transit} onChange={onChange} />
      <ChannelsField channels={channels} onChange={onChange} />
      <View>
        <TaxField taxable={taxable} onChange={onChange} />
        <ToldFields whenWithheld={whenWithheld} message={message} onChange={onChange} />
      </View>
    </View>
  );
};
