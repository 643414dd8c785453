import { View } from 'react-native';
import { Dialog, Modal, Portal, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { Check } from '../parts/check.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { keysToggled, letterKeysSet } from '../state/session.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useStyles } from '../theme/styles.ts';
import { SANS_STRONG, SERIF_STRONG, type Inks } from '../theme/tokens.ts';
import { KEYS } from './use-keys.ts';

const styles = (inks: Inks) => ({
  dialog: {
    maxWidth: 420,
    width: '90%',
    alignSelf: 'center',
    justifyContent: 'flex-start',
    borderRadius: 2,
    backgroundColor: inks.raised,
    borderWidth: 1,
    borderColor: inks.ink,
  } as const,
  title: { marginTop: 24, fontFamily: SERIF_STRONG },
  row: {
    flexDirection: 'row',
    paddingVertical: 6,
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
  } as const,
  key: { width: 120, fontFamily: SANS_STRONG },
  does: { flex: 1 },
});

/** The list of keys, and whether single letters count. */
const KeysDialog = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const { keysShown, letterKeys } = useAppSelector((state) => state.session);
  const close = (): void => void dispatch(keysToggled(false));
  return (
    <Portal>
      <Modal
        visible={keysShown}
        onDismiss={close}
        overlayAccessibilityLabel={t('Close')}
        contentContainerStyle={style.dialog}
      >
        <Dialog.Title style={style.title}>{t('Keyboard')}</Dialog.Title>
        <Dialog.Content>
          {KEYS.map(([key, does]) => (
            <View style={style.row} key={key}>
              <Text style={style.key}>{key}</Text>
              <Text style={style.does}>{does}</Text>
            </View>
          ))}
          <Check
            label={t('Single letters are keys')}
            on={letterKeys}
            onPress={() => void dispatch(letterKeysSet(!letterKeys))}
          />
        </Dialog.Content>
        <Dialog.Actions>
          <TextAction label={t('Close')} onPress={close} />
        </Dialog.Actions>
      </Modal>
    </Portal>
  );
};

export default KeysDialog;
