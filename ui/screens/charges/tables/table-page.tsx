import { useRouter } from 'expo-router';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { patternName } from '../../../../core/place/written-code.ts';
import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import { tableRowCells, tableSheet } from '../../../../core/formats/rate-table.ts';
import type { RateTable, TableRow } from '../../../../core/model/price.ts';
import { measureFigure, moneyFigure } from '../../../../core/words/figure.ts';
import { NameField } from '../../../fields/kind-fields.tsx';
import { fileName, saveFile } from '../../../files/files.ts';
import { useChosenList } from '../../../list-import/use-chosen-list.ts';
import { LongList } from '../../../parts/long-list.tsx';
import { Page } from '../../../page/page.tsx';
import { SaveList } from '../../../parts/save-list.tsx';
import { Segments } from '../../../parts/segments.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { PageHead } from '../../../page/page-head.tsx';
import { edit } from '../../../state/draft.ts';
import { undoMessage } from '../../../state/session.ts';
import { selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note, smallFigure } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { RowFields } from './row-fields.tsx';
import { MEASURES, TableImport } from './table-import.tsx';
import { dayNow } from '../../../time/now.ts';
import { Actions } from '../../../parts/actions.tsx';

/** What an empty table is filled in like. */
const EXAMPLE: readonly TableRow[] = [
  { country: 'CA', from: 0, to: 1_000, amount: 900 },
  { country: 'CA', subdivision: 'CA-NS', from: 0, amount: 700 },
  { country: 'CA', postal: 'B3H*', from: 0, amount: 500 },
];

const styles = (inks: Inks) => ({
  head: { gap: 8, paddingTop: 12 },
  users: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 } as const,
  note: note(inks),
  number: { ...smallFigure, color: inks.quiet, width: 48 } as const,
  place: { flex: 1, minWidth: 0 },
  range: { ...smallFigure, flex: 1.4, textAlign: 'right', color: inks.ink } as const,
  amount: { ...smallFigure, width: 88, textAlign: 'right', color: inks.ink } as const,
});

const placeWords = ({ country, subdivision, postal }: TableRow): string =>
  [subdivision ?? country, postal && patternName(country ?? '', postal)].filter(Boolean).join(' ') ||
  t('anywhere');

interface User {
  name: string;
  zone: string;
  service: string;
}

/** The rates that are priced by a table, by their cells. */
const useUsers = (id: string): User[] => {
  const { rates, services, zones } = useBookParts('rates', 'services', 'zones');
  const nameOf = (list: readonly { id: string; name: string }[], wanted: string): string =>
    list.find((one) => one.id === wanted)?.name ?? wanted;
  return rates
    .filter(({ price }) => price.kind === 'table' && price.tableId === id)
    .map(({ serviceId, zoneId }) => ({
      name: t('{service} to {zone}', { service: nameOf(services, serviceId), zone: nameOf(zones, zoneId) }),
      zone: zoneId,
      service: serviceId,
    }));
};

/** The cells of the board that a table prices, each a way there. */
const UsersOfTable = ({ users }: { users: readonly User[] }) => {
  const style = useStyles(styles);
  const router = useRouter();
  return (
    <View style={style.users}>
      <Text style={style.note}>
        {users.length === 0
          ? t('No rate is priced by it yet: choose it in a rate on the board.')
          : t('Prices')}
      </Text>
      {users.map(({ name, zone, service }) => (
        <TextAction
          key={name}
          label={name}
          onPress={() => router.navigate({ pathname: '/charges', params: { zone, service } })}
        />
      ))}
    </View>
  );
};

