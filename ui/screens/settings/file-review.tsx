import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Difference, DifferenceKind } from '../../../core/publish/shop-difference.ts';
import type { Shop, ShopFile } from '../../../core/formats/shop-file.ts';
import { differences as changesOf } from '../../../core/publish/differences.ts';
import { dayTimeText } from '../../parts/dates.ts';
import { usePlaceNames } from '../../places/use-place-names.ts';
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
  /** How many of its editions are not here yet. */
  newEditions: number;
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
  told: { ...note(inks), paddingVertical: 4 },
  tell: { alignSelf: 'flex-start', marginHorizontal: -4 } as const,
  buttons: { flexDirection: 'row', gap: 8, flexWrap: 'wrap' } as const,
});

const HOLDS: Record<ShopFile['holds'], string> = {
  shop: t('a whole shop'),
  book: t('a book; the products and test orders here stay'),
  goods: t('products; the book and test orders here stay'),
};
const MOST_NAMED = 6;
const MOST_TOLD = 60;

/** What each kind of thing is called. */
const KINDS: Record<DifferenceKind, string> = {
  store: t('the store'),
  sellsTo: t('where the shop sells'),
  translations: t('texts in other languages'),
  zones: t('zones'),
  services: t('services'),
  rates: t('rates'),
  adjustments: t('adjustments'),
  groups: t('handling groups'),
  locations: t('locations'),
  areas: t('delivery areas'),
  pickups: t('pickup points'),
  taxes: t('taxes'),
  payments: t('payment methods'),
  carriers: t('carrier accounts'),
  boxes: t('boxes'),
  duties: t('import charges'),
  rateTables: t('rate tables'),
  postalList: t('postal list'),
  order: t('order of lists'),
  goods: t('products'),
  testOrders: t('test orders'),
  accepted: t('accepted problems'),
};

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

/** What is no part of the book or its products: named, and not told one by one. */
const BESIDE_THE_BOOK: readonly DifferenceKind[] = ['testOrders', 'accepted'];

const isKind = (name: string): name is DifferenceKind => name in KINDS;

const DifferenceLine = ({ difference }: { difference: Difference }) => {
  const style = useStyles(styles);
  const { what, added, removed } = difference;
  const changed = difference.changed.map((name) => (what === 'order' && isKind(name) ? KINDS[name] : name));
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
      <Text style={style.what}>{KINDS[what]}</Text>{' '}
      {parts.length > 0 ? parts.join('; ') : t('changed', {}, 'one thing, in the review of a file')}
    </Text>
  );
};

/** Each change of the book and its products in a sentence. */
const Told = ({ here, shop }: { here: Shop; shop: Shop }) => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  const told = useMemo(() => changesOf(here, shop, names), [here, shop, names]);
  return (
    <View role="list" aria-label={t('What changes, one by one')}>
      {told.slice(0, MOST_TOLD).map(({ text }, at) => (
        <View role="listitem" key={at}>
          <Text style={style.told}>{text}</Text>
        </View>
      ))}
      {told.length > MOST_TOLD ? (
        <Text style={style.note}>{t('and {count} more', { count: told.length - MOST_TOLD })}</Text>
      ) : null}
    </View>
  );
};

/** How many there are of what comes beside what is here, and is never in its place. */
const Beside = ({ what, count }: { what: string; count: string }) => {
  const style = useStyles(styles);
  return (
    <Text>
      <Text style={style.what}>{what}</Text> {t('{count} beside those that are here', { count })}
    </Text>
  );
};

/** What a sound file would change, before it is taken. */
export const Review = ({
  opened,
  here,
  onTake,
  onLeave,
}: {
  opened: SoundFile;
  here: Shop;
  onTake: () => void;
  onLeave: () => void;
}) => {
  const style = useStyles(styles);
  const [isTold, setTold] = useState(false);
  const { name, file, differences, newOrders, newEditions } = opened;
  const age = ageText(opened);
  const isSame = differences.length === 0 && newOrders === 0 && newEditions === 0;
  return (
    <View style={style.review} role="region" aria-label={t('Review of the file')}>
      <Text variant="titleMedium">{t('{name} holds {content}', { name, content: HOLDS[file.holds] })}</Text>
      {age === null ? null : <Text style={style.note}>{age}</Text>}
      {isSame ? <Text>{t('It is the same as what is here.')}</Text> : null}
      {differences.map((difference) => (
        <DifferenceLine key={difference.what} difference={difference} />
      ))}
      {newOrders > 0 ? (
        <Beside
          what={t('orders')}
          count={t('{newOrders, plural, one {# order} other {# orders}}', { newOrders })}
        />
      ) : null}
      {newEditions > 0 ? (
        <Beside
          what={t('editions')}
          count={t('{newEditions, plural, one {# edition} other {# editions}}', { newEditions })}
        />
      ) : null}
      {differences.some(({ what }) => !BESIDE_THE_BOOK.includes(what)) ? (
        <TextAction
          label={isTold ? t('Hide the changes') : t('Show each change')}
          style={style.tell}
          onPress={() => setTold(!isTold)}
        />
      ) : null}
      {isTold ? <Told here={here} shop={file.shop} /> : null}
      <View style={style.buttons}>
        <Button mode="outlined" disabled={isSame} onPress={onTake}>
          {t('Import into the draft')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onLeave} />
      </View>
    </View>
  );
};
