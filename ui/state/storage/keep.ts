import { t } from '../../../core/translate/translate.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import type { Edition } from '../../../core/formats/edition.ts';
import { draftTaken, type DraftState } from '../draft.ts';
import { editionRenumbered, editionsTaken } from '../editions.ts';
import { ordersTaken } from '../orders.ts';
import { messageShown } from '../session.ts';
import {
  asideMade,
  changedNow,
  keeping,
  keepingFailed,
  kept,
  readingOrders,
  type SetAsideDocument,
} from '../storage-status.ts';
import type { AppStore, RootState, Start } from '../store.ts';
import { setAside } from './aside.ts';
import {
  goodsKey,
  isGoodsKey,
  KEYS,
  ordersKey,
  writeDraft,
  writeGoods,
  writeMonth,
  writeSession,
} from './documents.ts';
import {
  editionKey,
  isEditionKey,
  loadEdition,
  loadEditions,
  writeEdition,
  type EditionsFound,
} from './load-editions.ts';
import type { Journal } from './journal.ts';
import { loadMonth, loadOrders, type OrdersFound } from './load-orders.ts';
import { readStart, type Demo } from './start.ts';
import type { Tabs } from './tabs.ts';
import { makeWriter, type KeyValueStore, type Writer } from './writer.ts';
import { momentNow } from '../../time/now.ts';

interface Keeper {
  store: AppStore;
  device: KeyValueStore;
  tabs: Tabs;
  /** The stamp under which this tab last read or wrote the draft. */
  stamp: string | null;
  /** The products as last written and their key, so that they are written only when they change. */
  goods: { stamp: number; key: string } | null;
  /** The orders that are on the device as they are here. */
  keptOrders: WeakSet<PastOrder>;
  /** The editions that are on the device. */
  keptEditions: WeakSet<Edition>;
  journal: Journal | undefined;
}

const WORKBOOK = 'workbook';

/** What another tab kept since this one last looked is copied aside before it is written over. */
const yieldNothing = async ({ store, device, tabs, stamp }: Keeper): Promise<void> => {
  const there = await device.getItem(KEYS.stamp);
  if (there === stamp || there?.startsWith(`${tabs.id}:`)) return;
  const at = momentNow();
  const made: (SetAsideDocument | null)[] = [];
  for (const key of [KEYS.draft, ...(await device.getAllKeys()).filter(isGoodsKey)])
    made.push(await setAside(device, key, 'other-tab', at));
  store.dispatch(asideMade(made.filter((aside) => aside !== null)));
};

/** The key under which the goods are as they are here; they are written first where they are not. */
const keepGoods = async (keeper: Keeper, draft: DraftState, stamp: string): Promise<string> => {
  const { device, goods } = keeper;
  const isThere = goods?.stamp === draft.goodsStamp && (await device.getAllKeys()).includes(goods.key);
  if (isThere) return goods.key;
  const key = goodsKey(stamp);
  await device.setItem(key, writeGoods(draft));
  keeper.goods = { stamp: draft.goodsStamp, key };
  return key;
};

/** Goods that no draft names any more. */
const clearGoods = async (device: KeyValueStore, named: string): Promise<void> => {
  const old = (await device.getAllKeys()).filter((key) => isGoodsKey(key) && key !== named);
  for (const key of old) await device.removeItem(key);
};

/**
 * The stamp goes first: a crash after it makes another tab look twice, never write blindly. The draft, which names its
 * goods, goes last: until it is written all is as it was.
 */
const keepWorkbook = async (keeper: Keeper): Promise<void> => {
  const { store, device, tabs } = keeper;
  await tabs.alone(async () => {
    await yieldNothing(keeper);
    const { draft, storage } = store.getState();
    const mine = `${tabs.id}:${draft.revision}`;
    await device.setItem(KEYS.stamp, mine);
    keeper.stamp = mine;
    const goods = await keepGoods(keeper, draft, mine);
    await device.setItem(KEYS.draft, writeDraft(draft, { changedAt: storage.changedAt, stamp: mine, goods }));
    keeper.journal?.keptUpTo(draft.revision, mine);
    await clearGoods(device, goods);
  });
  tabs.announce(WORKBOOK);
};

const found = ({ store, keptOrders }: Keeper): OrdersFound => ({
  orders: (orders) => {
    for (const order of orders) keptOrders.add(order);
    store.dispatch(ordersTaken(orders));
  },
  aside: (made) => store.dispatch(asideMade([made])),
});

/** The orders of a month beside those that another tab kept there. */
const keepMonth = async (keeper: Keeper, key: string): Promise<void> => {
  const { store, device, tabs, keptOrders } = keeper;
  await tabs.alone(async () => {
    await loadMonth(device, key, found(keeper));
    const orders = store.getState().orders.filter((order) => ordersKey(order) === key);
    await device.setItem(key, writeMonth(orders));
    for (const order of orders) keptOrders.add(order);
  });
  tabs.announce(key);
};

