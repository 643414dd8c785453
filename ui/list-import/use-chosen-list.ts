import { t } from '../../core/translate/translate.ts';
import { messageShown } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import { chooseFile, isTooLarge } from '../files/files.ts';

/** Asks for a CSV and hands it on; one that is too large is told. */
export const useChosenList = (onFile: (file: File) => void): (() => void) => {
  const dispatch = useAppDispatch();
  const choose = async (): Promise<void> => {
    const file = await chooseFile('csv');
    if (file && isTooLarge(file))
      dispatch(
        messageShown({
          text: t('{file} is larger than 200 MB and was not read.', { file: file.name }),
          undo: false,
        }),
      );
    else if (file) onFile(file);
  };
  return () => void choose();
};
