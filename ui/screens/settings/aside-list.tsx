import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { dayTimeText } from '../../parts/dates.ts';
import { saveFile } from '../../parts/files.ts';
import { TextAction } from '../../parts/text-action.tsx';
import { told } from '../../state/session.ts';
import { deviceShelf } from '../../state/storage/shelf.ts';
import { asideGone, type Aside } from '../../state/storage-status.ts';
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

const WHY: Record<Aside['why'], string> = {
  unreadable: 'it could not be read',
  'other-tab': 'another tab kept it while this one had changes',
};

/** A carrier account's secret in a document that may no longer be read: it leaves the device in no file. */
const SECRET = /"secret"\s*:\s*"(?:[^"\\]|\\.)*"/g;

/** What was set aside instead of being lost: it can be saved as a file, and thrown away. */
export const AsideList = () => {
  const style = useStyles(styles);
  const dispatch = useAppDispatch();
  const aside = useAppSelector((state) => state.storage.aside);
  if (aside.length === 0) return null;
  const save = async ({ key, document, at }: Aside): Promise<void> => {
    const text = await deviceShelf.getItem(key);
    if (text === null) return;
    saveFile(
      `set-aside-${document.replaceAll('/', '-')}-${at.slice(0, 10)}.json`,
      text.replace(SECRET, '"secret":""'),
    );
  };
  const drop = async ({ key, document }: Aside): Promise<void> => {
    await deviceShelf.removeItem(key);
    dispatch(asideGone(key));
    dispatch(told({ text: `Threw away what was set aside of ${document}.`, undo: false }));
  };
  return (
    <View role="list" aria-label="Set aside">
      <Text variant="titleSmall">Set aside</Text>
      {aside.map((one) => (
        <View style={style.row} role="listitem" key={one.key}>
          <Text>
            {one.document} <Text style={style.note}>{`${dayTimeText(one.at)}: ${WHY[one.why]}`}</Text>
          </Text>
          <View style={style.actions}>
            <TextAction label="Save as a file" onPress={() => void save(one)} />
            <TextAction label="Throw away" onPress={() => void drop(one)} />
          </View>
        </View>
      ))}
    </View>
  );
};
