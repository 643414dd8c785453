import { t } from '../../../core/translate/translate.ts';
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
        what={t('{count, plural, one {# rate} other {# rates}}', { count: ids.length })}
        disabled={ids.length === 0}
        onRaise={(raise, label) => {
          dispatch(edit('raiseRates', { ids: [...ids], raise }, label));
          onDone();
        }}
      />
    </Later>
  );
};
