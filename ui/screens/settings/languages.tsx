import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { TEXT_PARTS, textCells, textsSheet } from '../../../core/formats/texts-table.ts';
import { IN_ENGLISH, LANGUAGE_WORDS, LANGUAGES, type Language } from '../../../core/model/language.ts';
import {
  customerLanguages,
  ownLanguage,
  ownTexts,
  type TextPart,
} from '../../../core/words/customer/own-texts.ts';
import { wholeFigure } from '../../../core/words/figure.ts';
import { fileName } from '../../files/files.ts';
import { WordsField } from '../../fields/kind-fields.tsx';
import { useChosenList } from '../../list-import/use-chosen-list.ts';
import { chooseLanguage, chosenLanguage } from '../../language/chosen-language.ts';
import { programLanguages, type ProgramLanguage } from '../../language/languages.ts';
import { Check } from '../../parts/check.tsx';
import { dayNow } from '../../time/now.ts';
import { SaveList } from '../../parts/save-list.tsx';
import { Segments } from '../../parts/segments.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { edit } from '../../state/draft.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import type { PartProps } from './part-props.ts';
import { Actions } from '../../parts/actions.tsx';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 8 },
  choice: { maxWidth: 360, marginTop: 16 },
  title: { fontFamily: SANS_STRONG, fontSize: 16, lineHeight: 24, marginTop: 24 },
  part: { ...note(inks), marginTop: 16, marginBottom: 4 },
  show: { maxWidth: 360, marginTop: 8 },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: 16,
    rowGap: 4,
    paddingVertical: 8,
    borderTopWidth: 1,
    borderTopColor: inks.hairline,
  } as const,
  half: { flexGrow: 1, flexShrink: 1, flexBasis: 260, minWidth: 0 } as const,
});

const PARTS = Object.entries(TEXT_PARTS) as [part: TextPart, title: string][];
const MOST_DRAWN = 50;

interface RowProps {
  text: string;
  as: string;
  language: Language;
}

/** A text of the book, and what it is in another language. */
const Row = ({ text, as, language }: RowProps) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  return (
    <View style={style.row} role="listitem">
      <Text style={style.half}>{text}</Text>
      <View style={style.half}>
        <WordsField
          prose
          hideLabel
          label={t('“{text}” in {language}', { text, language: LANGUAGE_WORDS[language] })}
          value={as}
          most={2_000}
          onChange={(next, visit) =>
            dispatch(
              edit(
                'setTranslation',
                { language, text, as: next.trim() },
                t('{language} text', { language: LANGUAGE_WORDS[language] }),
                visit,
              ),
            )
          }
        />
      </View>
    </View>
  );
};

/** The texts of one part, the first of many. */
const Part = ({ title, rows }: { title: string; rows: readonly RowProps[] }) => {
  const style = useStyles(styles);
  const [drawn, setDrawn] = useState(MOST_DRAWN);
  if (rows.length === 0) return null;
  return (
    <View>
      <Text style={style.part} role="heading" aria-level={3}>
        {title}
      </Text>
      <View role="list" aria-label={title}>
        {rows.slice(0, drawn).map((row) => (
          <Row key={row.text} {...row} />
        ))}
      </View>
      {rows.length > drawn ? (
        <TextAction
          label={t('Show {more} more of {count}', {
            more: Math.min(MOST_DRAWN, rows.length - drawn),
            count: wholeFigure(rows.length),
          })}
          onPress={() => setDrawn(drawn + MOST_DRAWN)}
        />
      ) : null}
    </View>
  );
};

/** The texts as a file for whoever translates, and a file of translations back. */
const TextsAsList = ({
  language,
  texts,
  onTexts,
}: {
  language: Language;
  texts: readonly Parameters<typeof textCells>[0][];
} & Pick<PartProps, 'onTexts'>) => {
  const { store } = useBookParts('store');
  const choose = useChosenList((file) => onTexts(file, language));
  return (
    <Actions
      role="group"
      aria-label={t('The texts in {language} as a list', { language: LANGUAGE_WORDS[language] })}
    >
      <SaveList
        name={(kind) =>
          fileName(store.name, `texts-${IN_ENGLISH[language].toLowerCase()}`, dayNow(store), kind)
        }
        sheet={t('Texts')}
        columns={() => textsSheet(language)}
        items={texts}
        cells={textCells}
      />
      <TextAction label={t('Import translations')} onPress={choose} />
    </Actions>
  );
};

