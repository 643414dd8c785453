import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import { withLeftOut } from '../../../list-import/import-words.ts';
import { POSTAL_LIST } from '../../../../core/formats/postal-list.ts';
import type { PostalRule } from '../../../../core/model/delivery.ts';
import { Chooser } from '../../../parts/chooser.tsx';
import { ImportPage } from '../../../list-import/import-page.tsx';
import { useListImport } from '../../../list-import/use-list-import.ts';
import { Segments } from '../../../parts/segments.tsx';
import { countryName } from '../../../../core/words/country-name.ts';
import { useWorldPlaces } from '../../../places/places.ts';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { useAppDispatch } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';

type How = 'add' | 'replace';

interface SettingsProps {
  country: string | null;
  onCountry: (country: string) => void;
  how: How;
  onHow: (how: How) => void;
  lines: number;
}

/** Whose codes they are, and what becomes of the lines that are there. */
const Settings = ({ country, onCountry, how, onHow, lines }: SettingsProps) => {
  const places = useWorldPlaces();
  return (
    <View style={{ gap: 12, paddingTop: 12, maxWidth: 420 }}>
      <View style={{ flexDirection: 'row' }}>
        <Chooser
          label={t('Country of the codes, where a row names none')}
          placeholder={t('Which country?')}
          chosen={country === null ? '' : countryName(country)}
          options={(places?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
          onChoose={onCountry}
        />
      </View>
      {lines === 0 ? null : (
        <Segments<How>
          label={t('What the file does')}
          value={how}
          onChange={onHow}
          options={[
            { value: 'replace', label: t('Replace the list') },
            { value: 'add', label: t('Add to the list') },
          ]}
        />
      )}
    </View>
  );
};

const effectOf = (how: How, lines: number): string => {
  if (lines === 0) return t('makes the postal list');
  return how === 'add'
    ? t(
        'adds to the {lines, plural, one {# line} other {# lines}} that are there; a line of the same codes is replaced',
        { lines },
      )
    : t('replaces the {lines, plural, one {# line} other {# lines}} that are there', { lines });
};

/** The postal list out of a CSV, in place of the lines that are there or beside them. */
const PostalImport = ({ file, onDone }: { file: File; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const { postalList, locations } = useBookParts('postalList', 'locations');
  const homes = [...new Set(locations.map(({ address }) => address.country))];
  const [chosen, setChosen] = useState<string | null>(null);
  const [how, setHow] = useState<How>('replace');
  const country = chosen ?? (homes.length === 1 ? (homes[0] ?? null) : null);
  const meaning = useMemo(() => ({ home: country ?? '' }), [country]);
  const work = useListImport({ file, list: 'postal-list', columns: POSTAL_LIST.columns, meaning });
  const namesNone = !work.mapping.includes('country');
  const take = (lines: readonly PostalRule[], faulty: number): void => {
    const kind = how === 'add' && postalList.length > 0 ? 'mergePostalLines' : 'replacePostalList';
    dispatch(edit(kind, { lines }, t('Postal list: imported {file}', { file: file.name })));
    const text = t('Imported {count, plural, one {# line} other {# lines}} from {file}.', {
      count: lines.length,
      file: file.name,
    });
    dispatch(undoMessage(withLeftOut(text, faulty)));
    onDone();
  };
  return (
    <ImportPage
      name={file.name}
      back={{ name: t('Postal list'), onPress: onDone }}
      columns={POSTAL_LIST.columns}
      work={work}
      settings={
        <Settings
          country={country}
          onCountry={setChosen}
          how={how}
          onHow={setHow}
          lines={postalList.length}
        />
      }
      waits={namesNone && country === null ? t('First choose the country of the codes.') : null}
      effect={effectOf(how, postalList.length)}
      onTake={take}
    />
  );
};
export default PostalImport;
