import { looseJson } from '../../../core/formats/loose-json.ts';
import type { Shop } from '../../../core/formats/shop-file.ts';
import type { Fault } from '../../../core/model/fault.ts';
import type { SetAsideDocument } from '../storage-status.ts';
import { kindOf } from './aside.ts';
import { KEYS } from './documents.ts';
import { upToDate, VERSIONS, type DocumentKind } from './versions.ts';
import type { KeyValueStore } from './writer.ts';

type Fields = Record<string, unknown>;

const asFields = (value: unknown): Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Fields) : {};

/** A document as a value of today's version, what was wrong with it as JSON, and whether a later program wrote it. */
interface Read {
  fields: Fields;
  broken: Fault[];
  isLater: boolean;
}

const readDocument = async (device: KeyValueStore, key: string, kind: DocumentKind): Promise<Read> => {
  const text = await device.getItem(key);
  if (text === null) return { fields: {}, broken: [], isLater: false };
  const { value, broken } = looseJson(text);
  const fields = asFields(upToDate(kind, value));
  return { fields, broken: broken ? [broken] : [], isLater: Number(fields.version) > VERSIONS[kind] };
};

/** What was set aside as the value of a shop file, which may be faulty, and what of its text could not be read. */
export interface AsideShop {
  value: unknown;
  broken: Fault[];
  isLater: boolean;
}

type Parts = Partial<
  Record<'book' | 'catalogue' | 'testOrders' | 'accepted' | 'orders' | 'editions', unknown>
>;

const shopValue = (savedAt: string, parts: Parts): unknown => ({
  format: 'emporos-shop',
  version: 1,
  savedAt,
  ...Object.fromEntries(Object.entries(parts).filter(([, part]) => part !== undefined)),
});

/** The document of the goods that a draft names, among what was set aside with it; else the only one. */
const goodsOf = (
  draft: Fields,
  aside: SetAsideDocument,
  all: readonly SetAsideDocument[],
): SetAsideDocument | undefined => {
  const beside = all.filter((one) => kindOf(one) === 'catalogue' && one.at === aside.at);
  return (
    beside.find(({ document }) => `emporos/${document}` === (draft.goods ?? KEYS.catalogue)) ?? beside.at(-1)
  );
};

const asideRules = async (
  device: KeyValueStore,
  aside: SetAsideDocument,
  all: readonly SetAsideDocument[],
  here: Shop,
): Promise<AsideShop> => {
  const draft = await readDocument(device, aside.key, 'draft');
  const named = goodsOf(draft.fields, aside, all);
  const goods = named && (await readDocument(device, named.key, 'catalogue'));
  const { book, testOrders, accepted } = draft.fields;
  const { catalogue, rateTables, postalList } = goods?.fields ?? {};
  const lists = goods ? { rateTables, postalList } : {};
  return {
    value: shopValue(aside.at, {
      book: book === undefined ? undefined : { ...asFields(book), ...lists },
      testOrders: testOrders ?? [],
      accepted,
      catalogue: goods ? catalogue : here.catalogue,
    }),
    broken: [...draft.broken, ...(goods?.broken ?? [])],
    isLater: draft.isLater || (goods?.isLater ?? false),
  };
};

/**
 * What was set aside as one shop: rules with the products that were set aside with them, or products, orders or an
 * edition alone beside what is here.
 */
export const asideShop = async (
  device: KeyValueStore,
  aside: SetAsideDocument,
  all: readonly SetAsideDocument[],
  here: Shop,
): Promise<AsideShop> => {
  const kind = kindOf(aside);
  if (kind === 'draft') return asideRules(device, aside, all, here);
  if (kind === 'edition') {
    const { value, broken } = looseJson((await device.getItem(aside.key)) ?? '');
    return {
      value: shopValue(aside.at, { ...here, editions: value }),
      broken: broken ? [broken] : [],
      isLater: false,
    };
  }
  const { fields, broken, isLater } = await readDocument(
    device,
    aside.key,
    kind === 'orders' ? 'orders' : 'catalogue',
  );
  const parts: Parts = kind === 'orders' ? { orders: fields.orders } : { catalogue: fields.catalogue };
  return { value: shopValue(aside.at, { ...here, ...parts }), broken, isLater };
};
