import { Snackbar } from 'react-native-paper';
import { undone } from '../state/draft.ts';
import { told } from '../state/session.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';

/** What was just done, with the way back. */
export const Message = () => {
  const dispatch = useAppDispatch();
  const message = useAppSelector((state) => state.session.message);
  const action = message?.undo ? { label: 'Undo', onPress: () => void dispatch(undone()) } : undefined;
  return (
    <Snackbar
      visible={message !== null}
      duration={8_000}
      onDismiss={() => dispatch(told(null))}
      action={action}
      wrapperStyle={{ maxWidth: 560, alignSelf: 'center', bottom: 84 }}
      style={{ borderRadius: 2 }}
    >
      {message?.text ?? ''}
    </Snackbar>
  );
};
