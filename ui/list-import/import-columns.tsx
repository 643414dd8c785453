import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import type { ListColumn, ListMapping } from '../../core/formats/list-format.ts';
import type { Opened } from '../workers/list-reader.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { Chooser } from '../parts/chooser.tsx';
import { TextAction } from '../parts/text-action.tsx';

interface Props<C extends string> {
  columns: readonly ListColumn<C>[];
  opened: Opened;
  mapping: ListMapping<C>;
  onChange: (mapping: ListMapping<C>) => void;
  /** The columns of which nobody has said yet what they hold. */
  undecided: ReadonlySet<number>;
  onDecide: (places: readonly number[]) => void;
}

const NOTHING = 'nothing';
const LEFT_OUT = t('Do not import');

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
  words: { flexBasis: 140, flexGrow: 1, minWidth: 0 },
  chooser: { width: 190, flexDirection: 'row' } as const,
  note: { ...note(inks), flexShrink: 1 },
  ask: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
});

/** What each column of the file is taken as, with the first of its cells. */
export const ImportColumns = <C extends string>(props: Props<C>) => {
  const { columns, opened, mapping, onChange, undecided, onDecide } = props;
  const style = useStyles(styles);
  const options = [
    { id: NOTHING, name: LEFT_OUT, note: '' },
    ...columns.map(({ column, name, needed }) => ({
      id: column,
      name: t(name),
      note: needed ? t('needed') : '',
    })),
  ];
  const set = (at: number, id: string): void => {
    onChange(mapping.map((one, i) => (i === at ? (id === NOTHING ? null : (id as C)) : one)));
    onDecide([at]);
  };
  return (
    <View>
      <View role="list" aria-label={t('Columns of the file')}>
        {opened.headings.map((text, at) => {
          const heading = text.trim() || t('Column {count}', { count: at + 1 });
          const samples = opened.samples.map((cells) => (cells[at] ?? '').trim()).filter(Boolean);
          const chosen = columns.find(({ column }) => column === mapping[at]);
          return (
            <View key={at} role="listitem" style={style.item}>
              <View style={style.words}>
                <Text>{heading}</Text>
                <Text style={style.note} numberOfLines={1}>
                  {samples.join(' · ') || t('empty')}
                </Text>
              </View>
              <View style={style.chooser}>
                <Chooser
                  hideLabel
                  label={t('“{heading}” is', { heading })}
                  placeholder={t('What is it?')}
                  chosen={chosen ? t(chosen.name) : undecided.has(at) ? '' : LEFT_OUT}
                  options={options}
                  onChoose={(id) => set(at, id)}
                />
              </View>
            </View>
          );
        })}
      </View>
      {undecided.size > 0 ? (
        <View style={style.ask} role="alert">
          <Text style={style.note}>
            {t(
              '{count, plural, one {# column is} other {# columns are}} not recognised. Say what each holds, or do not import it.',
              { count: undecided.size },
            )}
          </Text>
          <TextAction label={t('Do not import them')} onPress={() => onDecide([...undecided])} />
        </View>
      ) : null}
    </View>
  );
};
