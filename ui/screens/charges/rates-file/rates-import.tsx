import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { withLeftOut } from '../../../list-import/import-words.ts';
import { guessMapping } from '../../../../core/formats/list-columns.ts';
import { placeless, type ListMapping } from '../../../../core/formats/list-format.ts';
import { markOfCells } from '../../../../core/formats/mark-of-cells.ts';
import { rateRowChanges } from '../../../../core/formats/rates-changes.ts';
import { RATE_COLUMNS, type RateColumn } from '../../../../core/formats/rates-sheet.ts';
import { readRates, type RatesMeaning } from '../../../../core/formats/rates-table.ts';
import { decimalMark } from '../../../fields/readers.ts';
import { ImportColumns } from '../../../list-import/import-columns.tsx';
import { Page } from '../../../page/page.tsx';
import { Section } from '../../../parts/section.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { PageHead } from '../../../page/page-head.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectBook, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { RatesFile } from './rates-fold.tsx';
import { RatesReview } from './rates-review.tsx';

interface Props {
  file: RatesFile;
  onDone: () => void;
}

const styles = (inks: Inks) => ({
  choice: { paddingTop: 12, maxWidth: 320 } as const,
  note: { ...note(inks), paddingTop: 8 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 16 } as const,
});

const SAMPLES = 3;

/** The columns that hold something and were not recognised. */
const unknownIn = (
  rows: readonly (readonly string[])[],
  mapping: ListMapping<RateColumn>,
): ReadonlySet<number> =>
  new Set(mapping.flatMap((column, at) => (column === null && rows.some((cells) => cells[at]) ? [at] : [])));

/** What the file makes of the rates, and what would change. */
const useRates = ({ rows, faults, isSheet }: RatesFile) => {
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const [mapping, setMapping] = useState(() => guessMapping(rows[0] ?? [], RATE_COLUMNS));
  const [undecided, setUndecided] = useState(() => unknownIn(rows, mapping));
  const [empty, setEmpty] = useState<RatesMeaning['empty']>('leaves');
  const read = useMemo(() => {
    const mark = isSheet ? '.' : markOfCells(rows, decimalMark);
    const found = readRates(rows, mapping, book, { display, empty }, placeless(mark));
    return { ...found, faults: [...faults, ...found.faults] };
  }, [rows, faults, isSheet, mapping, book, display, empty]);
  const changes = useMemo(() => rateRowChanges(book, read.rates, display), [book, read, display]);
  const decide = (places: readonly number[]): void =>
    setUndecided(new Set([...undecided].filter((at) => !places.includes(at))));
  return { mapping, setMapping, undecided, decide, empty, setEmpty, read, changes };
};

/** Rates from a file: what its columns are, what is wrong with it, and every change before it is made. */
const RatesImport = ({ file, onDone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { mapping, setMapping, undecided, decide, empty, setEmpty, read, changes } = useRates(file);
  const [headings = [], ...rows] = file.rows;
  const take = (): void => {
    dispatch(edit('takeRates', { rates: read.rates }, t('Imported {file}', { file: file.name })));
    const text = t('{count, plural, one {# change} other {# changes}} imported from {file}.', {
      count: changes.length,
      file: file.name,
    });
    dispatch(undoMessage(withLeftOut(text, read.faulty)));
    onDone();
  };
  return (
    <Page>
      <PageHead title={file.name} back={{ name: t('Charges'), onPress: onDone }} />
      <Section title={t('Its columns')} />
      <ImportColumns
        columns={RATE_COLUMNS}
        opened={{ headings, samples: rows.slice(0, SAMPLES), rows: rows.length }}
        mapping={mapping}
        onChange={setMapping}
        undecided={undecided}
        onDecide={decide}
      />
      <View style={style.choice}>
        <Segments
          label={t('An empty cell')}
          value={empty}
          onChange={setEmpty}
          options={[
            { value: 'leaves', label: t('changes nothing') },
            { value: 'clears', label: t('clears the value') },
          ]}
        />
      </View>
      <Section title={t('What would change')} />
      <RatesReview read={read} changes={changes} />
      {undecided.size > 0 ? (
        <Text style={style.note}>{t('Some columns are not recognised: say what they hold.')}</Text>
      ) : null}
      <View style={style.buttons}>
        <Button mode="contained" disabled={changes.length === 0 || undecided.size > 0} onPress={take}>
          {read.faulty > 0
            ? t('Import {sound, plural, one {# row} other {# rows}} without faults', { sound: read.sound })
            : t('Import into the draft')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onDone} />
      </View>
    </Page>
  );
};
export default RatesImport;
