import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import type { Good } from '../../../core/model/good.ts';
import { DraftField } from '../../fields/draft-field.tsx';
import { edit } from '../../state/draft.ts';
import { selectDisplayFormat } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { cellText, readCellText, TITLES, type Column } from './goods-columns.ts';

interface Props {
  good: Good;
  column: Column;
  onNext: () => void;
  onLeave: (fault: string | null) => void;
}

/** A cell of the table while it is edited. */
export const CellField = ({ good, column, onNext, onLeave }: Props) => {
  const dispatch = useAppDispatch();
  const display = useAppSelector(selectDisplayFormat);
  return (
    <DraftField
      hideLabel
      autoFocus
      right={column !== 'name'}
      prose={column === 'name'}
      label={t('{figure} of {good}', { figure: TITLES[column], good: good.name })}
      text={cellText(good, column, display)}
      read={readCellText(column, display, cellText(good, column, display))}
      onChange={(changes, visit) =>
        dispatch(
          edit(
            'setGood',
            { sku: good.sku, changes },
            labelled(good.name, TITLES[column].toLowerCase()),
            visit,
          ),
        )
      }
      onSubmit={onNext}
      onLeave={onLeave}
    />
  );
};
