import { View } from 'react-native';
import { Text } from 'react-native-paper';
import {
  COLUMN_NAMES,
  GOODS_COLUMNS,
  unitsOf,
  usualUnit,
  type GoodsColumn,
  type Mapped,
} from '../../../core/formats/goods-columns.ts';
import { t } from '../../../core/translate/translate.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppSelector } from '../../state/store.ts';
import { Chooser } from '../../parts/chooser.tsx';
import { Segments } from '../../parts/segments.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

interface Props {
  rows: readonly (readonly string[])[];
  mapped: readonly Mapped[];
  onChange: (mapped: Mapped[]) => void;
}

const styles = (inks: Inks) => ({
  item: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 12,
    alignItems: 'center',
    paddingVertical: 8,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  words: { flexBasis: 180, flexGrow: 1, minWidth: 0 },
  chooser: { width: 200, flexDirection: 'row' } as const,
  units: { width: 290, alignItems: 'flex-start' } as const,
  note: note(inks),
});

const NOTHING = 'nothing';
const OPTIONS = [
  { id: NOTHING, name: t('Do not import'), note: '' },
  ...GOODS_COLUMNS.map(({ column, name }) => ({ id: column, name: t(name), note: '' })),
];
const SAMPLES = 3;

const samplesOf = (rows: Props['rows'], at: number): string =>
  rows
    .slice(1)
    .map((cells) => (cells[at] ?? '').trim())
    .filter(Boolean)
    .slice(0, SAMPLES)
    .join(' · ');

/** What each column of the file is taken as, and the unit of its bare figures. */
export const CsvColumns = ({ rows, mapped, onChange }: Props) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const { units: system } = useAppSelector(selectDisplayFormat);
  const set = (at: number, changes: Mapped): void =>
    onChange(mapped.map((one, i) => (i === at ? changes : one)));
  const choose = (at: number, id: string): void => {
    const column = id === NOTHING ? null : (id as GoodsColumn);
    const unit = usualUnit(column, system);
    set(at, { column, ...(unit ? { unit } : {}) });
  };
  return (
    <View role="list" aria-label={t('Columns of the file')}>
      {mapped.map(({ column, unit }, at) => {
        const heading = (rows[0]?.[at] ?? '').trim() || t('Column {count}', { count: at + 1 });
        const units = unitsOf(column);
        return (
          <View key={at} role="listitem" style={style.item}>
            <View style={style.words}>
              <Text>{heading}</Text>
              <Text style={style.note} numberOfLines={1}>
                {samplesOf(rows, at) || t('empty')}
              </Text>
            </View>
            <View style={style.chooser}>
              <Chooser
                hideLabel
                label={t('“{heading}” is', { heading })}
                chosen={column === null ? t('Do not import') : t(COLUMN_NAMES[column])}
                options={OPTIONS}
                onChoose={(id) => choose(at, id)}
              />
            </View>
            <View style={units.length > 0 || !isPhone ? style.units : null}>
              {units.length > 0 && unit ? (
                <Segments
                  hideLabel
                  label={t('Unit of “{heading}”', { heading })}
                  width={units.length * 58}
                  value={unit}
                  onChange={(next) => set(at, { column, unit: next })}
                  options={units.map((one) => ({ value: one, label: one }))}
                />
              ) : null}
            </View>
          </View>
        );
      })}
    </View>
  );
};
