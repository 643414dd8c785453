import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { t } from '../../../../core/translate/translate.ts';
import { withLeftOut } from '../../../list-import/import-words.ts';
import { guessUnit } from '../../../../core/formats/list-columns.ts';
import { RATE_TABLE, TABLE_UNITS, type TableMeaning } from '../../../../core/formats/rate-table.ts';
import type { Measure, RateTable, TableRow } from '../../../../core/model/price.ts';
import { odditySentence } from '../../../../core/audit/oddity-sentence.ts';
import { Check } from '../../../parts/check.tsx';
import { ImportPage } from '../../../list-import/import-page.tsx';
import { useListImport } from '../../../list-import/use-list-import.ts';
import { Segments } from '../../../parts/segments.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';

export const MEASURES: { value: Measure; label: string }[] = [
  { value: 'weight', label: t('Weight') },
  { value: 'subtotal', label: t('Subtotal') },
  { value: 'units', label: t('Units') },
  { value: 'volume', label: t('Volume') },
];

const USUAL: Record<'metric' | 'imperial', Partial<Record<Measure, string>>> = {
  metric: { weight: 'kg', volume: 'L', distance: 'km' },
  imperial: { weight: 'lb', volume: t('cu in'), distance: 'mi' },
};

const row = {
  flexDirection: 'row',
  flexWrap: 'wrap',
  gap: 12,
  alignItems: 'center',
  paddingTop: 12,
} as const;

/** How the file is meant, and what changes that. */
const useMeaning = (table: RateTable) => {
  const display = useAppSelector(selectDisplayFormat);
  const [basis, setBasis] = useState<Measure>(table.basis);
  const [unit, setUnit] = useState<string | null>(USUAL[display.units][table.basis] ?? null);
  const [includesTo, setIncludesTo] = useState(false);
  const { decimals } = display;
  const value = useMemo(
    (): TableMeaning => ({ basis, unit, includesTo, decimals }),
    [basis, unit, includesTo, decimals],
  );
  const chooseBasis = (next: Measure): void => {
    setBasis(next);
    setUnit(USUAL[display.units][next] ?? null);
  };
  return { display, basis, chooseBasis, unit, setUnit, includesTo, setIncludesTo, value };
};

/** What the rows of the file go by, in which unit, and where they end. */
const MeaningFields = ({ meaning }: { meaning: ReturnType<typeof useMeaning> }) => {
  const { basis, unit } = meaning;
  const units = TABLE_UNITS[basis];
  return (
    <View>
      <View style={row}>
        <Segments
          label={t('The table goes by')}
          width={320}
          value={basis}
          options={MEASURES}
          onChange={meaning.chooseBasis}
        />
      </View>
      {units.length > 0 && unit !== null ? (
        <View style={row}>
          <Segments
            label={t('Its figures are in')}
            width={units.length * 64}
            value={unit}
            options={units.map((one) => ({ value: one, label: one }))}
            onChange={meaning.setUnit}
          />
        </View>
      ) : null}
      <Check
        label={t('“To” is still within the row: up to and including')}
        on={meaning.includesTo}
        onPress={() => meaning.setIncludesTo(!meaning.includesTo)}
      />
    </View>
  );
};

/** A rate table out of a CSV: its columns and units, what is wrong with it, and then in place of the rows there. */
export const TableImport = ({
  table,
  file,
  onDone,
}: {
  table: RateTable;
  file: File;
  onDone: () => void;
}) => {
  const dispatch = useAppDispatch();
  const meaning = useMeaning(table);
  const { basis, display } = meaning;
  const work = useListImport({
    file,
    list: 'rate-table',
    columns: RATE_TABLE.columns,
    meaning: meaning.value,
    onOpened: (headings, mapping) => {
      const named = guessUnit(headings, mapping, RATE_TABLE.columns, TABLE_UNITS[basis]);
      if (named !== null) meaning.setUnit(named);
    },
  });
  const take = (rows: readonly TableRow[], faulty: number): void => {
    dispatch(
      edit(
        'replaceRows',
        { id: table.id, basis, rows },
        t('{table}: imported {file}', { table: table.name, file: file.name }),
      ),
    );
    const text = t('Imported {count, plural, one {# row} other {# rows}} from {file}.', {
      count: rows.length,
      file: file.name,
    });
    dispatch(undoMessage(withLeftOut(text, faulty)));
    onDone();
  };
  return (
    <ImportPage
      name={file.name}
      back={{ name: table.name, onPress: onDone }}
      columns={RATE_TABLE.columns}
      work={work}
      settings={<MeaningFields meaning={meaning} />}
      effect={
        table.rows.length === 0
          ? t('fills the empty table')
          : t('replaces the {count, plural, one {# row} other {# rows}} that are there', {
              count: table.rows.length,
            })
      }
      oddWords={({ odd, oddRows }) =>
        odd.map((one) => odditySentence(one, basis, display, (at) => oddRows[at] ?? at + 1))
      }
      onTake={take}
    />
  );
};
