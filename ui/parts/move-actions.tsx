import { t } from '../../core/translate/translate.ts';
import { TextAction } from './text-action.tsx';

interface Props {
  /** Where it stands among how many. */
  at: number;
  count: number;
  onMove: (by: number) => void;
  /** What lies in a row moves left and right. */
  isSideways?: boolean;
}

/** An entry moved by one place in its list. */
export const MoveActions = ({ at, count, onMove, isSideways = false }: Props) => (
  <>
    <TextAction
      label={isSideways ? t('Move left') : t('Move up')}
      disabled={at === 0}
      onPress={() => onMove(-1)}
    />
    <TextAction
      label={isSideways ? t('Move right') : t('Move down')}
      disabled={at === count - 1}
      onPress={() => onMove(1)}
    />
  </>
);
