import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import type { CarrierService } from '../../../../core/model/price.ts';
import { moneyFigure, percentFigure } from '../../../../core/words/figure.ts';
import { Check } from '../../../parts/check.tsx';
import { OptionalCountField, OptionalMoneyField, OptionalNameField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { optional, readMoney, readPercent, signed } from '../../../fields/readers.ts';
import { withDays } from '../transit.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { fieldsOf } from '../../../fields/fields-of.ts';

interface Props {
  name: string;
  offered: CarrierService | undefined;
  onToggle: () => void;
  onChange: (service: CarrierService, visit: string) => void;
}

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline, paddingBottom: 8 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingLeft: 28 } as const,
  name: { flexGrow: 1, flexBasis: 160 },
  field: { width: 104 },
});

/** A service without the fields that say nothing. */
const tidied = ({ code, ...fields }: CarrierService): CarrierService => {
  const { change, ...rest } = fields;
  const set = Object.fromEntries(Object.entries(change ?? {}).filter(([, value]) => value !== undefined));
  const kept = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined));
  return { code, ...kept, ...(Object.keys(set).length > 0 ? { change: set } : {}) };
};

/** How the carrier's price is changed: by a share, then by an amount, each up or down. */
const ChangeFields = ({
  change,
  onChange,
}: {
  change: CarrierService['change'];
  onChange: (change: NonNullable<CarrierService['change']>, visit: string) => void;
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const money = (amount: number | undefined): string =>
    amount === undefined ? '' : moneyFigure(amount, display.decimals);
  return (
    <>
      <DraftField
        right
        style={style.field}
        label={t('Change by %')}
        placeholder={t('as asked')}
        text={change?.points === undefined ? '' : percentFigure(change.points)}
        read={optional<number>(signed(readPercent))}
        onChange={(points, visit) => onChange({ ...change, points }, visit)}
      />
      <DraftField
        right
        style={style.field}
        label={t('plus amount')}
        placeholder={t('nothing')}
        text={money(change?.amount)}
        read={optional<number>(signed(readMoney(display)))}
        onChange={(amount, visit) => onChange({ ...change, amount }, visit)}
      />
    </>
  );
};

/** Under which name a service is offered, how its price is changed, and how long it takes. */
const OfferFields = ({
  name,
  offered,
  onChange,
}: Pick<Props, 'name' | 'onChange'> & { offered: CarrierService }) => {
  const style = useStyles(styles);
  const set = (changes: Partial<CarrierService>, visit: string): void =>
    onChange(tidied({ ...offered, ...changes }), visit);
  const field = fieldsOf(offered, (changes, _, visit: string) => set(changes, visit));
  return (
    <View style={style.row} role="group" aria-label={name}>
      <OptionalNameField
        prose
        style={style.name}
        label={t('Under the name')}
        placeholder={name}
        {...field('label')}
      />
      <ChangeFields change={offered.change} onChange={(change, visit) => set({ change }, visit)} />
      <OptionalMoneyField
        right
        style={style.field}
        label={t('or fixed price')}
        placeholder={t('not set')}
        {...field('override')}
      />
      <OptionalMoneyField
        right
        style={style.field}
        label={t('Free from')}
        placeholder={t('never')}
        {...field('freeFrom')}
      />
      {(['min', 'max'] as const).map((end) => (
        <OptionalCountField
          key={end}
          right
          style={style.field}
          label={end === 'min' ? t('Days, at least') : t('Days, at most')}
          placeholder={t('carrier’s own')}
          value={offered.transit?.[end]}
          least={0}
          most={365}
          onChange={(days, visit) => set({ transit: withDays(offered.transit, end, days) }, visit)}
        />
      ))}
    </View>
  );
};

/** One of a carrier's services: offered or not, under which name, and how its price is changed. */
export const ServiceOffer = ({ name, offered, onToggle, onChange }: Props) => {
  const style = useStyles(styles);
  return (
    <View style={style.item}>
      <Check label={name} on={offered !== undefined} onPress={onToggle} />
      {offered ? <OfferFields name={name} offered={offered} onChange={onChange} /> : null}
    </View>
  );
};
