import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { looseJson } from '../../../core/formats/loose-json.ts';
import { mergeEditions } from '../../../core/formats/edition.ts';
import { shopDifference } from '../../../core/publish/shop-difference.ts';
import {
  readShopFile,
  shopValueUpToDate,
  type Shop,
  type ShopFile,
} from '../../../core/formats/shop-file.ts';
import type { Fault } from '../../../core/model/fault.ts';
import { mergeOrders } from '../../../core/order/merge-orders.ts';
import { locatedSentence } from '../../../core/words/fault-sentence.ts';
import { asideShop } from '../../state/storage/aside-shop.ts';
import { deviceStore } from '../../state/storage/device-store.ts';
import type { SetAsideDocument } from '../../state/storage-status.ts';
import { useAppStore, type AppStore } from '../../state/store.ts';
import { useStyles } from '../../theme/styles.ts';
import { raisedPanel } from '../../theme/text.ts';
import type { Inks } from '../../theme/tokens.ts';
import { Review, type SoundFile } from './file-review.tsx';
import { Repair } from './repair.tsx';

const styles = (inks: Inks) => ({
  panel: { ...raisedPanel(inks), padding: 16, gap: 8 },
  fault: { color: inks.rubric },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const,
});

/** A file whose shop cannot be read as it is. */
interface FaultyFile {
  name: string;
  value: unknown;
  broken: readonly Fault[];
}

/** What was opened: a sound file, one to repair, or one that nothing can be made of, with why. */
export type Opened = SoundFile | FaultyFile | { name: string; faults: readonly Fault[] };

const sound = (
  { draft, orders, editions, storage }: ReturnType<AppStore['getState']>,
  name: string,
  file: ShopFile,
): Opened => ({
  name,
  file,
  differences: shopDifference(draft.workbook, file.shop),
  newOrders: mergeOrders(orders, file.orders).length - orders.length,
  newEditions: mergeEditions(editions, file.editions).length - editions.length,
  changedAt: storage.changedAt,
});

const isShop = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'format' in value && value.format === 'emporos-shop';

/** What a file's text holds, against what is here. A whole shop that cannot be read is opened for repair. */
export const openedText = (state: ReturnType<AppStore['getState']>, name: string, text: string): Opened => {
  const read = readShopFile(text, state.draft.workbook);
  if (read.ok) return sound(state, name, read.value);
  const { value, broken } = looseJson(text);
  if (!isShop(value)) return { name, faults: read.faults };
  return { name, value: shopValueUpToDate(value), broken: broken ? [broken] : [] };
};

/** What was set aside on this device, opened like a file. */
export const openedAside = async (
  { storage, draft }: ReturnType<AppStore['getState']>,
  aside: SetAsideDocument,
): Promise<Opened> => {
  const name = t('The shop set aside');
  const { value, broken, isLater } = await asideShop(deviceStore, aside, storage.aside, draft.workbook);
  if (isLater) return { name, faults: [{ code: 'later-version', path: '', detail: {} }] };
  return { name, value, broken };
};

const Refused = ({
  name,
  faults,
  onClose,
}: {
  name: string;
  faults: readonly Fault[];
  onClose: () => void;
}) => {
  const style = useStyles(styles);
  return (
    <View style={style.panel} role="alert">
      <Text variant="titleMedium">{t('{name} was not imported; nothing here has changed', { name })}</Text>
      {faults.map((fault, at) => (
        <Text key={`${fault.path}-${at}`} style={style.fault}>
          {locatedSentence(fault)}
        </Text>
      ))}
      <View style={style.buttons}>
        <Button mode="outlined" onPress={onClose}>
          {t('Close')}
        </Button>
      </View>
    </View>
  );
};

interface Props {
  opened: Opened;
  /** Whether a repaired shop is taken without a look at what it changes: where there is no shop of the person's yet. */
  takesAtOnce?: boolean;
  onTake: (file: ShopFile, name: string) => void;
  onClose: () => void;
}

/** A file that was opened: repaired where it has to be, reviewed against what is here, and taken. */
const OpenedFile = ({ opened, takesAtOnce = false, onTake, onClose }: Props) => {
  const store = useAppStore();
  const [here] = useState<Shop>(() => store.getState().draft.workbook);
  const [repaired, setRepaired] = useState<Opened | null>(null);
  const now = repaired ?? opened;
  if ('faults' in now) return <Refused name={now.name} faults={now.faults} onClose={onClose} />;
  if ('file' in now)
    return <Review opened={now} here={here} onTake={() => onTake(now.file, now.name)} onLeave={onClose} />;
  return (
    <Repair
      {...now}
      here={here}
      onOpen={(file) =>
        takesAtOnce ? onTake(file, now.name) : setRepaired(sound(store.getState(), now.name, file))
      }
      onClose={onClose}
    />
  );
};
export default OpenedFile;
