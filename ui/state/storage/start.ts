import { initialDraft } from '../draft.ts';
import type { SetAsideDocument } from '../storage-status.ts';
import type { Start } from '../store.ts';
import type { Workbook } from '../workbook.ts';
import { asideList, setAside } from './aside.ts';
import {
  isGoodsKey,
  KEYS,
  readDraft,
  readDraftDocument,
  readGoods,
  readSession,
  type KeptDraft,
  type KeptGoods,
  type KeptSession,
} from './documents.ts';
import type { KeyValueStore } from './writer.ts';
import { momentNow } from '../../time/now.ts';

/** The shop shown where nothing is kept yet. */
export type Demo = () => Promise<Workbook>;

interface FoundShop extends KeptDraft {
  /** The key of its goods. */
  goods: string;
}

/** The products under a key; a draft from before there were goods on the device goes with the demo's. */
const goodsAt = async (device: KeyValueStore, key: string, demo: Demo): Promise<KeptGoods | null> => {
  const text = await device.getItem(key);
  if (text !== null) return readGoods(text);
  return key === KEYS.catalogue ? { catalogue: (await demo()).catalogue, goodsStamp: 0 } : null;
};

/** The shop that is kept: its rules and the goods they name; null where the two cannot be read together. */
const readShop = async (device: KeyValueStore, text: string, demo: Demo): Promise<FoundShop | null> => {
  const document = readDraftDocument(text);
  const goods = document && (await goodsAt(device, document.goods, demo));
  const kept = document && goods && readDraft(document, goods);
  return kept ? { ...kept, goods: document.goods } : null;
};

/** Copies aside what no longer parses, before anything is written over it: a shop with all goods that are there. */
const asideAll = async (
  device: KeyValueStore,
  keys: readonly string[],
  at: string,
): Promise<SetAsideDocument[]> => {
  const made: SetAsideDocument[] = [];
  for (const key of keys) {
    const aside = await setAside(device, key, 'unreadable', at);
    if (aside) made.push(aside);
  }
  return made;
};

/**
 * What the program starts from: what is kept on this device, or the demo; what had to be set aside is named.
 * The orders, of which there may be many, are read after the page is there.
 */
export const readStart = async (device: KeyValueStore, demo: Demo): Promise<Start> => {
  const at = momentNow();
  const keys = await device.getAllKeys();
  const stamp = await device.getItem(KEYS.stamp);
  const draftText = await device.getItem(KEYS.draft);
  const shop = draftText === null ? null : await readShop(device, draftText, demo);
  const isUnread = draftText !== null && shop === null;
  const sessionText = await device.getItem(KEYS.session);
  const session: KeptSession | null = sessionText === null ? null : readSession(sessionText);
  const news = await asideAll(
    device,
    [
      ...(isUnread ? [KEYS.draft, ...keys.filter(isGoodsKey)] : []),
      ...(sessionText !== null && session === null ? [KEYS.session] : []),
    ],
    at,
  );
  return {
    draft: shop?.draft ?? initialDraft(await demo()),
    storage: {
      changedAt: shop?.changedAt ?? null,
      savedAt: session?.savedAt ?? null,
      aside: [...asideList(keys), ...news],
      news,
    },
    stamp,
    draftStamp: shop?.stamp ?? null,
    goods: shop?.goods ?? null,
    ...(session ? { session: session.session, basket: session.basket } : {}),
  };
};
