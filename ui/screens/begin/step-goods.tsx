import { View } from 'react-native';
import { Text } from 'react-native-paper';
import {
  firstZones,
  GOODS_KINDS,
  SERVICE_NAMES,
  type FirstZone,
  type GoodsKind,
} from '../../../core/begin/first-book.ts';
import { t } from '../../../core/translate/translate.ts';
import { Check } from '../../parts/check.tsx';
import { countryName } from '../../../core/words/country-name.ts';
import { currencyDecimals, exampleAmount } from '../../../core/words/figure.ts';
import { useStyles } from '../../theme/styles.ts';
import { Answer, beginStyles, FaultText, Why, type StepProps } from './begin-parts.tsx';

const KINDS: Record<GoodsKind, string> = {
  letters: t('Small and flat, to 400 g: sent as a letter'),
  parcels: t('What fits a parcel, to 30 kg'),
  heavy: t('Long or heavy, sent as freight'),
};

const zoneName = (zone: FirstZone, country: string): string =>
  ({ home: countryName(country), abroad: t('Abroad'), rest: t('Everywhere else') })[zone];

/** What is charged for sending one order, by what the products are like to send. */
const Sending = ({ form, values, onSubmit }: StepProps) => {
  const style = useStyles(beginStyles);
  const text = { form, onSubmit };
  const { kinds, country } = values;
  const toggle = (kind: GoodsKind): void =>
    form.setValue('kinds', kinds.includes(kind) ? kinds.filter((one) => one !== kind) : [...kinds, kind]);
  const chosen = GOODS_KINDS.filter((kind) => kinds.includes(kind));
  return (
    <>
      <View role="group" aria-label={t('What your products are like to send')}>
        <Text>{t('Your products are')}</Text>
        {GOODS_KINDS.map((kind) => (
          <Check key={kind} label={KINDS[kind]} on={kinds.includes(kind)} onPress={() => toggle(kind)} />
        ))}
        <FaultText text={form.formState.errors.kinds?.message} />
      </View>
      <Text>{t('What you charge for sending one order')}</Text>
      {firstZones(values).map((zone) => (
        <View
          key={zone}
          role="group"
          aria-label={t('Charges: {zoneName}', { zoneName: zoneName(zone, country) })}
        >
          <Text style={style.note}>{zoneName(zone, country)}</Text>
          <View style={style.row}>
            {chosen.map((kind) => (
              <Answer
                {...text}
                key={kind}
                name={`charges.${zone}.${kind}`}
                label={`${SERVICE_NAMES[kind]}, ${zoneName(zone, country)}`}
                placeholder={exampleAmount(currencyDecimals(values.currency), 750)}
              />
            ))}
          </View>
        </View>
      ))}
    </>
  );
};

/** A first product, and, where it is shipped, what the products are like to send and what sending costs. */
export const StepGoods = ({ form, values, onSubmit }: StepProps) => {
  const style = useStyles(beginStyles);
  const text = { form, onSubmit };
  return (
    <View style={{ gap: 12 }}>
      <Why text={t('Begin with one product; the others follow by hand or as a CSV.')} />
      <View style={style.row}>
        <Answer
          {...text}
          name="goodName"
          label={t('A product that you sell')}
          placeholder={t('Slate board')}
        />
        <Answer
          {...text}
          name="goodPrice"
          label={t('Its price')}
          placeholder={exampleAmount(currencyDecimals(values.currency), 3_200)}
        />
        <Answer
          {...text}
          name="goodWeight"
          label={values.ships ? t('Its weight') : t('Its weight (optional)')}
          placeholder={values.units === 'metric' ? t('1.2 kg') : t('2 lb 10 oz')}
        />
      </View>
      {values.ships ? <Sending form={form} values={values} onSubmit={onSubmit} /> : null}
    </View>
  );
};
