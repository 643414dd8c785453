import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { rateRowCells, rateRows, ratesSheet } from '../../../../core/formats/rates-sheet.ts';
import { fileName } from '../../../files/files.ts';
import { chooseRows, type ChosenRows } from '../../../list-import/read-rows.ts';
import { dayNow } from '../../../time/now.ts';
import { SaveList } from '../../../parts/save-list.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { messageShown } from '../../../state/session.ts';
import { selectBook, selectDisplayFormat } from '../../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../state/store.ts';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import { Actions } from '../../../parts/actions.tsx';

/** A file of rates whose rows were read. */
export type RatesFile = Extract<ChosenRows, { ok: true }>;

const styles = (inks: Inks) => ({
  note: { ...note(inks), maxWidth: 640 },
});

/** The rates of the whole board as a list: saved, and read again from what was changed in it. */
const RatesFold = ({ onFile }: { onFile: (file: RatesFile) => void }) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const book = useAppSelector(selectBook);
  const display = useAppSelector(selectDisplayFormat);
  const open = async (): Promise<void> => {
    const chosen = await chooseRows();
    if (chosen?.ok) onFile(chosen);
    else if (chosen)
      dispatch(
        messageShown({
          text: t('{chosen} was not read: {why}', { chosen: chosen.name, why: chosen.why }),
          undo: false,
        }),
      );
  };
  return (
    <>
      <Text style={style.note}>
        {t(
          'A row for each rate, and for each of its steps, with amounts, free delivery, minimum and maximum. Change it in a spreadsheet and import it: you see every change before it goes into the draft.',
        )}
      </Text>
      <Actions>
        <SaveList
          name={(kind) => fileName(book.store.name, 'rates', dayNow(book.store), kind)}
          sheet={t('Rates')}
          columns={ratesSheet}
          items={rateRows(book)}
          cells={(row) => rateRowCells(row, book, display)}
        />
        <TextAction label={t('Import rates')} onPress={() => void open()} />
      </Actions>
    </>
  );
};
export default RatesFold;
