import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { DeliveryArea, DeliveryMethod } from '../../../../core/model/delivery.ts';
import type { OpeningHours } from '../../../../core/model/time.ts';
import { moneyFigure } from '../../../../core/words/figure.ts';
import { DraftField } from '../../../parts/draft-field.tsx';
import { LimitFields } from '../../../parts/limit-fields.tsx';
import { optional, readCountWithin, readMoney, readName } from '../../../parts/readers.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { TimingFields } from '../../../parts/timing-fields.tsx';
import { edit } from '../../../state/draft.ts';
import { selectSpeech } from '../../../state/selectors.ts';
import { told } from '../../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { WeekStrip } from './week-strip.tsx';

const styles = (inks: Inks) => ({
  way: { gap: 12, borderLeftWidth: 3, borderLeftColor: inks.hairline, paddingLeft: 12 },
  title: { fontFamily: SANS_STRONG },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  name: { flexGrow: 1, flexBasis: 160 },
  field: { width: 132 },
});

interface Props {
  area: DeliveryArea;
  way: DeliveryMethod;
  hours: readonly OpeningHours[];
}

const WayFields = ({ area, way, hours }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const speech = useAppSelector(selectSpeech);
  const set = (changes: Partial<DeliveryMethod>, what: string, visit: string | null = null): void => {
    const label = `${area.name}, ${way.name}: ${what}`;
    dispatch(edit('setWay', { areaId: area.id, id: way.id, changes }, label, visit));
  };
  const remove = (): void => {
    dispatch(edit('removeWay', { areaId: area.id, id: way.id }, `${area.name}: remove ${way.name}`));
    dispatch(told({ text: `Removed ${way.name} from ${area.name}.`, undo: true }));
  };
  return (
    <View style={style.way} role="group" aria-label={`Way ${way.name}`}>
      <View style={style.row}>
        <DraftField
          prose
          style={style.name}
          label="Way, as customers see it"
          text={way.name}
          read={readName}
          onChange={(name, visit) => set({ name }, 'name', visit)}
        />
        <DraftField
          right
          style={style.field}
          label="On top of the price"
          text={moneyFigure(way.add, speech.decimals)}
          read={readMoney(speech)}
          onChange={(add, visit) => set({ add }, 'addition', visit)}
        />
        <DraftField
          right
          style={style.field}
          label="Only within days"
          placeholder="any time"
          text={way.withinDays === undefined ? '' : String(way.withinDays)}
          read={optional<number>(readCountWithin(0, 366))}
          onChange={(withinDays, visit) => set({ withinDays }, 'within days', visit)}
        />
      </View>
      <TimingFields
        timing={way.timing}
        hours={hours}
        onChange={(timing, visit) => set({ timing }, 'time', visit)}
      />
      <WeekStrip id={`${area.id}:${way.id}`} />
      <LimitFields
        name={`By ${way.name} only baskets of`}
        limits={way.limits}
        onChange={(limits, visit) => set({ limits }, 'limits', visit)}
      />
      {area.methods.length > 1 ? (
        <TextAction
          label={`Remove ${way.name}`}
          style={{ alignSelf: 'flex-start', marginLeft: -4 }}
          onPress={remove}
        />
      ) : null}
    </View>
  );
};

/** The ways an area's deliveries can come, each a choice at checkout. */
export const WaysFields = ({ area, hours }: Pick<Props, 'area' | 'hours'>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={{ gap: 16 }}>
      <Text style={style.title}>Ways it can come</Text>
      {area.methods.map((way) => (
        <WayFields key={way.id} area={area} way={way} hours={hours} />
      ))}
      <TextAction
        label="Add a way"
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={() =>
          dispatch(edit('addWay', { areaId: area.id, name: 'New way' }, `${area.name}: new way`))
        }
      />
    </View>
  );
};
