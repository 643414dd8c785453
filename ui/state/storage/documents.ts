import { z } from 'zod';
import { acceptedListSchema } from '../../../core/model/accepted.ts';
import { readOrders } from '../../../core/formats/orders.ts';
import { readBook, readCatalogue, readTestOrders } from '../../../core/formats/read.ts';
import type { Catalogue } from '../../../core/model/good.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import type { DraftState, HistoryStep } from '../draft.ts';
import { listText } from '../lists-text.ts';
import type { BasketLine } from '../basket.ts';
import { MOST_FOUND, type SessionState } from '../session.ts';
import { keptText } from './kept-text.ts';
import { upToDate, VERSIONS, type DocumentKind } from './versions.ts';

/** The documents kept on this device: one key each, each with the version of its schema. */
export const KEYS = {
  /** The rules; it names the document of the goods that belongs to it, and is written last. */
  draft: 'emporos/draft',
  /** The products of a draft that names none, as before version 5. */
  catalogue: 'emporos/catalogue',
  session: 'emporos/session',
  /** Which tab wrote the draft and the goods last, so that another finds out before it writes over them. */
  stamp: 'emporos/stamp',
} as const;

/** The key of the goods as one writing of the draft leaves them: each goes under a key of its own. */
export const goodsKey = (stamp: string): string => `${KEYS.catalogue}/${stamp}`;
export const isGoodsKey = (key: string): boolean =>
  key === KEYS.catalogue || key.startsWith(`${KEYS.catalogue}/`);

const ORDERS = 'emporos/orders/';
/** The key of the month an order was placed in. */
export const ordersKey = ({ request }: Pick<PastOrder, 'request'>): string =>
  ORDERS + new Date(request.placedAt).toISOString().slice(0, 7);
export const isOrdersKey = (key: string): boolean => key.startsWith(ORDERS);

const patchSchema = z.object({
  op: z.enum(['replace', 'remove', 'add']),
  path: z.array(z.union([z.string(), z.number()])),
  value: z.unknown().optional(),
});
const stepSchema = z.object({
  label: z.string(),
  visit: z.string().nullable(),
  patches: z.array(patchSchema),
  inverse: z.array(patchSchema),
});
const stampSchema = z.number().int().min(0).default(0);
const draftSchema = z.object({
  version: z.literal(VERSIONS.draft),
  /** The key of its goods. */
  goods: z.string().refine(isGoodsKey),
  goodsStamp: stampSchema,
  changedAt: z.string().nullable(),
  /** Which tab wrote it, at which revision: what the journal of edits goes by. */
  stamp: z.string().nullish(),
  book: z.unknown(),
  testOrders: z.unknown(),
  accepted: z.unknown().optional(),
  past: z.unknown(),
  future: z.unknown(),
});
const catalogueSchema = z.object({
  version: z.literal(VERSIONS.catalogue),
  goodsStamp: stampSchema,
  catalogue: z.unknown(),
  rateTables: z.unknown(),
  postalList: z.unknown(),
});
const sessionSchema = z.object({
  version: z.literal(VERSIONS.session),
  testOrderId: z.string().nullable(),
  colours: z.enum(['system', 'light', 'dark']),
  letterKeys: z.boolean(),
  found: z.array(z.string().max(200)).max(MOST_FOUND).default([]),
  basket: z.array(z.object({ sku: z.string(), quantity: z.int().min(1) })),
  savedAt: z.string().nullable(),
});
const ordersSchema = z.object({ version: z.literal(VERSIONS.orders), orders: z.unknown() });

