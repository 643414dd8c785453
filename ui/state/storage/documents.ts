import { z } from 'zod';
import { readBook, readCatalogue, readTrials } from '../../../core/formats/read.ts';
import type { Catalogue } from '../../../core/model/good.ts';
import type { DraftState, HistoryStep } from '../draft.ts';
import type { SessionState } from '../session.ts';

/** The documents kept on this device: one key each, each with the version of its schema. */
export const KEYS = {
  draft: 'emporos/draft',
  catalogue: 'emporos/catalogue',
  session: 'emporos/session',
} as const;
export type DocumentName = keyof typeof KEYS;
export const asideKey = (name: DocumentName, at: number): string => `emporos/aside/${name}/${at}`;

const VERSION = 1;

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
  version: z.literal(VERSION),
  goodsStamp: stampSchema,
  book: z.unknown(),
  trials: z.unknown(),
  past: z.unknown(),
  future: z.unknown(),
});
const catalogueSchema = z.object({
  version: z.literal(VERSION),
  goodsStamp: stampSchema,
  catalogue: z.unknown(),
});
const sessionSchema = z.object({
  version: z.literal(VERSION),
  trialId: z.string().nullable(),
  colours: z.enum(['system', 'light', 'dark']),
  letterKeys: z.boolean(),
});

const parsed = <T>(schema: z.ZodType<T>, text: string): T | null => {
  try {
    const read = schema.safeParse(JSON.parse(text));
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

/** The goods as kept, with the stamp that says which history goes with them. */
export interface KeptGoods {
  catalogue: Catalogue;
  goodsStamp: number;
}

/**
 * The draft with its history as kept, or null where the text is no sound draft. A history that cannot
 * be read, or that was made over other goods than are kept, does not cost the draft.
 */
export const readDraft = (text: string, goods: KeptGoods): DraftState | null => {
  const document = parsed(draftSchema, text);
  const book = document && readBook(document.book);
  const trials = document && readTrials(document.trials);
  if (!document || !book?.ok || !trials?.ok) return null;
  const isWhole = document.goodsStamp === goods.goodsStamp;
  return {
    workbook: { book: book.value, catalogue: goods.catalogue, trials: trials.value },
    past: isWhole ? readSteps(document.past) : [],
    future: isWhole ? readSteps(document.future) : [],
    before: null,
    revision: 0,
    goodsStamp: goods.goodsStamp,
  };
};

/** The text of a draft with its history; the goods are a document of their own. */
export const writeDraft = ({ workbook: { book, trials }, past, future, goodsStamp }: DraftState): string =>
  JSON.stringify({ version: VERSION, goodsStamp, book, trials, past, future });

export const readGoods = (text: string): KeptGoods | null => {
  const document = parsed(catalogueSchema, text);
  const catalogue = document && readCatalogue(document.catalogue);
  return document && catalogue?.ok ? { catalogue: catalogue.value, goodsStamp: document.goodsStamp } : null;
};

export const writeGoods = ({ workbook: { catalogue }, goodsStamp }: DraftState): string =>
  JSON.stringify({ version: VERSION, goodsStamp, catalogue });

export const readSession = (text: string): Partial<SessionState> | null => {
  const document = parsed(sessionSchema, text);
  if (!document) return null;
  const { trialId, colours, letterKeys } = document;
  return { trialId, colours, letterKeys };
};

export const writeSession = ({ trialId, colours, letterKeys }: SessionState): string =>
  JSON.stringify({ version: VERSION, trialId, colours, letterKeys });
