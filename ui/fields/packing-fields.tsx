import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { Box, PackPlan } from '../../core/model/pack.ts';
import { weightFigure, type DisplayFormat } from '../../core/words/figure.ts';
import { Check } from '../parts/check.tsx';
import { CountField } from './kind-fields.tsx';
import { DraftField, type Read } from './draft-field.tsx';
import { readMeasure } from './readers.ts';
import { Segments } from '../parts/segments.tsx';
import { selectDisplayFormat } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { useBookParts } from '../state/use-book-parts.ts';
import { useKeptKinds } from '../parts/use-kept-kinds.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';

type Kind = PackPlan['kind'];

interface Props {
  packing: PackPlan;
  onChange: (packing: PackPlan, visit: string | null) => void;
  /** Whose boxes may be used beside the shop's own: a carrier's, or with undefined any. */
  carrier?: string;
}

/** Twenty kilograms, or forty pounds. */
const FIRST_WEIGHT = { metric: 20_000, imperial: 18_143.6948 };

const firstPlans = (units: DisplayFormat['units']): Record<Exclude<Kind, 'boxes'>, PackPlan> => ({
  single: { kind: 'single' },
  'by-weight': { kind: 'by-weight', maxWeight: FIRST_WEIGHT[units] },
  even: { kind: 'even', maxWeight: FIRST_WEIGHT[units] },
  'by-count': { kind: 'by-count', maxUnits: 10 },
});
const MEANING: Record<PackPlan['kind'], string> = {
  single: t('All in one parcel; products that pack alone are parcels of their own.'),
  'by-weight': t('The heaviest units first, each into the first parcel with room for it.'),
  even: t('The fewest parcels under the weight, all of about one weight.'),
  'by-count': t('Units in the order of the basket, so many to a parcel.'),
  boxes: t('Fitted in 3D: the fewest boxes, then the smallest, then the cheapest.'),
};

/** The shop's own boxes: a carrier's are used where the merchant ticks them. */
const ownBoxes = (boxes: readonly Box[]): string[] =>
  boxes.filter(({ carrierBox }) => !carrierBox).map(({ id }) => id);

const styles = (inks: Inks) => ({
  all: { gap: 8 },
  field: { width: 168 },
  note: note(inks),
  wrap: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 } as const,
});

/** Which boxes the plan packs into. */
const PlanBoxes = ({ packing, onChange, carrier }: Props) => {
  const style = useStyles(styles);
  const { boxes } = useBookParts('boxes');
  if (packing.kind !== 'boxes') return null;
  const usable = boxes.filter(
    ({ carrierBox }) => carrier === undefined || !carrierBox || carrierBox.carrier === carrier,
  );
  const { boxIds } = packing;
  if (usable.length === 0)
    return <Text style={style.note}>{t('There are no boxes yet: add them under Products, Boxes.')}</Text>;
  return (
    <>
      <View style={style.wrap} role="group" aria-label={t('Boxes packed into')}>
        {usable.map(({ id, name }) => (
          <Check
            key={id}
            label={name}
            on={boxIds.includes(id)}
            onPress={() =>
              onChange(
                {
                  kind: 'boxes',
                  boxIds: boxIds.includes(id) ? boxIds.filter((one) => one !== id) : [...boxIds, id],
                },
                null,
              )
            }
          />
        ))}
      </View>
      {boxIds.length === 0 ? (
        <Text style={style.note}>{t('No box is ticked, so nothing can be packed.')}</Text>
      ) : null}
    </>
  );
};

/** How a basket becomes parcels: what prices and handling per parcel count. */
export const PackingFields = ({ packing, onChange, carrier }: Props) => {
  const { boxes } = useBookParts('boxes');
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const kept = useKeptKinds<PackPlan>(packing);
  const firstOf = (kind: Kind): PackPlan =>
    kind === 'boxes' ? { kind, boxIds: ownBoxes(boxes) } : firstPlans(display.units)[kind];
  const readMost = (text: string): Read<number> => {
    const weight = readMeasure('weight', display)(text);
    return weight.ok && weight.value === 0 ? { ok: false, text: t('This must be more than 0.') } : weight;
  };
  return (
    <View style={style.all} role="group" aria-label={t('Parcels')}>
      <Segments
        label={t('Pack each order into')}
        value={packing.kind}
        onChange={(kind) =>
          kind === packing.kind
            ? undefined
            : onChange(
                kept(kind, () => firstOf(kind) as never),
                null,
              )
        }
        options={[
          { value: 'single', label: t('one parcel') },
          { value: 'by-weight', label: t('by weight') },
          { value: 'even', label: t('equal parcels') },
          { value: 'by-count', label: t('by count') },
          { value: 'boxes', label: t('boxes') },
        ]}
      />
      <Text style={style.note}>{MEANING[packing.kind]}</Text>
      {packing.kind === 'by-weight' || packing.kind === 'even' ? (
        <DraftField
          right
          style={style.field}
          label={t('A parcel weighs at most')}
          text={weightFigure(packing.maxWeight, display.units)}
          read={readMost}
          onChange={(maxWeight, visit) => onChange({ ...packing, maxWeight }, visit)}
        />
      ) : null}
      <PlanBoxes packing={packing} onChange={onChange} carrier={carrier} />
      {packing.kind === 'by-count' ? (
        <CountField
          right
          style={style.field}
          label={t('Units to a parcel')}
          value={packing.maxUnits}
          least={1}
          most={99_999}
          onChange={(maxUnits, visit) => onChange({ ...packing, maxUnits }, visit)}
        />
      ) : null}
    </View>
  );
};
