import { useCallback } from 'react';
import { POSTAL_COLUMNS } from '../../../../core/formats/postal-list-csv.ts';
import type { PostalRule } from '../../../../core/model/delivery.ts';
import { countFigure } from '../../../../core/words/figure.ts';
import { ImportPage } from '../../../parts/list-import/import-page.tsx';
import { useListImport, type ReadList } from '../../../parts/list-import/use-list-import.ts';
import { edit } from '../../../state/draft.ts';
import { told } from '../../../state/session.ts';
import { selectBook } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';

type Column = (typeof POSTAL_COLUMNS)[number]['column'];

const nothing = (): void => undefined;

/** The postal list out of a CSV, in place of the lines that are there. */
const PostalImport = ({ file, onDone }: { file: File; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  const { postalList, locations } = useAppSelector(selectBook);
  const home = locations[0]?.address.country ?? '';
  const read: ReadList<Column> = useCallback((reader, mapping) => reader.readPostal(mapping, home), [home]);
  const work = useListImport<Column>({ file, columns: POSTAL_COLUMNS, read, onOpened: nothing });
  return (
    <ImportPage
      name={file.name}
      back={{ name: 'Postal list', onPress: onDone }}
      columns={POSTAL_COLUMNS}
      work={work}
      settings={null}
      oddWords={() => []}
      effect={
        postalList.length === 0
          ? 'makes the postal list'
          : `replaces the ${countFigure(postalList.length, 'line')} that are there`
      }
      onTake={(items, { faulty }) => {
        const lines = items as readonly PostalRule[];
        dispatch(edit('replacePostalList', { lines }, `Postal list: took ${file.name}`));
        const left = faulty > 0 ? ` ${countFigure(faulty, 'row')} left out.` : '';
        dispatch(
          told({ text: `Took ${countFigure(lines.length, 'line')} of ${file.name}.${left}`, undo: true }),
        );
        onDone();
      }}
    />
  );
};
export default PostalImport;
