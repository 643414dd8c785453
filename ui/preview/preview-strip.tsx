import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { Money } from '../parts/money.tsx';
import { Press } from '../parts/press.tsx';
import { previewOpened } from '../state/session.ts';
import { selectPreview, selectDisplayFormat, selectTestOrder } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { aside, note } from '../theme/text.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { selectPreviewChanges } from './preview-changes.ts';
import { selectTestOrderFacts } from './test-order-facts.ts';

const styles = (inks: Inks) => ({
  strip: { backgroundColor: inks.raised, borderTopWidth: 2, borderTopColor: inks.ink },
  row: {
    flexDirection: 'row',
    gap: 12,
    paddingHorizontal: 20,
    paddingVertical: 10,
    minHeight: TOUCH,
  } as const,
  words: { flex: 1, minWidth: 0 },
  name: { fontSize: 15, lineHeight: 24 },
  note: note(inks),
  right: { textAlign: 'right' } as const,
  nothing: { ...aside, color: inks.rubric },
});

/** What stands along the bottom, pressed to open the preview. */
const Strip = ({ label, children }: { label: string; children: ReactNode }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={style.strip}>
      <Press
        onPress={() => dispatch(previewOpened(true))}
        role="button"
        aria-label={label}
        testID="preview-strip"
      >
        <View style={style.row}>{children}</View>
      </Press>
    </View>
  );
};

/** The preview in two lines along the bottom; pressed, it opens upwards. Its figure is one that changed, else the first. */
export const PreviewStrip = () => {
  const style = useStyles(styles);
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { testOrder } = useAppSelector(selectTestOrder);
  const facts = useAppSelector(selectTestOrderFacts);
  const preview = useAppSelector(selectPreview);
  const { before } = useAppSelector(selectPreviewChanges);
  if (!testOrder || !facts) {
    return (
      <Strip label={t('Open the preview')}>
        <Text style={style.note}>{t('No test order yet: make one to see what a customer would see.')}</Text>
      </Strip>
    );
  }
  const choices = preview?.ok ? preview.quote.choices : [];
  const shown =
    choices.find((choice) => before.has(choice.id) && before.get(choice.id) !== choice.charge) ?? choices[0];
  return (
    <Strip label={t('Open the preview of {testOrder}', { testOrder: testOrder.name })}>
      <View style={style.words}>
        <Text style={style.name} numberOfLines={1}>
          {testOrder.name}
        </Text>
        <Text style={style.note} numberOfLines={1}>
          {facts.brief}
        </Text>
      </View>
      <View>
        {shown ? (
          <Money amount={shown.charge} decimals={decimals} before={before.get(shown.id)} />
        ) : (
          <Text style={style.nothing}>{t('no choice')}</Text>
        )}
        <Text style={[style.note, style.right]}>
          {shown
            ? `${shown.name} · ${choices.length} ${choices.length === 1 ? t('choice') : t('choices')}`
            : t('cannot buy')}
        </Text>
      </View>
    </Strip>
  );
};
