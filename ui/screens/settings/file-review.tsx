import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Difference } from '../../../core/formats/shop-difference.ts';
import type { ShopFile } from '../../../core/formats/shop-file.ts';
import { dayTimeText } from '../../parts/dates.ts';
import { useStyles } from '../../theme/styles.ts';
import { note, raisedPanel } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { TextAction } from '../../parts/text-action.tsx';

/** A sound file that was opened, against what is here. */
export interface SoundFile {
  name: string;
  file: ShopFile;
  differences: Difference[];
  /** How many of its orders are not here yet. */
  newOrders: number;
  /** When what is here was last changed; null where it never was. */
  changedAt: string | null;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  review: {
    ...raisedPanel(inks),
    padding: 16,
    gap: 8,
  },
  what: { fontFamily: SANS_STRONG },
  buttons: { flexDirection: 'row', gap: 8, flexWrap: 'wrap' } as const,
});

const HOLDS: Record<ShopFile['holds'], string> = {
  shop: t('a whole shop'),
  book: t('a book; the products and test orders here stay'),
  goods: t('products; the book and test orders here stay'),
};
const MOST_NAMED = 6;

const namesText = (names: readonly string[]): string =>
  names.length > MOST_NAMED
    ? t('{list} and {count} more', {
        list: names.slice(0, MOST_NAMED).join(', '),
        count: names.length - MOST_NAMED,
      })
    : names.join(', ');

/** Which of the two is newer, in a sentence. */
const ageText = ({ file: { savedAt }, changedAt }: SoundFile): string | null => {
  if (savedAt === null) return null;
  const saved = t('Saved {dayTimeText}.', { dayTimeText: dayTimeText(savedAt) });
  if (changedAt === null) return t('{saved} What is here was never changed on this device.', { saved });
  const isNewer = Date.parse(savedAt) > Date.parse(changedAt);
  return t('{saved} What is here was last changed {dayTimeText}: {newer}.', {
    saved,
    dayTimeText: dayTimeText(changedAt),
    newer: isNewer ? t('the file is newer') : t('what is here is newer'),
  });
};

const DifferenceLine = ({ difference }: { difference: Difference }) => {
  const style = useStyles(styles);
  const { what, added, removed, changed } = difference;
  const parts = [
    ...(added.length > 0
      ? [t('{count} new: {names}', { count: added.length, names: namesText(added) })]
      : []),
    ...(removed.length > 0
      ? [t('{count} gone: {names}', { count: removed.length, names: namesText(removed) })]
      : []),
    ...(changed.length > 0
      ? [t('{count} changed: {names}', { count: changed.length, names: namesText(changed) })]
      : []),
  ];
  return (
    <Text>
      <Text style={style.what}>{what === 'goods' ? t('products') : what}</Text> {parts.join('; ')}
    </Text>
  );
};

/** What a sound file would change, before it is taken. */
export const Review = ({
  opened,
  onTake,
  onLeave,
}: {
  opened: SoundFile;
  onTake: () => void;
  onLeave: () => void;
}) => {
  const style = useStyles(styles);
  const { name, file, differences, newOrders } = opened;
  const age = ageText(opened);
  const isSame = differences.length === 0 && newOrders === 0;
  return (
    <View style={style.review} role="region" aria-label={t('Review of the file')}>
      <Text variant="titleMedium">{t('{name} holds {content}', { name, content: HOLDS[file.holds] })}</Text>
      {age === null ? null : <Text style={style.note}>{age}</Text>}
      {isSame ? <Text>{t('It is the same as what is here.')}</Text> : null}
      {differences.map((difference) => (
        <DifferenceLine key={difference.what} difference={difference} />
      ))}
      {newOrders > 0 ? (
        <Text>
          <Text style={style.what}>{t('orders')}</Text>{' '}
          {t('{newOrders, plural, one {# order} other {# orders}}', { newOrders })}{' '}
          {t('beside those that are here')}
        </Text>
      ) : null}
      <View style={style.buttons}>
        <Button mode="outlined" disabled={isSame} onPress={onTake}>
          {t('Import into the draft')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onLeave} />
      </View>
    </View>
  );
};
