import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { PackPlan } from '../../../core/model/pack.ts';
import { weightFigure } from '../../../core/words/figure.ts';
import { DraftField, type Read } from '../../parts/draft-field.tsx';
import { readCountWithin, readMeasure } from '../../parts/readers.ts';
import { Segments } from '../../parts/segments.tsx';
import { selectSpeech } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

type Kind = Exclude<PackPlan['kind'], 'boxes'>;

interface Props {
  packing: PackPlan;
  onChange: (packing: PackPlan, visit: string | null) => void;
}

const FIRST: Record<Kind, PackPlan> = {
  single: { kind: 'single' },
  'by-weight': { kind: 'by-weight', maxWeight: 20_000 },
  even: { kind: 'even', maxWeight: 20_000 },
  'by-count': { kind: 'by-count', maxUnits: 10 },
};
const MEANING: Record<PackPlan['kind'], string> = {
  single: 'All in one parcel; goods that pack alone are parcels of their own.',
  'by-weight': 'The heaviest units first, each into the first parcel with room for it.',
  even: 'The fewest parcels under the weight, all of about one weight.',
  'by-count': 'Units in the order of the basket, so many to a parcel.',
  boxes: 'Into boxes.',
};

const styles = (inks: Inks) => ({ all: { gap: 8 }, field: { width: 168 }, note: note(inks) });

/** How a basket becomes parcels: what prices and handling per parcel count. */
export const PackingFields = ({ packing, onChange }: Props) => {
  const style = useStyles(styles);
  const speech = useAppSelector(selectSpeech);
  const readMost = (text: string): Read<number> => {
    const weight = readMeasure('weight', speech)(text);
    return weight.ok && weight.value === 0 ? { ok: false, text: 'This must be more than 0.' } : weight;
  };
  return (
    <View style={style.all} role="group" aria-label="Parcels">
      <Text>A basket becomes</Text>
      <Segments
        value={packing.kind === 'boxes' ? 'single' : packing.kind}
        onChange={(kind) => onChange(FIRST[kind], null)}
        options={[
          { value: 'single', label: 'one parcel' },
          { value: 'by-weight', label: 'by weight' },
          { value: 'even', label: 'even ones' },
          { value: 'by-count', label: 'by count' },
        ]}
      />
      <Text style={style.note}>{MEANING[packing.kind]}</Text>
      {packing.kind === 'by-weight' || packing.kind === 'even' ? (
        <DraftField
          right
          style={style.field}
          label="A parcel weighs at most"
          text={weightFigure(packing.maxWeight, speech.units)}
          read={readMost}
          onChange={(maxWeight, visit) => onChange({ ...packing, maxWeight }, visit)}
        />
      ) : null}
      {packing.kind === 'by-count' ? (
        <DraftField
          right
          style={style.field}
          label="Units to a parcel"
          text={String(packing.maxUnits)}
          read={readCountWithin(1, 99_999)}
          onChange={(maxUnits, visit) => onChange({ ...packing, maxUnits }, visit)}
        />
      ) : null}
    </View>
  );
};
