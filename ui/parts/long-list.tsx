import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { FlatList, useWindowDimensions, View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { wholeFigure } from '../../core/words/figure.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { FEW_AT_A_TIME } from './list-pace.ts';
import { Press } from './press.tsx';
import { TextLine } from './text-line.tsx';

interface Props<T> {
  label: string;
  /** How many items there are, in words: '3 rows'. */
  counted: (count: number) => string;
  items: readonly T[];
  /** An item as text: it is found by any part of it, and read out as it. */
  textOf: (item: T, at: number) => string;
  /** What is drawn of an item, in one line. */
  children: (item: T, at: number) => ReactNode;
  findLabel: string;
  open: number | null;
  onOpen: (at: number) => void;
}

const styles = (inks: Inks) => ({
  head: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 12,
    alignItems: 'center',
    paddingVertical: 8,
  } as const,
  find: { flexGrow: 1, minWidth: 180, maxWidth: 300 },
  note: note(inks),
  box: { borderTopWidth: 1, borderTopColor: inks.ink, borderBottomWidth: 1, borderBottomColor: inks.ink },
  row: {
    height: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  open: { borderLeftWidth: 3, borderLeftColor: inks.ink, paddingLeft: 8 },
});

const SHARE_OF_WINDOW = 0.55;

/** A text as it is compared: codes with and without their blank or dash are the same. */
const compared = (text: string): string => text.toLowerCase().replace(/[\s-]/g, '');

/** The places of the items that hold what is looked for. */
const found = <T,>(items: readonly T[], sought: string, textOf: Props<T>['textOf']): number[] => {
  const wanted = compared(sought);
  const places: number[] = [];
  items.forEach((item, at) => {
    if (wanted === '' || compared(textOf(item, at)).includes(wanted)) places.push(at);
  });
  return places;
};

interface RowProps<T> extends Pick<Props<T>, 'textOf' | 'children' | 'onOpen'> {
  item: T;
  at: number;
  isOpen: boolean;
}

const Row = <T,>({ item, at, isOpen, textOf, children, onOpen }: RowProps<T>) => {
  const style = useStyles(styles);
  return (
    <View role="listitem">
      <Press role="button" aria-expanded={isOpen} aria-label={textOf(item, at)} onPress={() => onOpen(at)}>
        <View style={[style.row, isOpen ? style.open : null]}>{children(item, at)}</View>
      </Press>
    </View>
  );
};
/** Scrolling draws the list anew and again; a row that is the same is not. */
const SteadyRow = memo(Row) as typeof Row;

/** A list of any length that is searched, and draws only what is in sight. */
export const LongList = <T,>({
  label,
  counted,
  items,
  textOf,
  children,
  findLabel,
  open,
  onOpen,
}: Props<T>) => {
  const style = useStyles(styles);
  const { height } = useWindowDimensions();
  const [typed, setTyped] = useState('');
  const sought = useDeferredValue(typed);
  const places = useMemo(() => found(items, sought, textOf), [items, sought, textOf]);
  const tall = Math.min(places.length * TOUCH + 2, Math.round(height * SHARE_OF_WINDOW));
  return (
    <View>
      <View style={style.head}>
        <View style={style.find}>
          <TextLine hideLabel label={findLabel} placeholder={findLabel} value={typed} onChange={setTyped} />
        </View>
        <Text style={style.note}>
          {places.length === items.length
            ? counted(items.length)
            : t('{count} of {all}', {
                count: wholeFigure(places.length),
                all: counted(items.length),
              })}
        </Text>
      </View>
      <View style={[style.box, { height: tall }]} role="list" aria-label={label}>
        <FlatList
          data={places}
          extraData={[open, items]}
          keyExtractor={String}
          getItemLayout={(_, index) => ({ index, length: TOUCH, offset: index * TOUCH })}
          initialNumToRender={20}
          {...FEW_AT_A_TIME}
          renderItem={({ item: at }) => {
            const item = items[at];
            return item === undefined ? null : (
              <SteadyRow item={item} at={at} isOpen={open === at} textOf={textOf} onOpen={onOpen}>
                {children}
              </SteadyRow>
            );
          }}
        />
      </View>
    </View>
  );
};
