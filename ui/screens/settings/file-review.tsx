import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import type { Difference } from '../../../core/formats/shop-difference.ts';
import type { ShopFile } from '../../../core/formats/shop-file.ts';
import { countFigure } from '../../../core/words/figure.ts';
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
  shop: 'a whole shop',
  book: 'a book; the products and test orders here stay',
  goods: 'products; the book and test orders here stay',
};
const MOST_NAMED = 6;

const namesText = (names: readonly string[]): string =>
  names.length > MOST_NAMED
    ? `${names.slice(0, MOST_NAMED).join(', ')} and ${names.length - MOST_NAMED} more`
    : names.join(', ');

/** Which of the two is newer, in a sentence. */
const ageText = ({ file: { savedAt }, changedAt }: SoundFile): string | null => {
  if (savedAt === null) return null;
  const saved = `Saved ${dayTimeText(savedAt)}.`;
  if (changedAt === null) return `${saved} What is here was never changed on this device.`;
  const isNewer = Date.parse(savedAt) > Date.parse(changedAt);
  return `${saved} What is here was last changed ${dayTimeText(changedAt)}: ${
    isNewer ? 'the file is newer' : 'what is here is newer'
  }.`;
};

const DifferenceLine = ({ difference }: { difference: Difference }) => {
  const style = useStyles(styles);
  const { what, added, removed, changed } = difference;
  const parts = [
    ...(added.length > 0 ? [`${added.length} new: ${namesText(added)}`] : []),
    ...(removed.length > 0 ? [`${removed.length} gone: ${namesText(removed)}`] : []),
    ...(changed.length > 0 ? [`${changed.length} changed: ${namesText(changed)}`] : []),
  ];
  return (
    <Text>
      <Text style={style.what}>{what === 'goods' ? 'products' : what}</Text> {parts.join('; ')}
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
    <View style={style.review} role="region" aria-label="Review of the file">
      <Text variant="titleMedium">
        {name} holds {HOLDS[file.holds]}
      </Text>
      {age === null ? null : <Text style={style.note}>{age}</Text>}
      {isSame ? <Text>It is the same as what is here.</Text> : null}
      {differences.map((difference) => (
        <DifferenceLine key={difference.what} difference={difference} />
      ))}
      {newOrders > 0 ? (
        <Text>
          <Text style={style.what}>orders</Text> {countFigure(newOrders, 'order')} beside those that are here
        </Text>
      ) : null}
      <View style={style.buttons}>
        <Button mode="outlined" disabled={isSame} onPress={onTake}>
          Import into the draft
        </Button>
        <TextAction label="Cancel" onPress={onLeave} />
      </View>
    </View>
  );
};
