import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, View, type TextInputProps, type ViewProps } from 'react-native';
import { Modal, Portal, Text, TextInput } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { closeOver, useOverStep } from '../parts/over-step.ts';
import { Press } from '../parts/press.tsx';
import { useWidth } from '../parts/use-width.ts';
import { entryFound, findToggled, previewOpened, testOrderChosen } from '../state/session.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { FIELD_OUTLINE, fieldText, note } from '../theme/text.ts';
import { FINGER, TOUCH, type Inks } from '../theme/tokens.ts';
import type { Entry } from './entry.ts';
import { matchesOf, recentOf } from './matches.ts';
import { TOPICS } from './topics.ts';
import { useEntries } from './use-entries.ts';

const styles = (inks: Inks) => ({
  panel: {
    alignSelf: 'center',
    width: '92%',
    maxWidth: 620,
    maxHeight: '80%',
    marginBottom: 'auto',
    marginTop: 48,
    padding: 12,
    gap: 8,
    backgroundColor: inks.raised,
    borderWidth: 1,
    borderColor: inks.ink,
    borderTopWidth: 3,
  } as const,
  input: { backgroundColor: inks.raised, height: FINGER },
  list: { flexShrink: 1 },
  row: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 8,
    paddingVertical: 6,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
    borderLeftWidth: 3,
    borderLeftColor: 'transparent',
  } as const,
  here: { borderLeftColor: inks.ink, backgroundColor: inks.ground },
  kind: { ...note(inks), width: 92 },
  words: { flex: 1, minWidth: 0 },
  note: note(inks),
});

const LIST = 'found';
const optionId = (at: number): string => `${LIST}-${at}`;

interface RowProps {
  entry: Entry;
  at: number;
  isHere: boolean;
  onOpen: (entry: Entry) => void;
}

const Row = ({ entry, at, isHere, onOpen }: RowProps) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  const { kind, name, note: told = '' } = entry;
  return (
    <Press
      role="option"
      id={optionId(at)}
      aria-selected={isHere}
      aria-label={`${name}, ${kind}`}
      onPress={() => onOpen(entry)}
    >
      <View style={[style.row, isHere ? style.here : null]}>
        {isPhone ? null : <Text style={style.kind}>{kind}</Text>}
        <View style={style.words}>
          <Text numberOfLines={1}>{name}</Text>
          {told === '' && !isPhone ? null : (
            <Text style={style.note} numberOfLines={1}>
              {(isPhone ? [kind, told] : [told]).filter(Boolean).join(' · ')}
            </Text>
          )}
        </View>
      </View>
    </Press>
  );
};

/** Opens what was found, and remembers it. */
const useOpen = (): ((entry: Entry) => void) => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  return ({ id, leadsTo }) => {
    dispatch(entryFound(id));
    if ('testOrderId' in leadsTo) {
      dispatch(testOrderChosen(leadsTo.testOrderId));
      dispatch(previewOpened(true));
    } else {
      dispatch(previewOpened(false));
      router.navigate(leadsTo.link as Parameters<typeof router.navigate>[0]);
    }
  };
};

/** What is shown for what is typed; before that what was opened last, then the pages. */
const useShown = (typed: string): { shown: readonly Entry[]; recent: number } => {
  const entries = useEntries();
  const found = useAppSelector((state) => state.session.found);
  return useMemo(() => {
    if (typed.trim() !== '') return { shown: matchesOf(entries, typed), recent: 0 };
    const recent = recentOf(entries, found);
    const others = TOPICS.filter(({ id }) => !found.includes(id));
    return { shown: [...recent, ...others], recent: recent.length };
  }, [entries, found, typed]);
};

const STEPS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };

/** Which of what is shown Enter opens, moved by the arrow keys. */
const useHere = (count: number) => {
  const [at, setAt] = useState(0);
  const here = Math.min(at, Math.max(0, count - 1));
  const onKeyPress = ((event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step === undefined || count === 0) return;
    event.preventDefault();
    const next = (here + step + count) % count;
    setAt(next);
    document.getElementById(optionId(next))?.scrollIntoView({ block: 'nearest' });
  }) as unknown as TextInputProps['onKeyPress'];
  return { here, setAt, onKeyPress };
};

const nothingFound = (typed: string): string =>
  t('Nothing has “{text}” in its name. Try a shorter word.', { text: typed.trim() });

/** One field that finds anything by name: rules, products, places, test orders, pages. */
const FindDialog = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const open = useOpen();
  const leave = (): void => void dispatch(findToggled(false));
  useOverStep(leave);
  const [typed, setTyped] = useState('');
  const { shown, recent } = useShown(typed);
  const { here, setAt, onKeyPress } = useHere(shown.length);
  const combobox = {
    role: 'combobox',
    'aria-expanded': true,
    'aria-controls': LIST,
    'aria-activedescendant': shown.length > 0 ? optionId(here) : undefined,
  };
  return (
    <Portal>
      <Modal
        visible
        onDismiss={() => closeOver(leave)}
        overlayAccessibilityLabel={t('Close')}
        contentContainerStyle={style.panel}
      >
        <TextInput
          {...(combobox as object)}
          testID="find"
          mode="outlined"
          dense
          autoFocus
          autoComplete="off"
          submitBehavior="submit"
          outlineStyle={FIELD_OUTLINE}
          style={style.input}
          contentStyle={fieldText}
          placeholder={t('Maritimes, free shipping, B3H 4R2 …')}
          accessibilityLabel={t('Find anything')}
          aria-label={t('Find anything')}
          value={typed}
          onChangeText={(text) => {
            setTyped(text);
            setAt(0);
          }}
          onKeyPress={onKeyPress}
          onSubmitEditing={() => shown[here] && open(shown[here])}
        />
        {recent > 0 ? <Text style={style.note}>{t('Opened last, then all pages')}</Text> : null}
        <ScrollView style={style.list}>
          <View role={'listbox' as 'list'} {...({ id: LIST } as ViewProps)} aria-label={t('What was found')}>
            {shown.map((entry, index) => (
              <Row key={entry.id} entry={entry} at={index} isHere={index === here} onOpen={open} />
            ))}
          </View>
        </ScrollView>
        {shown.length === 0 ? <Text style={style.note}>{nothingFound(typed)}</Text> : null}
      </Modal>
    </Portal>
  );
};

export default FindDialog;
