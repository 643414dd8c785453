import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { patternName } from '../../../../core/place/written-code.ts';
import { t } from '../../../../core/translate/translate.ts';
import type { RateTable, TableRow } from '../../../../core/model/price.ts';
import { measureFigure } from '../../../../core/words/figure.ts';
import { OptionalCountryField } from '../../../fields/country-field.tsx';
import { MeasureField, MoneyField, OptionalMeasureField } from '../../../fields/kind-fields.tsx';
import { DraftField } from '../../../fields/draft-field.tsx';
import { subdivisionName } from '../../../places/places.ts';
import { readPattern, readSubdivision } from '../../../fields/place-readers.ts';
import { optional, readSizeOf } from '../../../fields/readers.ts';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { raisedPanel } from '../../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../../theme/tokens.ts';
import { fieldsOf } from '../../../fields/fields-of.ts';

interface Props {
  table: RateTable;
  row: TableRow;
  at: number;
  onGone: () => void;
}

const styles = (inks: Inks) => ({
  panel: { ...raisedPanel(inks), padding: 12, gap: 8, marginBottom: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end' } as const,
  field: { width: 124 },
  place: { width: 168 },
  title: { fontFamily: SANS_STRONG },
});

/** What is added for each further piece above the beginning of the row. */
const EachFields = ({
  row: { each },
  basis,
  onChange,
}: {
  row: TableRow;
  basis: RateTable['basis'];
  onChange: (each: TableRow['each'], visit: string | null) => void;
}) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const start = { size: 1, amount: 0, count: 'started' as const };
  return (
    <View style={style.row}>
      <DraftField
        right
        style={style.field}
        label={t('And for each')}
        placeholder={t('nothing')}
        text={each ? measureFigure(basis, each.size, display) : ''}
        read={optional<number>(readSizeOf(basis, display))}
        onChange={(size, visit) =>
          onChange(size === undefined ? undefined : { ...start, ...each, size }, visit)
        }
      />
      {each ? (
        <>
          <MoneyField
            right
            style={style.field}
            label={t('above it')}
            value={each.amount}
            onChange={(amount, visit) => onChange({ ...each, amount }, visit)}
          />
          <Segments
            label={t('Part of a unit')}
            width={360}
            value={each.count}
            onChange={(count) => onChange({ ...each, count }, null)}
            options={[
              { value: 'started', label: t('Round up to whole units') },
              { value: 'exact', label: t('In proportion') },
            ]}
          />
        </>
      ) : null}
    </View>
  );
};

/** Where a row holds: any place, a country, a region or postal codes. */
const PlaceOfRow = ({
  row,
  onChange,
}: {
  row: TableRow;
  onChange: (changes: Partial<TableRow>, visit: string | null) => void;
}) => {
  const style = useStyles(styles);
  return (
    <View style={style.row}>
      <OptionalCountryField
        style={style.place}
        label={t('Country')}
        placeholder={t('any')}
        value={row.country}
        onChange={(country, visit) => onChange({ country }, visit)}
      />
      <DraftField
        style={style.place}
        label={t('Region')}
        placeholder={t('any')}
        text={row.subdivision === undefined ? '' : subdivisionName(row.subdivision)}
        read={optional<string>(readSubdivision)}
        onChange={(subdivision, visit) => onChange({ subdivision }, visit)}
      />
      <DraftField
        style={style.field}
        label={t('Postal code')}
        placeholder={t('any')}
        text={row.postal === undefined ? '' : patternName(row.country ?? '', row.postal)}
        read={optional<string>(readPattern(row.country ?? ''))}
        onChange={(postal, visit) => onChange({ postal }, visit)}
      />
    </View>
  );
};

/** One row of a table: its place, its range and what it charges. */
export const RowFields = ({ table, row, at, onGone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { id, basis } = table;
  const set = (changes: Partial<TableRow>, visit: string | null): void => {
    const next = Object.fromEntries(
      Object.entries({ ...row, ...changes }).filter(([, value]) => value !== undefined),
    ) as unknown as TableRow;
    dispatch(
      edit(
        'setRow',
        { id, at, row: next },
        t('{table}: row {count}', { table: table.name, count: at + 1 }),
        visit,
      ),
    );
  };
  const field = fieldsOf(row, (changes, _, visit: string) => set(changes, visit));
  const remove = (): void => {
    dispatch(
      edit('removeRow', { id, at }, t('{table}: remove row {count}', { table: table.name, count: at + 1 })),
    );
    dispatch(undoMessage(t('Removed row {count} of {table}.', { count: at + 1, table: table.name })));
    onGone();
  };
  return (
    <View style={style.panel} role="group" aria-label={t('Row {count}', { count: at + 1 })}>
      <Text style={style.title}>{t('Row {count}', { count: at + 1 })}</Text>
      <PlaceOfRow row={row} onChange={set} />
      <View style={style.row}>
        <MeasureField right style={style.field} label={t('From')} {...field('from')} measure={basis} />
        <OptionalMeasureField
          right
          style={style.field}
          label={t('Below')}
          placeholder={t('any')}
          {...field('to')}
          measure={basis}
        />
        <MoneyField right style={style.field} label={t('Amount')} {...field('amount')} />
      </View>
      <EachFields row={row} basis={basis} onChange={(each, visit) => set({ each }, visit)} />
      <TextAction
        label={t('Remove the row')}
        style={{ alignSelf: 'flex-start', marginLeft: -4 }}
        onPress={remove}
      />
    </View>
  );
};
