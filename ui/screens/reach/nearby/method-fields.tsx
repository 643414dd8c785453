import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { DeliveryArea, DeliveryMethod } from '../../../../core/model/delivery.ts';
import type { OpeningHours } from '../../../../core/model/time.ts';
import { timingPhrase } from '../../../../core/price/nearby-phrase.ts';
import { limitPhrases } from '../../../../core/price/rate-phrase.ts';
import { countFigure, moneyFigure, type DisplayFormat } from '../../../../core/words/figure.ts';
import { Check } from '../../../parts/check.tsx';
import { MoneyField, NameField, OptionalCountField } from '../../../fields/kind-fields.tsx';
import { LimitFields } from '../../../fields/limit-fields.tsx';
import { Fold } from '../../../parts/fold.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { TimingFields } from '../../../fields/timing-fields.tsx';
import { edit } from '../../../state/draft.ts';
import { messageShown } from '../../../state/session.ts';
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
          `only if it arrives ${withinDays === 0 ? 'the same day' : `within ${countFigure(withinDays, 'day')}`}`,
        ]),
  ].join(', ');

const priceSummary = ({ add, addStays }: DeliveryMethod, { decimals }: DisplayFormat): string =>
  add === 0 ? 'nothing added' : `${moneyFigure(add, decimals)} added${addStays ? ', always' : ''}`;

type ChangeMethod = (changes: Partial<DeliveryMethod>, what: string, visit?: string | null) => void;

/** What a method adds to the area's charge. */
const PriceFold = ({ method, set }: { method: DeliveryMethod; set: ChangeMethod }) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  return (
    <Fold title="Price" of={method.name} summary={priceSummary(method, display)}>
      <MoneyField
        right
        style={style.field}
        label="Added to the price"
        value={method.add}
        onChange={(add, visit) => set({ add }, 'addition', visit)}
      />
      {method.add > 0 ? (
        <Check
          label="Charged even when delivery is free"
          on={method.addStays === true}
          onPress={() => set({ addStays: method.addStays ? undefined : true }, 'addition when free')}
        />
      ) : null}
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
    dispatch(edit('removeMethod', { areaId: area.id, id: method.id }, `${area.name}: remove ${method.name}`));
    dispatch(messageShown({ text: `Removed ${method.name} from ${area.name}.`, undo: true }));
  };
  return (
    <View style={style.method} role="group" aria-label={`Delivery method ${method.name}`}>
      <NameField prose style={style.name} label="Delivery method, as customers see it" {...field('name')} />
      <View>
        <Fold title="Time" of={method.name} summary={timeSummary(method)}>
          <TimingFields
            timing={method.timing}
            hours={hours}
            onChange={(timing, visit) => set({ timing }, 'time', visit)}
          />
          <WeekStrip id={`${area.id}:${method.id}`} />
          <OptionalCountField
            right
            style={style.within}
            label="Offer only if it arrives within (days)"
            placeholder="any time"
            {...field('withinDays', 'within days')}
            least={0}
            most={366}
          />
        </Fold>
        <PriceFold method={method} set={set} />
        <Fold
          title="Limits"
          of={method.name}
          summary={limitPhrases(method.limits, display).join(', ') || 'none'}
        >
          <LimitFields
            name={`Offer ${method.name} only for baskets of`}
            limits={method.limits}
            onChange={(limits, visit) => set({ limits }, 'limits', visit)}
          />
        </Fold>
      </View>
      {area.methods.length > 1 ? (
        <TextAction
          label={`Remove ${method.name}`}
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
      <Text style={style.title}>Delivery methods</Text>
      {area.methods.map((method) => (
        <MethodFields key={method.id} area={area} method={method} hours={hours} />
      ))}
      <TextAction
        label="Add a delivery method"
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() =>
          dispatch(edit('addMethod', { areaId: area.id, name: 'New method' }, `${area.name}: new method`))
        }
      />
    </View>
  );
};
