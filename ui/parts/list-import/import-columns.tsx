import { View } from 'react-native';
import { Text } from 'react-native-paper';
import type { ListColumn, ListMapping } from '../../../core/formats/list-columns.ts';
import type { Opened } from '../../workers/list-reader.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { Chooser } from '../chooser.tsx';

interface Props<C extends string> {
  columns: readonly ListColumn<C>[];
  opened: Opened;
  mapping: ListMapping<C>;
  onChange: (mapping: ListMapping<C>) => void;
}

const NOTHING = 'nothing';

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
  note: note(inks),
});

/** What each column of the file is taken as, with the first of its cells. */
export const ImportColumns = <C extends string>({ columns, opened, mapping, onChange }: Props<C>) => {
  const style = useStyles(styles);
  const options = [
    { id: NOTHING, name: 'Passed over', note: '' },
    ...columns.map(({ column, name, needed }) => ({ id: column, name, note: needed ? 'needed' : '' })),
  ];
  const set = (at: number, id: string): void =>
    onChange(mapping.map((one, i) => (i === at ? (id === NOTHING ? null : (id as C)) : one)));
  return (
    <View role="list" aria-label="Columns of the file">
      {opened.headings.map((text, at) => {
        const heading = text.trim() || `Column ${at + 1}`;
        const samples = opened.samples.map((cells) => (cells[at] ?? '').trim()).filter(Boolean);
        const chosen = columns.find(({ column }) => column === mapping[at]);
        return (
          <View key={at} role="listitem" style={style.item}>
            <View style={style.words}>
              <Text>{heading}</Text>
              <Text style={style.note} numberOfLines={1}>
                {samples.join(' · ') || 'empty'}
              </Text>
            </View>
            <View style={style.chooser}>
              <Chooser
                hideLabel
                label={`“${heading}” is`}
                chosen={chosen?.name ?? 'Passed over'}
                options={options}
                onChoose={(id) => set(at, id)}
              />
            </View>
          </View>
        );
      })}
    </View>
  );
};
