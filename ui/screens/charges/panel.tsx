import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Opened } from '../../parts/opened.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { useStyles } from '../../theme/styles.ts';
import type { Inks } from '../../theme/tokens.ts';
import { IconAction } from '../../parts/icon-action.tsx';

interface Props {
  title: string;
  /** What is opened, where its title is what is edited in it. */
  of?: string;
  onClose: () => void;
  children: ReactNode;
}

const styles = (inks: Inks) => ({
  panel: {
    borderWidth: 1,
    borderColor: inks.hairline,
    borderTopWidth: 3,
    borderTopColor: inks.ink,
    backgroundColor: inks.raised,
    padding: 20,
    paddingTop: 12,
    marginBottom: 16,
    gap: 12,
  },
  bare: { gap: 12, paddingTop: 12 },
  inside: { gap: 12 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' } as const,
  close: { margin: 0, marginRight: -8 },
});

/** What is opened from the board: under its row when there is room, the whole page on a phone. */
export const Panel = ({ title, of = title, onClose, children }: Props) => {
  const style = useStyles(styles);
  const isPhone = useWidth() === 'phone';
  if (isPhone)
    return (
      <Opened key={of} style={style.bare}>
        {children}
      </Opened>
    );
  return (
    <View style={style.panel} role="region" aria-label={title}>
      <View style={style.head}>
        <Text variant="titleMedium" role="heading" aria-level={2}>
          {title}
        </Text>
        <IconAction
          icon="close"
          size={20}
          style={style.close}
          accessibilityLabel={t('Close {title}', { title })}
          onPress={onClose}
        />
      </View>
      <Opened key={of} style={style.inside}>
        {children}
      </Opened>
    </View>
  );
};
