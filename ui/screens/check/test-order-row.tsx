import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Check } from '../../parts/check.tsx';
import { NameField, WordsField } from '../../fields/kind-fields.tsx';
import { Press } from '../../parts/press.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { previewOpened, undoMessage } from '../../state/session.ts';
import { useAppDispatch } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, SERIF, TOUCH, type Inks } from '../../theme/tokens.ts';
import type { PlacedLine, TestOrderLine } from './test-orders-selectors.ts';
import { Actions } from '../../parts/actions.tsx';
import { MoveActions } from '../../parts/move-actions.tsx';

interface Props {
  line: PlacedLine;
  isOpen: boolean;
  onPress: () => void;
}

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: {
    flexDirection: 'row',
    alignItems: 'baseline',
    gap: 12,
    paddingVertical: 10,
    minHeight: TOUCH,
  } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  kept: { ...note(inks), color: inks.sound, minWidth: 76, textAlign: 'right' } as const,
  broken: {
    ...note(inks),
    color: inks.rubric,
    fontFamily: SANS_STRONG,
    minWidth: 76,
    textAlign: 'right',
  } as const,
  quiet: { ...note(inks), minWidth: 76, textAlign: 'right' } as const,
  fault: { fontFamily: SERIF, fontSize: 15, lineHeight: 22, color: inks.rubric },
  panel: { gap: 8, paddingBottom: 16 },
});

const WORDS: Record<TestOrderLine['state'], string> = {
  kept: t('as expected'),
  broken: t('not as expected'),
  empty: t('expects nothing'),
  unchecked: t('not run yet'),
};

const Panel = ({ line: { testOrder, expects, at, count } }: { line: PlacedLine }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { id, name, pinned = false, group = '' } = testOrder;
  const remove = (): void => {
    dispatch(edit('removeTestOrder', { id }, t('Remove test order {name}', { name })));
    dispatch(undoMessage(t('Removed the test order “{name}”.', { name })));
  };
  const move = (by: number): void =>
    void dispatch(edit('moveTestOrder', { id, by }, t('Move {name}', { name })));
  return (
    <View style={style.panel}>
      <NameField
        label={t('Test order')}
        prose
        value={name}
        onChange={(next, visit) =>
          dispatch(edit('renameTestOrder', { id, name: next }, t('{name}: name', { name }), visit))
        }
      />
      <WordsField
        label={t('Stands under the heading')}
        prose
        placeholder={t('none')}
        value={group}
        most={120}
        onChange={(next, visit) =>
          dispatch(edit('placeTestOrder', { id, group: next.trim() }, t('{name}: heading', { name }), visit))
        }
      />
      <Check
        label={t('Pinned: first under its heading')}
        on={pinned}
        onPress={() =>
          dispatch(edit('placeTestOrder', { id, pinned: !pinned }, t('{name}: pinned', { name })))
        }
      />
      <Text style={style.note}>
        {expects.length === 0
          ? t('It expects nothing yet. In its preview, point at what is right.')
          : t('Expects: {list}.', { list: expects.join('; ') })}
      </Text>
      <Actions>
        <TextAction label={t('Show its preview')} onPress={() => dispatch(previewOpened(true))} />
        <MoveActions at={at} count={count} onMove={move} />
        <TextAction label={t('Remove the test order')} onPress={remove} />
      </Actions>
    </View>
  );
};

/** A test order with how it stands; pressed, its preview is shown and what can be done with it. */
export const TestOrderRow = ({ line, isOpen, onPress }: Props) => {
  const style = useStyles(styles);
  const { testOrder, state, broken } = line;
  const mark = state === 'kept' ? style.kept : state === 'broken' ? style.broken : style.quiet;
  return (
    <View style={style.item} role="listitem" aria-label={`${testOrder.name}: ${WORDS[state]}`}>
      <Press role="button" aria-expanded={isOpen} onPress={onPress}>
        <View style={style.row}>
          <View style={style.words}>
            <Text style={style.name}>
              {testOrder.name}
              {testOrder.pinned ? <Text style={style.note}>{t(' · pinned')}</Text> : null}
            </Text>
            {broken.map((sentence) => (
              <Text key={sentence} style={style.fault}>
                {sentence}
              </Text>
            ))}
          </View>
          <Text style={mark}>{WORDS[state]}</Text>
        </View>
      </Press>
      {isOpen ? <Panel line={line} /> : null}
    </View>
  );
};
