import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { placeless } from '../../../core/formats/list-format.ts';
import { markOfCells } from '../../../core/formats/mark-of-cells.ts';
import { readGoodsTable, type TableTaking } from '../../../core/formats/goods-table.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { guessColumns } from '../../../core/formats/goods-columns.ts';
import { goodsDifference } from '../../../core/goods/difference.ts';
import { importSoundLabel, withLeftOut } from '../../list-import/import-words.ts';
import { Page } from '../../page/page.tsx';
import { decimalMark } from '../../fields/readers.ts';
import { Section } from '../../parts/section.tsx';
import { Segments } from '../../parts/segments.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { edit } from '../../state/draft.ts';
import { undoMessage } from '../../state/session.ts';
import { selectBook, selectCatalogue, selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { CsvColumns } from './csv-columns.tsx';
import { CsvReview } from './csv-review.tsx';
import { TextAction } from '../../parts/text-action.tsx';

interface Props {
  name: string;
  /** The rows of the file, where its quotes do not close, and whether its numbers are a spreadsheet's. */
  parsed: { rows: string[][]; faults: Fault[]; isSheet: boolean };
  onDone: () => void;
}

const styles = (inks: Inks) => ({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center', paddingTop: 12 } as const,
  note: note(inks),
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 16 } as const,
});

/** The file as read, its columns as they are taken, and what taking it would do. */
const useTable = ({ rows, faults, isSheet }: Props['parsed']) => {
  const book = useAppSelector(selectBook);
  const { goods: here } = useAppSelector(selectCatalogue);
  const display = useAppSelector(selectDisplayFormat);
  const [mapped, setMapped] = useState(() => guessColumns(rows[0] ?? [], display.units));
  const [taking, setTaking] = useState<TableTaking>({ empty: 'leaves', others: 'kept' });
  const later = useDeferredValue(mapped);
  const table = useMemo(() => {
    const read = readGoodsTable(
      rows,
      later,
      { display, groups: book.groups, here, taking },
      placeless(isSheet ? '.' : markOfCells(rows, decimalMark)),
    );
    return { ...read, faults: [...faults, ...read.faults] };
  }, [rows, faults, isSheet, later, here, display, book.groups, taking]);
  const difference = useMemo(() => goodsDifference(here, table.goods, display), [here, table.goods, display]);
  return { rows, mapped, setMapped, taking, setTaking, table, difference };
};

/** A table of goods from a file: what its columns are, and what would change, before anything does. */
export const CsvPage = ({ name, parsed, onDone }: Props) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { rows, mapped, setMapped, taking, setTaking, table, difference } = useTable(parsed);
  const changes = difference.added.length + difference.changed.length + difference.removed.length;
  const take = (): void => {
    dispatch(edit('replaceGoods', { goods: table.goods }, t('Imported {name}', { name })));
    const text = t('Imported {sound, plural, one {# row} other {# rows}} from {name}.', {
      sound: table.sound,
      name,
    });
    dispatch(undoMessage(withLeftOut(text, table.faulty)));
    onDone();
  };
  return (
    <Page>
      <PageHead title={name} back={{ name: t('Products'), onPress: onDone }} />
      <Section title={t('Its columns')} />
      <CsvColumns rows={rows} mapped={mapped} onChange={setMapped} />
      <View style={style.row}>
        <Segments
          label={t('An empty cell')}
          width={280}
          value={taking.empty}
          onChange={(empty) => setTaking({ ...taking, empty })}
          options={[
            { value: 'leaves', label: t('changes nothing') },
            { value: 'clears', label: t('clears the value') },
          ]}
        />
      </View>
      <View style={style.row}>
        <Segments
          label={t('Products not in the file')}
          width={280}
          value={taking.others}
          onChange={(others) => setTaking({ ...taking, others })}
          options={[
            { value: 'kept', label: t('stay as they are') },
            { value: 'removed', label: t('are removed') },
          ]}
        />
      </View>
      <Section title={t('What would change')} />
      <CsvReview table={table} difference={difference} />
      {changes === 0 ? <Text style={style.note}>{t('Nothing would change.')}</Text> : null}
      <View style={style.buttons}>
        <Button mode="contained" disabled={changes === 0} onPress={take}>
          {table.faulty > 0 ? importSoundLabel(table.sound) : t('Import into the draft')}
        </Button>
        <TextAction label={t('Cancel')} onPress={onDone} />
      </View>
    </Page>
  );
};
