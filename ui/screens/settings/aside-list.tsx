import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { labelled } from '../../../core/words/labelled.ts';
import { dayTimeText, monthText } from '../../parts/dates.ts';
import { saveFile } from '../../files/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { messageShown } from '../../state/session.ts';
import { canOpen } from '../../state/storage/aside.ts';
import { deviceStore } from '../../state/storage/device-store.ts';
import { asideGone, type SetAsideDocument } from '../../state/storage-status.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';

const styles = (inks: Inks) => ({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'space-between',
    borderBottomWidth: 1,
    borderBottomColor: inks.hairline,
    paddingVertical: 6,
  } as const,
  actions: { flexDirection: 'row' } as const,
  note: note(inks),
});

const WHY: Record<SetAsideDocument['why'], string> = {
  unreadable: t('it could not be read'),
  'other-tab': t('another tab kept it while this one had changes'),
};

/** What a document that was set aside holds. */
const asideName = ({ document }: SetAsideDocument): string => {
  const [kind = '', part = ''] = document.split('/');
  if (kind === 'orders') return t('Orders of {monthText}', { monthText: monthText(part) });
  if (kind === 'edition') return t('Edition {number}', { number: Number(part) });
  const names: Record<string, string> = {
    draft: t('Rules and test orders'),
    catalogue: t('Products and tables'),
  };
  return names[kind] ?? t('Settings of this device');
};

/** A carrier account's secret in a document that may no longer be read: it leaves the device in no file. */
const SECRET = /"secret"\s*:\s*"(?:[^"\\]|\\.)*"/g;

/** What was set aside instead of being lost: it can be opened, saved as a file, and thrown away. */
export const AsideList = ({
  onOpen,
  opens = () => true,
}: {
  onOpen: (aside: SetAsideDocument) => void;
  /** Which of it can be opened here, of what can be opened at all. */
  opens?: (aside: SetAsideDocument) => boolean;
}) => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const aside = useAppSelector((state) => state.storage.aside);
  if (aside.length === 0) return null;
  const save = async ({ key, document, at }: SetAsideDocument): Promise<void> => {
    const text = await deviceStore.getItem(key);
    if (text === null) return;
    saveFile(
      `set-aside-${document.replaceAll(/[/:]/g, '-')}-${at.slice(0, 10)}.json`,
      text.replace(SECRET, '"secret":""'),
    );
  };
  const drop = async (one: SetAsideDocument): Promise<void> => {
    await deviceStore.removeItem(one.key);
    dispatch(asideGone(one.key));
    dispatch(
      messageShown({
        text: t('Deleted what was set aside: {name}.', { name: asideName(one) }),
        undo: false,
      }),
    );
  };
  return (
    <View role="list" aria-label={t('Set aside')}>
      <Text variant="titleSmall">{t('Set aside')}</Text>
      {aside.map((one) => (
        <View style={style.row} role="listitem" key={one.key}>
          <Text>
            {asideName(one)} <Text style={style.note}>{labelled(dayTimeText(one.at), WHY[one.why])}</Text>
          </Text>
          <View style={style.actions}>
            {canOpen(one, aside) && opens(one) ? (
              <TextAction label={t('Open')} onPress={() => onOpen(one)} />
            ) : null}
            <TextAction label={t('Save as a file')} onPress={() => void save(one)} />
            <TextAction label={t('Delete')} onPress={() => void drop(one)} />
          </View>
        </View>
      ))}
    </View>
  );
};
