import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { DeliveryArea, DeliveryMethod } from '../../../../core/model/delivery.ts';
import type { OpeningHours } from '../../../../core/model/time.ts';
import { timingPhrase } from '../../../../core/price/nearby-phrase.ts';
import { limitPhrases } from '../../../../core/price/rate-phrase.ts';
import { moneyFigure, type DisplayFormat } from '../../../../core/words/figure.ts';
import { Check } from '../../../parts/check.tsx';
import { MoneyField, NameField, OptionalCountField } from '../../../fields/kind-fields.tsx';
import { LimitFields } from '../../../fields/limit-fields.tsx';
import { Fold } from '../../../parts/fold.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { TimingFields } from '../../../fields/timing-fields.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { WeekStrip } from './week-strip.tsx';
import { fieldsOf } from '../../../fields/fields-of.ts';

const styles = (inks: Inks) => ({
  method: { gap: 12, borderLeftWidth: 3, borderLeftColor: inks.hairline, paddingLeft: 12 },
  title: { fontFamily: SANS_STRONG },
  name: { maxWidth: 420 },
  field: { width: 132 },
  within: { maxWidth: 260 },
});

interface Props {
  area: DeliveryArea;
  method: DeliveryMethod;
  hours: readonly OpeningHours[];
}

const timeSummary = ({ timing, withinDays }: DeliveryMethod): string =>
  [
    timingPhrase(timing),
    ...(withinDays === undefined
      ? []
      : [
          t('only if it arrives {when}', {
            when:
              withinDays === 0
                ? t('the same day')
                : t('within {withinDays, plural, one {# day} other {# days}}', { withinDays }),
          }),
        ]),
  ].join(', ');

const priceSummary = ({ add, addStays }: DeliveryMethod, { decimals }: DisplayFormat): string =>
  add === 0
    ? t('nothing added')
    : t('{amount} added{always}', {
        amount: moneyFigure(add, decimals),
        always: addStays ? t(', always') : '',
      });

type ChangeMethod = (changes: Partial<DeliveryMethod>, what: string, visit?: string | null) => void;

/** What a method adds to the area's charge. */
const PriceFold = ({ method, set }: { method: DeliveryMethod; set: ChangeMethod }) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  return (
    <Fold title={t('Price')} of={method.name} summary={priceSummary(method, display)}>
      <MoneyField
        right
        style={style.field}
        label={t('Added to the price')}
        value={method.add}
        onChange={(add, visit) => set({ add }, t('addition'), visit)}
      />
      {method.add > 0 ? (
        <Check
          label={t('Charged even when delivery is free')}
          on={method.addStays === true}
          onPress={() => set({ addStays: method.addStays ? undefined : true }, t('addition when free'))}
        />
      ) : null}
    </Fold>
  );
};

/** When a method brings orders, and what its week looks like. */
const TimeFold = ({ area, method, hours, set }: Props & { set: ChangeMethod }) => {
  const style = useStyles(styles);
  return (
    <Fold title={t('Time')} of={method.name} summary={timeSummary(method)}>
      <TimingFields
        timing={method.timing}
        hours={hours}
        onChange={(timing, visit) => set({ timing }, t('time'), visit)}
      />
      <WeekStrip id={`${area.id}:${method.id}`} />
      <OptionalCountField
        right
        style={style.within}
        label={t('Offer only if it arrives within (days)')}
        placeholder={t('any time')}
        {...fieldsOf(method, set)('withinDays', t('within days'))}
        least={0}
        most={366}
      />
    </Fold>
  );
};

const MethodFields = ({ area, method, hours }: Props) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const dispatch = useAppDispatch();
  const set: ChangeMethod = (changes, what, visit = null) => {
    const label = `${area.name}, ${method.name}: ${what}`;
    dispatch(edit('setMethod', { areaId: area.id, id: method.id, changes }, label, visit));
  };
  const field = fieldsOf(method, set);
  const remove = (): void => {
    dispatch(
      edit(
        'removeMethod',
        { areaId: area.id, id: method.id },
        t('{area}: remove {method}', { area: area.name, method: method.name }),
      ),
    );
    dispatch(undoMessage(t('Removed {method} from {area}.', { method: method.name, area: area.name })));
  };
  return (
    <View
      style={style.method}
      role="group"
      aria-label={t('Delivery method {method}', { method: method.name })}
    >
      <NameField
        prose
        style={style.name}
        label={t('Delivery method, as customers see it')}
        {...field('name')}
      />
      <View>
        <TimeFold area={area} method={method} hours={hours} set={set} />
        <PriceFold method={method} set={set} />
        <Fold
          title={t('Limits')}
          of={method.name}
          summary={limitPhrases(method.limits, display).join(', ') || t('none')}
        >
          <LimitFields
            name={t('Offer {method} only for baskets of', { method: method.name })}
            limits={method.limits}
            onChange={(limits, visit) => set({ limits }, t('limits'), visit)}
          />
        </Fold>
      </View>
      {area.methods.length > 1 ? (
        <TextAction
          label={t('Remove {method}', { method: method.name })}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={remove}
        />
      ) : null}
    </View>
  );
};

/** The ways an area's deliveries can come, each a choice at checkout. */
export const MethodsFields = ({ area, hours }: Pick<Props, 'area' | 'hours'>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={{ gap: 16 }}>
      <Text style={style.title}>{t('Delivery methods')}</Text>
      {area.methods.map((method) => (
        <MethodFields key={method.id} area={area} method={method} hours={hours} />
      ))}
      <TextAction
        label={t('Add a delivery method')}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() =>
          dispatch(
            edit(
              'addMethod',
              { areaId: area.id, name: t('New method') },
              t('{area}: new method', { area: area.name }),
            ),
          )
        }
      />
    </View>
  );
};
