import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import type { Edition } from '../../../core/formats/edition.ts';
import { localMoment } from '../../../core/time/local-moment.ts';
import { momentText } from '../../parts/dates.ts';
import { Press } from '../../parts/press.tsx';
import { Section } from '../../parts/section.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { usePlaceNames } from '../../places/use-place-names.ts';
import { edit } from '../../state/draft.ts';
import { selectTestOrders } from '../../state/selectors.ts';
import { selectEditions } from '../../state/served.ts';
import { undoMessage } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, SERIF, TOUCH, type Inks } from '../../theme/tokens.ts';
import { changesBetween } from './publish-selectors.ts';
import { saveEdition } from './save-edition.ts';
import { Actions } from '../../parts/actions.tsx';

const MOST_SHOWN = 40;

const styles = (inks: Inks) => ({
  item: { borderBottomWidth: 1, borderBottomColor: inks.hairline },
  row: { paddingVertical: 10, minHeight: TOUCH },
  name: { fontFamily: SANS_STRONG },
  note: note(inks),
  change: { fontFamily: SERIF, fontSize: 15, lineHeight: 22, paddingVertical: 2 },
  panel: { paddingBottom: 12, gap: 4 },
});

/** What one edition changed against another, chosen from those that are there. */
const Compared = ({ edition, others }: { edition: Edition; others: readonly Edition[] }) => {
  const style = useStyles(styles);
  const names = usePlaceNames();
  const earlier = others.filter(({ number }) => number < edition.number).at(-1) ?? others[0];
  const [against, setAgainst] = useState(earlier?.number ?? 0);
  const other = others.find(({ number }) => number === against);
  if (!other) return <Text style={style.note}>{t('There is no other edition to compare it with.')}</Text>;
  const [before, after] = other.number < edition.number ? [other, edition] : [edition, other];
  const changes = changesBetween(before, after, names);
  return (
    <View>
      <Actions>
        {others.map(({ number }) => (
          <TextAction
            key={number}
            label={t('Against {number}', { number })}
            disabled={number === against}
            onPress={() => setAgainst(number)}
          />
        ))}
      </Actions>
      <Text style={style.note}>
        {t('From edition {from} to edition {to}: {changes}', {
          from: before.number,
          to: after.number,
          changes: changes.length === 0 ? t('nothing changed.') : '',
        })}
      </Text>
      {changes.slice(0, MOST_SHOWN).map((text, at) => (
        <Text key={at} style={style.change}>
          {text}
        </Text>
      ))}
      {changes.length > MOST_SHOWN ? (
        <Text style={style.note}>{t('and {count} more', { count: changes.length - MOST_SHOWN })}</Text>
      ) : null}
    </View>
  );
};

interface ItemProps {
  edition: Edition;
  isOpen: boolean;
  onPress: () => void;
}

/** An edition: when it was published and why, compared with any other, and made the draft again. */
const EditionItem = ({ edition, isOpen, onPress }: ItemProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const editions = useAppSelector(selectEditions);
  const testOrders = useAppSelector(selectTestOrders);
  const accepted = useAppSelector((state) => state.draft.workbook.accepted);
  const { timeZone } = useBookParts('store').store;
  const { date, time } = localMoment(edition.publishedAt, timeZone);
  const newest = editions.at(-1)?.number;
  const goBack = (): void => {
    const { number, book, catalogue } = edition;
    const shop = { book, catalogue, testOrders, ...(accepted ? { accepted } : {}) };
    dispatch(edit('replaceShop', shop, t('Back to edition {number}', { number })));
    dispatch(undoMessage(t('The draft is edition {number} again.', { number })));
  };
  return (
    <View style={style.item} role="listitem">
      <Press role="button" aria-expanded={isOpen} onPress={onPress}>
        <View style={style.row}>
          <Text style={style.name}>
            {t('Edition {number}{state}', {
              number: edition.number,
              state: edition.number === newest ? t(', live') : '',
            })}
          </Text>
          <Text>{edition.note}</Text>
          <Text style={style.note}>
            {momentText(date, time)}
            {edition.despite === undefined
              ? ''
              : t(' · published anyway: {despite}', { despite: edition.despite })}
          </Text>
        </View>
      </Press>
      {isOpen ? (
        <View style={style.panel}>
          <Compared edition={edition} others={editions.filter(({ number }) => number !== edition.number)} />
          <Actions>
            <TextAction label={t('Make it the draft again')} onPress={() => goBack()} />
            <TextAction
              label={t('Save for a quote service')}
              onPress={() => void saveEdition(edition, testOrders)}
            />
          </Actions>
        </View>
      ) : null}
    </View>
  );
};

/** Every edition, the newest first: compared with any other, and made the draft again. */
export const EditionList = () => {
  const editions = useAppSelector(selectEditions);
  const [open, setOpen] = useState<number | null>(null);
  if (editions.length === 0) return null;
  return (
    <View>
      <Section title={t('Editions')} />
      <View role="list" aria-label={t('Editions')}>
        {[...editions].reverse().map((edition) => (
          <EditionItem
            key={edition.number}
            edition={edition}
            isOpen={open === edition.number}
            onPress={() => setOpen(open === edition.number ? null : edition.number)}
          />
        ))}
      </View>
    </View>
  );
};
