import { useMemo } from 'react';
import { t } from '../../../core/translate/translate.ts';
import { withLeftOut } from '../../list-import/import-words.ts';
import { SHOP_TEXTS, type TextMeaning, type TextRow } from '../../../core/formats/texts-table.ts';
import { LANGUAGE_WORDS, type Language } from '../../../core/model/language.ts';
import { ownTexts } from '../../../core/words/customer/own-texts.ts';
import { ImportPage } from '../../list-import/import-page.tsx';
import { useListImport } from '../../list-import/use-list-import.ts';
import { edit } from '../../state/draft.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { messageShown } from '../../state/session.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';

/** Translations out of a list, for the texts that the shop has. */
const TextsImport = ({ file, language, onDone }: { file: File; language: Language; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const meaning = useMemo(
    (): TextMeaning => ({ own: ownTexts(book, catalogue).map(({ text }) => text) }),
    [book, catalogue],
  );
  const work = useListImport({ file, list: 'texts', columns: SHOP_TEXTS.columns, meaning });
  const take = (rows: readonly TextRow[], faulty: number): void => {
    const texts = rows.filter(({ as }) => as !== '');
    if (texts.length > 0)
      dispatch(
        edit(
          'setTranslations',
          { language, texts },
          t('{language} texts: imported {file}', { language: LANGUAGE_WORDS[language], file: file.name }),
        ),
      );
    const text = t('Imported {count, plural, one {# translation} other {# translations}} from {file}.', {
      count: texts.length,
      file: file.name,
    });
    dispatch(messageShown({ text: withLeftOut(text, faulty), undo: texts.length > 0 }));
    onDone();
  };
  return (
    <ImportPage
      name={file.name}
      back={{ name: t('Languages'), onPress: onDone }}
      columns={SHOP_TEXTS.columns}
      work={work}
      effect={t(
        'replaces the {language} of each text that the file translates, and keeps the others as they are',
        { language: LANGUAGE_WORDS[language] },
      )}
      onTake={take}
    />
  );
};
export default TextsImport;
