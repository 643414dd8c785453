import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { normaliseCode } from '../../../../core/place/postal.ts';
import { patternName } from '../../../../core/place/written-code.ts';
import { t } from '../../../../core/translate/translate.ts';
import { sheetOf } from '../../../../core/formats/list-format.ts';
import { POSTAL_LIST, postalLineCells } from '../../../../core/formats/postal-list.ts';
import type { PostalRule } from '../../../../core/model/delivery.ts';
import { CountField } from '../../../fields/kind-fields.tsx';
import { fileName } from '../../../files/files.ts';
import { useChosenList } from '../../../list-import/use-chosen-list.ts';
import { LongList } from '../../../parts/long-list.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { CodeCheckFields } from './code-check-fields.tsx';
import { LineFields } from './line-fields.tsx';
import { dayNow } from '../../../time/now.ts';
import { Actions } from '../../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-end', paddingBottom: 8 } as const,
  field: { width: 190 },
  country: { ...smallFigure, width: 44, color: inks.quiet } as const,
  pattern: { ...smallFigure, flex: 1, color: inks.ink } as const,
  words: { ...note(inks), flex: 2, textAlign: 'right' } as const,
  not: { color: inks.rubric },
});

const wordsOf = ({ served, cashOnDelivery, days }: PostalRule): string =>
  served
    ? [
        t('served'),
        ...(cashOnDelivery ? [t('cash on delivery')] : []),
        ...(days === undefined ? [] : [t('{days, plural, one {# day} other {# days}}', { days })]),
      ].join(' · ')
    : t('not served');

const codeOf = ({ country, pattern }: PostalRule): string => patternName(country, pattern);

const textOf = (line: PostalRule): string => `${line.country} ${codeOf(line)}: ${wordsOf(line)}`;

/** What holds beside the lines: codes that are not listed, and days put on top of those that are. */
const Beside = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { store } = useBookParts('store');
  return (
    <View style={style.row}>
      <Segments
        label={t('Codes not listed, in countries on the list')}
        width={260}
        value={store.unlistedPostalCodes}
        onChange={(unlistedPostalCodes) =>
          dispatch(edit('setStore', { changes: { unlistedPostalCodes } }, t('Postal list: codes not listed')))
        }
        options={[
          { value: 'served', label: t('served') },
          { value: 'not-served', label: t('not served') },
        ]}
      />
      <CountField
        right
        style={style.field}
        label={t('Days added to those of each line')}
        value={store.postalSpareDays}
        least={0}
        most={365}
        onChange={(postalSpareDays, visit) =>
          dispatch(edit('setStore', { changes: { postalSpareDays } }, t('Postal list: margin'), visit))
        }
      />
    </View>
  );
};

/** The lines, each to be opened. */
const Lines = ({ open, onOpen }: { open: number | null; onOpen: (at: number | null) => void }) => {
  const style = useStyles(styles);
  const { postalList } = useBookParts('postalList');
  return (
    <LongList
      label={t('Postal list')}
      counted={(count) => t('{count, plural, one {# line} other {# lines}}', { count })}
      items={postalList}
      textOf={textOf}
      findLabel={t('Find a code')}
      open={open}
      onOpen={(at) => onOpen(open === at ? null : at)}
    >
      {(one) => (
        <>
          <Text style={style.country}>{one.country}</Text>
          <Text style={style.pattern}>{codeOf(one)}</Text>
          <Text style={[style.words, one.served ? null : style.not]} numberOfLines={2}>
            {wordsOf(one)}
          </Text>
        </>
      )}
    </LongList>
  );
};

/** The postal list: which codes are served, with cash on delivery or not, in how many days. */
const PostalPart = ({ onFile }: { onFile: (file: File) => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { postalList, store, locations } = useBookParts('postalList', 'store', 'locations');
  const [open, setOpen] = useState<number | null>(null);
  const choose = useChosenList(onFile);
  const add = (): void => {
    const { country: home = 'CA', postalCode = '' } = locations[0]?.address ?? {};
    const country = postalList.at(-1)?.country ?? home;
    const own = country === home ? normaliseCode(home, postalCode) : '';
    // A code to be written over; the shop's own is one that customers have.
    dispatch(edit('addPostalLine', { country, pattern: own || 'A*' }, t('Postal list: new line')));
    setOpen(postalList.length);
  };
  const line = open === null ? undefined : postalList[open];
  return (
    <View>
      <Text style={style.note}>
        {postalList.length === 0
          ? t(
              'Where couriers reach only some codes, list them here: which are served, where customers can pay on delivery, in how many days. The most specific line decides, before any zone.',
            )
          : t('The most specific line decides, before any zone.')}
      </Text>
      {postalList.length > 0 ? <Beside /> : null}
      <Actions>
        <TextAction main={postalList.length === 0} label={t('Open a CSV or spreadsheet')} onPress={choose} />
        <SaveList
          name={(kind) => fileName(store.name, 'postal-list', dayNow(store), kind)}
          sheet={t('Postal list')}
          columns={() => sheetOf(POSTAL_LIST.columns)}
          items={postalList}
          cells={postalLineCells}
        />
        <TextAction label={t('Add a line')} onPress={add} />
        <TextAction
          label={t('Clear the list')}
          disabled={postalList.length === 0}
          onPress={() => {
            dispatch(edit('replacePostalList', { lines: [] }, t('Clear the postal list')));
            dispatch(undoMessage(t('Cleared the postal list.')));
          }}
        />
      </Actions>
      {line && open !== null ? (
        <LineFields key={open} line={line} at={open} onGone={() => setOpen(null)} />
      ) : null}
      {postalList.length > 0 ? <Lines open={open} onOpen={setOpen} /> : null}
      <CodeCheckFields />
    </View>
  );
};
export default PostalPart;
