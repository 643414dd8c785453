import { countFigure } from '../../../core/words/figure.ts';
import { Later } from '../../parts/later.tsx';
import { RaiseForm } from '../../page/later-forms.ts';
import { edit } from '../../state/draft.ts';
import { useAppDispatch } from '../../state/store.ts';

/** Raises or lowers the prices of rates. */
export const RaiseRates = ({ ids, onDone }: { ids: readonly string[]; onDone: () => void }) => {
  const dispatch = useAppDispatch();
  return (
    <Later>
      <RaiseForm
        what={countFigure(ids.length, 'rate')}
        disabled={ids.length === 0}
        onRaise={(raise, label) => {
          dispatch(edit('raiseRates', { ids: [...ids], raise }, label));
          onDone();
        }}
      />
    </Later>
  );
};
