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
const draftSchema = z.object({
  version: z.literal(VERSION),
  book: z.unknown(),
  trials: z.unknown(),
  past: z.unknown(),
  future: z.unknown(),
});
const catalogueSchema = z.object({ version: z.literal(VERSION), catalogue: z.unknown() });
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

/** The draft with its history as kept, or null where the text is no sound draft. A history that cannot be read does not cost the draft. */
export const readDraft = (text: string): DraftState | null => {
  const document = parsed(draftSchema, text);
  const book = document && readBook(document.book);
  const trials = document && readTrials(document.trials);
  if (!document || !book?.ok || !trials?.ok) return null;
  return {
    workbook: { book: book.value, trials: trials.value },
    past: readSteps(document.past),
    future: readSteps(document.future),
    before: null,
    revision: 0,
  };
};

/** The text of a draft with its history. */
export const writeDraft = ({ workbook, past, future }: DraftState): string =>
  JSON.stringify({ version: VERSION, ...workbook, past, future });

export const readStoredCatalogue = (text: string): Catalogue | null => {
  const document = parsed(catalogueSchema, text);
  const catalogue = document && readCatalogue(document.catalogue);
  return catalogue?.ok ? catalogue.value : null;
};

export const writeCatalogue = (catalogue: Catalogue): string =>
  JSON.stringify({ version: VERSION, catalogue });

export const readSession = (text: string): Partial<SessionState> | null => {
  const document = parsed(sessionSchema, text);
  if (!document) return null;
  const { trialId, colours, letterKeys } = document;
  return { trialId, colours, letterKeys };
};

export const writeSession = ({ trialId, colours, letterKeys }: SessionState): string =>
  JSON.stringify({ version: VERSION, trialId, colours, letterKeys });
