import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Text, TextInput } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { FIELD_OUTLINE, fieldText } from '../theme/text.ts';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { FINGER, TOUCH, type Inks } from '../theme/tokens.ts';
import { Press } from './press.tsx';

export interface Option {
  id: string;
  name: string;
  note?: string;
}

interface Props {
  label: string;
  /** The name of what is chosen, shown until something is typed. */
  chosen: string;
  options: readonly Option[];
  onChoose: (id: string) => void;
  placeholder?: string;
  hideLabel?: boolean;
  height?: number;
}

const MOST_SHOWN = 7;

const styles = (inks: Inks) => ({
  all: { flex: 1, minWidth: 0 },
  label: { ...note(inks), marginBottom: 2 },
  input: { backgroundColor: inks.raised, height: FINGER },
  list: { borderWidth: 1, borderTopWidth: 0, borderColor: inks.control, backgroundColor: inks.raised },
  option: {
    minHeight: TOUCH,
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 8,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
  } as const,
  name: { flexShrink: 1 },
  note: note(inks),
});

const matching = (options: readonly Option[], typed: string): readonly Option[] => {
  const wanted = typed.trim().toLowerCase();
  const rank = ({ id, name }: Option): number => {
    const text = name.toLowerCase();
    if (id.toLowerCase() === wanted) return 0;
    return text.startsWith(wanted) ? 1 : text.includes(wanted) ? 2 : 3;
  };
  return options
    .filter((option) => rank(option) < 3)
    .sort((a, b) => rank(a) - rank(b))
    .slice(0, MOST_SHOWN);
};

/** How long the list stays after the field is left, so that a press on it still counts. */
const LINGER_MS = 200;

/** What is typed, null while nothing is; it goes a moment after the field is left, unless one is back by then. */
const useTyped = () => {
  const [typed, setTyped] = useState<string | null>(null);
  const leaving = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(leaving.current), []);
  const type = (text: string | null): void => {
    clearTimeout(leaving.current);
    setTyped(text);
  };
  const leave = (): void => {
    clearTimeout(leaving.current);
    leaving.current = setTimeout(() => setTyped(null), LINGER_MS);
  };
  return { typed, type, leave };
};

/** One of many, found by typing part of its name. */
export const Chooser = ({
  label,
  chosen,
  options,
  onChoose,
  placeholder,
  hideLabel = false,
  height,
}: Props) => {
  const style = useStyles(styles);
  const { typed, type, leave } = useTyped();
  const shown = typed === null ? [] : matching(options, typed);
  const choose = (id: string): void => {
    onChoose(id);
    type(null);
  };
  return (
    <View style={style.all}>
      {hideLabel ? null : <Text style={style.label}>{label}</Text>}
      <TextInput
        mode="outlined"
        outlineStyle={FIELD_OUTLINE}
        dense
        value={typed ?? chosen}
        placeholder={placeholder}
        onFocus={() => type('')}
        onBlur={leave}
        onChangeText={type}
        onSubmitEditing={() => shown[0] && choose(shown[0].id)}
        aria-label={label}
        accessibilityLabel={label}
        style={[style.input, height === undefined ? null : { height }]}
        contentStyle={fieldText}
        autoComplete="off"
      />
      {typed === null ? null : (
        <View style={style.list} role="list" aria-label={t('{label}: what matches', { label })}>
          {shown.map((option) => (
            <View role="listitem" key={option.id}>
              <Press onPress={() => choose(option.id)} role="button" aria-label={option.name}>
                <View style={style.option}>
                  <Text style={style.name} numberOfLines={1}>
                    {option.name}
                  </Text>
                  <Text style={style.note}>{option.note ?? option.id}</Text>
                </View>
              </Press>
            </View>
          ))}
          {shown.length === 0 ? (
            <Text style={[style.note, { padding: 8 }]}>{t('Nothing matches “{typed}”.', { typed })}</Text>
          ) : null}
        </View>
      )}
    </View>
  );
};
