import { Snackbar } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { undone } from '../state/draft.ts';
import { messageShown } from '../state/session.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** What was just done, with the way back. */
export const Message = () => {
  const dispatch = useAppDispatch();
  const message = useAppSelector((state) => state.session.message);
  const action = message?.undo ? { label: t('Undo'), onPress: () => void dispatch(undone()) } : undefined;
  return (
    <Snackbar
      visible={message !== null}
      duration={8_000}
      onDismiss={() => dispatch(messageShown(null))}
      action={action}
      // In the flow of the page: it takes room of its own and covers nothing.
      wrapperStyle={{ position: 'relative', maxWidth: 560, alignSelf: 'center' }}
      style={{ borderRadius: 2 }}
    >
      {message?.text ?? ''}
    </Snackbar>
  );
};