const editionsFound = ({ store, keptEditions }: Keeper): EditionsFound => ({
  editions: (editions) => {
    for (const edition of editions) keptEditions.add(edition);
    store.dispatch(editionsTaken(editions));
  },
  aside: (made) => store.dispatch(asideMade([made])),
});

/**
 * An edition is written once. Where another tab has published under its number meanwhile, it is written
 * under the next that is free, and both are read from the device.
 */
const keepEdition = async (keeper: Keeper, edition: Edition): Promise<void> => {
  const { store, device, tabs, keptEditions } = keeper;
  const text = writeEdition(edition);
  let kept = edition;
  await tabs.alone(async () => {
    for (let there = await device.getItem(editionKey(kept)); there !== null && there !== text;) {
      kept = { ...kept, number: kept.number + 1 };
      there = await device.getItem(editionKey(kept));
    }
    await device.setItem(editionKey(kept), writeEdition(kept));
    keptEditions.add(kept);
    if (kept !== edition) store.dispatch(editionRenumbered({ from: edition, to: kept }));
    if (kept !== edition) await loadEdition(device, editionKey(edition), editionsFound(keeper));
  });
  tabs.announce(editionKey(kept));
};

const keepSession = async ({ store, device }: Keeper): Promise<void> => {
  const { session, basket, storage } = store.getState();
  await device.setItem(KEYS.session, writeSession({ session, basket, savedAt: storage.savedAt }));
};

const isSessionNew = (now: RootState, before: RootState): boolean =>
  now.basket !== before.basket ||
  now.storage.savedAt !== before.storage.savedAt ||
  (['testOrderId', 'colours', 'letterKeys', 'found'] as const).some(
    (field) => now.session[field] !== before.session[field],
  );

const goodsOf = ({ draft, goods }: Start): Keeper['goods'] =>
  goods ? { stamp: draft.goodsStamp, key: goods } : null;

/** Another tab kept something: an idle tab shows it; a tab with changes of its own finds out when it writes. */
const followOthers = (keeper: Keeper, writer: Writer, demo: Demo): void => {
  const { store, device, tabs } = keeper;
  const followWorkbook = async (): Promise<void> => {
    const start = await readStart(device, demo);
    if (writer.isBusy() || start.stamp === keeper.stamp) return;
    keeper.stamp = start.stamp ?? null;
    keeper.goods = goodsOf(start);
    keeper.journal?.keptUpTo(store.getState().draft.revision, start.draftStamp ?? null);
    store.dispatch(draftTaken(start.draft));
    store.dispatch(changedNow(start.storage?.changedAt ?? null));
    store.dispatch(
      messageShown({ text: t('The draft was changed in another tab, and is shown here.'), undo: false }),
    );
  };
  tabs.onNews((what) => {
    const follow =
      what === WORKBOOK
        ? followWorkbook
        : isEditionKey(what)
          ? () => loadEdition(device, what, editionsFound(keeper))
          : () => loadMonth(device, what, found(keeper));
    tabs.alone(follow).catch((error: unknown) => store.dispatch(keepingFailed(String(error))));
  });
};

/** What changed in the store asks for its document to be written. */
const watch = (keeper: Keeper, writer: Writer): void => {
  const { store } = keeper;
  let last = store.getState();
  store.subscribe(() => {
    const now = store.getState();
    const before = last;
    last = now;
    if (now.draft.revision !== before.draft.revision) {
      writer.ask(WORKBOOK, () => keepWorkbook(keeper));
      store.dispatch(changedNow(momentNow()));
    }
    if (now.orders !== before.orders) {
      const months = new Set(now.orders.filter((order) => !keeper.keptOrders.has(order)).map(ordersKey));
      for (const key of months) writer.ask(key, () => keepMonth(keeper, key));
    }
    if (now.editions !== before.editions) {
      for (const edition of now.editions)
        if (!keeper.keptEditions.has(edition))
          writer.ask(editionKey(edition), () => keepEdition(keeper, edition));
    }
    if (isSessionNew(now, before)) writer.ask('session', () => keepSession(keeper));
  });
};

/** Keeps the store's documents on a device as they change, says in the store whether that works, and follows other tabs. */
export const keepStore = (
  store: AppStore,
  device: KeyValueStore,
  tabs: Tabs,
  demo: Demo,
  start: Start,
  journal?: Journal,
): Writer => {
  const writer = makeWriter({
    began: () => store.dispatch(keeping()),
    kept: () => store.dispatch(kept()),
    failed: (reason) => store.dispatch(keepingFailed(reason)),
  });
  const keeper: Keeper = {
    store,
    device,
    tabs,
    stamp: start.stamp ?? null,
    goods: goodsOf(start),
    keptOrders: new WeakSet(),
    keptEditions: new WeakSet(),
    journal,
  };
  watch(keeper, writer);
  followOthers(keeper, writer, demo);
  store.dispatch(readingOrders(true));
  loadEditions(device, editionsFound(keeper))
    .then(() => loadOrders(device, found(keeper)))
    .then(() => store.dispatch(readingOrders(false)))
    .catch((error: unknown) => store.dispatch(keepingFailed(String(error))));
  return writer;
};