/** How much of the shop is translated, and what customers read of the rest. */
const Translated = ({
  language,
  own,
  done,
  all,
}: {
  language: Language;
  own: Language;
  done: number;
  all: number;
}) => {
  const style = useStyles(styles);
  return (
    <>
      <Text style={style.title} role="heading" aria-level={2}>
        {t('{language}: {done} of {all} texts translated', {
          language: LANGUAGE_WORDS[language],
          done: wholeFigure(done),
          all: wholeFigure(all),
        })}
      </Text>
      <Text style={style.note}>
        {t('Customers read what is not translated in {language}. If you change a text, translate it again.', {
          language: LANGUAGE_WORDS[own],
        })}
      </Text>
    </>
  );
};

/** What customers read in another language: each of the book's texts beside its translation. */
const Translations = ({ language, onTexts }: { language: Language } & Pick<PartProps, 'onTexts'>) => {
  const style = useStyles(styles);
  const book = useAppSelector(selectBook);
  const texts = ownTexts(book, useAppSelector(selectCatalogue));
  const known = new Map(
    (book.translations ?? []).filter((one) => one.language === language).map(({ text, as }) => [text, as]),
  );
  const done = texts.filter(({ text }) => known.has(text)).length;
  const [show, setShow] = useState<'missing' | 'all'>(done < texts.length ? 'missing' : 'all');
  // What is translated while it is looked at stays where it is.
  const [atFirst, setAtFirst] = useState(() => new Set(known.keys()));
  const shown = texts.filter(({ text }) => show === 'all' || !known.has(text) || !atFirst.has(text));
  return (
    <View role="region" aria-label={t('In {language}', { language: LANGUAGE_WORDS[language] })}>
      <Translated language={language} own={ownLanguage(book)} done={done} all={texts.length} />
      <TextsAsList
        language={language}
        texts={texts.map((one) => ({ ...one, as: known.get(one.text) ?? '' }))}
        onTexts={onTexts}
      />
      <View style={style.show}>
        <Segments
          hideLabel
          label={t('Texts shown')}
          value={show}
          onChange={(next) => {
            setShow(next);
            setAtFirst(new Set(known.keys()));
          }}
          options={[
            {
              value: 'missing',
              label: t('Not translated, {count}', { count: wholeFigure(texts.length - done) }),
            },
            { value: 'all', label: t('All texts') },
          ]}
        />
      </View>
      {shown.length === 0 ? <Text style={style.note}>{t('Every text is translated.')}</Text> : null}
      {PARTS.map(([part, title]) => (
        <Part
          key={part}
          title={t(title)}
          rows={shown
            .filter((one) => one.part === part)
            .map(({ text }) => ({ text, language, as: known.get(text) ?? '' }))}
        />
      ))}
    </View>
  );
};

/** The language of the program itself, where it can speak more than one. */
const OwnLanguage = () => {
  const style = useStyles(styles);
  const [languages, setLanguages] = useState<readonly ProgramLanguage[]>([]);
  useEffect(() => {
    void programLanguages().then(setLanguages, () => undefined);
  }, []);
  if (languages.length < 2) return null;
  return (
    <View style={style.choice}>
      <Segments
        label={t('The program speaks')}
        value={chosenLanguage()}
        onChange={chooseLanguage}
        options={languages.map(({ language, name }) => ({ value: language, label: name }))}
      />
    </View>
  );
};

/** The languages that customers can read the shop in, and the merchant's own texts in each. */
export const Languages = ({ onTexts }: Pick<PartProps, 'onTexts'>) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const own = ownLanguage(book);
  const languages = customerLanguages(book);
  const others = LANGUAGES.filter((one) => one !== own);
  const set = (next: Language[], what: string): void =>
    void dispatch(edit('setLanguages', { languages: next }, what));
  const toggle = (one: Language): void =>
    set(
      languages.includes(one) ? languages.filter((kept) => kept !== one) : [...languages, one],
      t('The shop in {language}', { language: LANGUAGE_WORDS[one] }),
    );
  return (
    <View>
      <OwnLanguage />
      <View style={style.choice}>
        <Segments
          label={t('Your texts are written in')}
          value={own}
          onChange={(next) =>
            set(
              [
                next,
                ...languages.filter((one) => one !== next && one !== own),
                ...(languages.includes(next) ? [own] : []),
              ],
              t('Texts in {language}', { language: LANGUAGE_WORDS[next] }),
            )
          }
          options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_WORDS[value] }))}
        />
      </View>
      {others.map((one) => (
        <Check
          key={one}
          label={t('Customers can also read the shop in {language}', { language: LANGUAGE_WORDS[one] })}
          on={languages.includes(one)}
          onPress={() => toggle(one)}
        />
      ))}
      <Text style={style.note}>
        {t(
          'The shopfront, the checkout and the messages to customers come in each language. What you wrote yourself is translated below.',
        )}
      </Text>
      {languages
        .filter((one) => one !== own)
        .map((one) => (
          <Translations key={one} language={one} onTexts={onTexts} />
        ))}
    </View>
  );
};