const TableActions = ({
  table,
  onFile,
  onGone,
}: {
  table: RateTable;
  onFile: (file: File) => void;
  onGone: () => void;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { decimals } = useAppSelector(selectDisplayFormat);
  const { store } = useBookParts('store');
  const users = useUsers(table.id);
  const { id, name, basis, rows } = table;
  const choose = useChosenList(onFile);
  const cells = (row: TableRow): string[] => tableRowCells(row, basis, decimals);
  const saveExample = async (): Promise<void> => {
    const { csvText } = await import('../../../files/csv.ts');
    saveFile(
      fileName(name, 'example', dayNow(store), 'csv'),
      csvText([tableSheet(basis).map(({ heading }) => heading), ...EXAMPLE.map(cells)]),
    );
  };
  const remove = (): void => {
    dispatch(edit('removeTable', { id }, t('Remove {name}', { name })));
    dispatch(undoMessage(t('Removed {name}.', { name })));
    onGone();
  };
  return (
    <View style={style.head}>
      <UsersOfTable users={users} />
      <Actions>
        <TextAction main label={t('Open a CSV or spreadsheet')} onPress={choose} />
        <SaveList
          name={(kind) => fileName(name, 'rates', dayNow(store), kind)}
          sheet={name}
          columns={() => tableSheet(basis)}
          items={rows}
          cells={cells}
        />
        <TextAction label={t('Save an example')} onPress={() => void saveExample()} />
        <TextAction
          label={t('Add a row')}
          onPress={() => dispatch(edit('addRow', { id }, t('{name}: new row', { name })))}
        />
        <TextAction label={t('Remove the table')} disabled={users.length > 0} onPress={remove} />
      </Actions>
    </View>
  );
};

/** What a table is called, and what its rows go by. */
const TableHead = ({ table: { id, name, basis, rows } }: { table: RateTable }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const set = (changes: Partial<RateTable>, what: string, visit: string | null = null): void =>
    void dispatch(edit('setTable', { id, changes }, labelled(name, what), visit));
  return (
    <View style={style.head}>
      <NameField
        label={t('Table')}
        prose
        value={name}
        onChange={(next, visit) => set({ name: next }, t('name'), visit)}
      />
      {rows.length === 0 ? (
        <Segments
          label={t('Goes by')}
          width={320}
          value={basis}
          options={MEASURES}
          onChange={(next) => set({ basis: next }, t('measure'))}
        />
      ) : (
        <Text style={style.note}>
          {t(
            'By {basis}, {count, plural, one {# row} other {# rows}}. The most specific place decides, then the range.',
            { basis, count: rows.length },
          )}
        </Text>
      )}
    </View>
  );
};

interface RowListProps {
  table: RateTable;
  open: number | null;
  onOpen: (at: number) => void;
}

/** The rows of a table in their order, found by a place or an amount. */
const RowList = ({ table: { name, basis, rows }, open, onOpen }: RowListProps) => {
  const style = useStyles(styles);
  const display = useAppSelector(selectDisplayFormat);
  const rangeWords = useCallback(
    ({ from, to }: TableRow): string => {
      const start = measureFigure(basis, from, display);
      return to === undefined
        ? t('from {start}', { start })
        : t('{start} to {figure}', { start, figure: measureFigure(basis, to, display) });
    },
    [basis, display],
  );
  const textOf = useCallback(
    (row: TableRow, at: number): string =>
      `${labelled(String(at + 1), placeWords(row))}, ${rangeWords(row)}: ${moneyFigure(row.amount, display.decimals)}`,
    [rangeWords, display],
  );
  return (
    <LongList
      label={t('Rows of {name}', { name })}
      counted={(count) => t('{count, plural, one {# row} other {# rows}}', { count })}
      items={rows}
      textOf={textOf}
      findLabel={t('Find a place or an amount')}
      open={open}
      onOpen={onOpen}
    >
      {(one, at) => (
        <>
          <Text style={style.number}>{at + 1}</Text>
          <Text style={style.place} numberOfLines={1}>
            {placeWords(one)}
          </Text>
          <Text style={style.range} numberOfLines={1}>
            {rangeWords(one)}
          </Text>
          <Text style={style.amount}>
            {moneyFigure(one.amount, display.decimals)}
            {one.each ? ' +' : ''}
          </Text>
        </>
      )}
    </LongList>
  );
};

/** A rate table: its rows, searched and edited, out of a file and into one. */
const TablePage = ({ table, onBack }: { table: RateTable; onBack: () => void }) => {
  const style = useStyles(styles);
  const [file, setFile] = useState<File | null>(null);
  const [open, setOpen] = useState<number | null>(null);
  const { name, rows } = table;
  const row = open === null ? undefined : rows[open];
  if (file) return <TableImport table={table} file={file} onDone={() => setFile(null)} />;
  return (
    <Page>
      <PageHead title={name} back={{ name: t('Tables'), onPress: onBack }} />
      <TableHead table={table} />
      <TableActions table={table} onFile={setFile} onGone={onBack} />
      {row && open !== null ? (
        <RowFields key={open} table={table} row={row} at={open} onGone={() => setOpen(null)} />
      ) : null}
      {rows.length === 0 ? (
        <Text style={style.note}>
          {t('Rows of a place, a range and an amount belong here: out of a carrier’s list, say.')}
        </Text>
      ) : (
        <RowList table={table} open={open} onOpen={(at) => setOpen(open === at ? null : at)} />
      )}
    </Page>
  );
};
export default TablePage;