const parsed = <T>(kind: DocumentKind, schema: z.ZodType<T>, text: string): T | null => {
  try {
    const read = schema.safeParse(upToDate(kind, JSON.parse(text)));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
};

/** Steps of undo; a visit to a field ends with the page it was on. What is no sound list of steps is none. */
const readSteps = (value: unknown): HistoryStep[] => {
  const steps = z.array(stepSchema).safeParse(value);
  return steps.success ? steps.data.map((step) => ({ ...step, visit: null })) : [];
};

/** The products as kept, with the stamp that says which history goes with them. */
export interface KeptGoods {
  catalogue: Catalogue;
  goodsStamp: number;
  /** The long lists of the book, which are kept beside the goods and read with the book. */
  lists?: { rateTables: unknown; postalList: unknown };
}

/** The most entries that a change may hold to be undone after the page was left. */
const MOST_ENTRIES = 2_000;

const isLong = ({ value }: HistoryStep['patches'][number]): boolean =>
  Array.isArray(value) && value.length > MOST_ENTRIES;

/** The steps after the last that holds a long list: one that was taken in whole is not written again with every edit. */
const shortSteps = (steps: readonly HistoryStep[]): readonly HistoryStep[] => {
  const last = steps.findLastIndex(({ patches, inverse }) => patches.some(isLong) || inverse.some(isLong));
  return steps.slice(last + 1);
};

export interface KeptDraft {
  draft: DraftState;
  changedAt: string | null;
  /** The tab and revision that wrote it; null where none is named. */
  stamp: string | null;
}

/** What is accepted of the problems; what cannot be read is none, and the problems come back. */
const readAccepted = (value: unknown): Pick<DraftState['workbook'], 'accepted'> => {
  const read = acceptedListSchema.safeParse(value);
  return read.success ? { accepted: read.data } : {};
};

const withLists = (book: unknown, lists: object): unknown =>
  typeof book === 'object' && book !== null ? { ...book, ...lists } : book;

type DraftDocument = z.infer<typeof draftSchema>;

/** The document of a draft, whose book and test orders are still to be read; null where the text is none. */
export const readDraftDocument = (text: string): DraftDocument | null => parsed('draft', draftSchema, text);

/**
 * The draft with its history as kept, or null where the document holds no sound draft. A history that cannot
 * be read, or that was made over other goods than are kept, does not cost the draft.
 */
export const readDraft = (document: DraftDocument, goods: KeptGoods): KeptDraft | null => {
  const lists = goods.lists ?? {};
  const book = readBook(withLists(document.book, lists));
  const testOrders = readTestOrders(document.testOrders);
  if (!book.ok || !testOrders.ok) return null;
  const isWhole = document.goodsStamp === goods.goodsStamp;
  const draft: DraftState = {
    workbook: {
      book: book.value,
      catalogue: goods.catalogue,
      testOrders: testOrders.value,
      ...readAccepted(document.accepted),
    },
    past: isWhole ? readSteps(document.past) : [],
    future: isWhole ? readSteps(document.future) : [],
    before: null,
    revision: 0,
    goodsStamp: goods.goodsStamp,
    refused: null,
  };
  return { draft, changedAt: document.changedAt, stamp: document.stamp ?? null };
};

/** What is written beside a draft: when it changed, by which tab and revision, and where its goods are. */
export interface DraftNotes {
  changedAt: string | null;
  stamp: string | null;
  goods: string;
}

/** The text of a draft with its history; the goods and the long lists are a document of their own. */
export const writeDraft = (
  { workbook: { book, testOrders, accepted }, past, future, goodsStamp }: DraftState,
  notes: DraftNotes,
): string =>
  `${keptText({
    version: VERSIONS.draft,
    goodsStamp,
    ...notes,
    testOrders,
    accepted,
    past: shortSteps(past),
    future: shortSteps(future),
  }).slice(0, -1)},"book":${keptText({ ...book, rateTables: [], postalList: [] })}}`;

export const readGoods = (text: string): KeptGoods | null => {
  const document = parsed('catalogue', catalogueSchema, text);
  const catalogue = document && readCatalogue(document.catalogue);
  if (!document || !catalogue?.ok) return null;
  const { goodsStamp, rateTables, postalList } = document;
  return { catalogue: catalogue.value, goodsStamp, lists: { rateTables, postalList } };
};

/** The text of the goods and of the book's long lists. */
export const writeGoods = ({ workbook: { catalogue, book }, goodsStamp }: DraftState): string => {
  const { rateTables, postalList } = book;
  const rest = JSON.stringify({ version: VERSIONS.catalogue, goodsStamp, catalogue });
  return `${rest.slice(0, -1)},"rateTables":${listText(rateTables)},"postalList":${listText(postalList)}}`;
};

/** How this device has the program: the person's settings, the shopfront's basket, the last file saved. */
export interface KeptSession {
  session: Pick<SessionState, 'testOrderId' | 'colours' | 'letterKeys' | 'found'>;
  basket: BasketLine[];
  savedAt: string | null;
}

export const readSession = (text: string): KeptSession | null => {
  const document = parsed('session', sessionSchema, text);
  if (!document) return null;
  const { version: _, basket, savedAt, ...session } = document;
  return { session, basket, savedAt };
};

export const writeSession = ({
  session: { testOrderId, colours, letterKeys, found },
  basket,
  savedAt,
}: KeptSession): string =>
  JSON.stringify({ version: VERSIONS.session, testOrderId, colours, letterKeys, found, basket, savedAt });

/** The orders of one month. */
export const readMonth = (text: string): PastOrder[] | null => {
  const document = parsed('orders', ordersSchema, text);
  const orders = document && readOrders(document.orders);
  return orders?.ok ? orders.value : null;
};

export const writeMonth = (orders: readonly PastOrder[]): string =>
  JSON.stringify({ version: VERSIONS.orders, orders });
