import { useId, useRef, useState } from 'react';
import { View, type TextStyle, type ViewStyle } from 'react-native';
import { HelperText, Text, TextInput } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { memoizedByLooks } from '../parts/memoized-by-looks.tsx';
import { visitBegan } from '../state/draft.ts';
import { useAppDispatch } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { fieldText, figure, note, smallFigure } from '../theme/text.ts';
import { FINGER, type Inks } from '../theme/tokens.ts';

export type Read<T> = { ok: true; value: T } | { ok: false; text: string };

export interface DraftFieldProps<T> {
  label: string;
  /** The value as it stands, written out. */
  text: string;
  read: (text: string) => Read<T>;
  onChange: (value: T, visit: string) => void;
  hideLabel?: boolean;
  right?: boolean;
  prose?: boolean;
  multiline?: boolean;
  placeholder?: string;
  style?: ViewStyle;
  autoFocus?: boolean;
  /** The keys that a phone shows: those of figures where nothing else is written in the field. */
  inputMode?: 'decimal' | 'numeric';
  /** The person is done with the field by its Enter key. */
  onSubmit?: () => void;
  /** The field is left; where what was typed could not be read, with what to say. */
  onLeave?: (fault: string | null) => void;
  testID?: string;
}

const styles = (inks: Inks) => ({
  line: { flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-end', gap: 6 } as const,
  input: { backgroundColor: inks.raised, flex: 1, minWidth: 0, height: FINGER } as const,
  tall: { backgroundColor: inks.raised, flex: 1, minWidth: 0 } as const,
  label: { ...note(inks), marginBottom: 2 },
  struck: { ...smallFigure, color: inks.quiet, textDecorationLine: 'line-through' } as const,
  outline: { borderRadius: 2 },
  helper: { paddingHorizontal: 0, paddingVertical: 2 },
});

/** The text of a field of one line is laid out by itself: a key pressed in it does not lay the page out anew. */
const ALONE = {
  position: 'absolute',
  top: 0,
  left: 0,
  width: '100%',
  height: '100%',
  contain: 'strict',
} as unknown as TextStyle;

const contentStyle = (right: boolean, prose: boolean, multiline: boolean): TextStyle => ({
  ...(prose ? fieldText : { ...figure, lineHeight: 22, paddingHorizontal: 8 }),
  textAlign: right ? 'right' : 'left',
  ...(multiline ? { paddingVertical: 8 } : ALONE),
});

/** The label stands above the field: Paper's own, which none has, need not be moved when the field empties. */
const STILL = { animation: { scale: 0 } };

/** About how many lines a text takes, between two and twelve. */
const linesOf = (text: string): number =>
  Math.min(
    12,
    Math.max(
      2,
      text.split('\n').reduce((lines, line) => lines + Math.max(1, Math.ceil(line.length / 34)), 0),
    ),
  );

/** One visit to a field: what is typed, what stood there before it, and what is wrong with it. */
const useVisit = <T,>({ text, read, onChange, onLeave }: DraftFieldProps<T>) => {
  const dispatch = useAppDispatch();
  const id = useId();
  const visits = useRef(0);
  const [typed, setTyped] = useState<string | null>(null);
  const [before, setBefore] = useState(text);
  const [fault, setFault] = useState<string | null>(null);

  const enter = (): void => {
    visits.current += 1;
    setTyped(text);
    setBefore(text);
    setFault(null);
    dispatch(visitBegan());
  };
  const type = (next: string): void => {
    setTyped(next);
    const value = read(next);
    setFault(value.ok ? null : value.text);
    if (value.ok) onChange(value.value, `${id}:${visits.current}`);
  };
  const leave = (): void => {
    setTyped(null);
    const said =
      fault === null ? null : t('{fault} Kept: {kept}', { fault, kept: text === '' ? t('nothing') : text });
    setFault(said);
    onLeave?.(said);
  };
  return { typed, before, fault, enter, type, leave };
};

const Field = <T,>(props: DraftFieldProps<T>) => {
  const { label, text, hideLabel = false, right = false, prose = false, multiline = false } = props;
  const style = useStyles(styles);
  const { typed, before, fault, enter, type, leave } = useVisit(props);
  const isChanged = typed !== null && before !== text && before !== '' && !prose;
  return (
    <View style={props.style}>
      {hideLabel ? null : <Text style={style.label}>{label}</Text>}
      <View style={style.line}>
        {isChanged ? <Text style={style.struck}>{before}</Text> : null}
        <TextInput
          mode="outlined"
          dense
          multiline={multiline}
          numberOfLines={multiline ? linesOf(text) : undefined}
          value={typed ?? text}
          placeholder={props.placeholder}
          onFocus={enter}
          onBlur={leave}
          onChangeText={type}
          onSubmitEditing={props.onSubmit}
          autoFocus={props.autoFocus}
          inputMode={props.inputMode}
          error={fault !== null}
          aria-label={label}
          accessibilityLabel={label}
          testID={props.testID}
          style={multiline ? style.tall : style.input}
          outlineStyle={style.outline}
          contentStyle={contentStyle(right, prose, multiline)}
          autoComplete="off"
          theme={STILL}
        />
      </View>
      {fault === null ? null : (
        <HelperText type="error" padding="none" style={style.helper} role="alert">
          {fault}
        </HelperText>
      )}
    </View>
  );
};

/**
 * A field of the draft. What is typed goes into the draft as soon as it is sound; while the field is
 * visited its old value stands struck beside it, and one visit is one step of undo. Left half-typed,
 * it keeps the last sound value and says so.
 */
export const DraftField = memoizedByLooks(Field) as typeof Field;
