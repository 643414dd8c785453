import { z } from 'zod';

/** The kinds of document kept on this device, and the version of each that this program writes. */
export const VERSIONS = { draft: 2, catalogue: 1, session: 2, orders: 1 } as const;
export type DocumentKind = keyof typeof VERSIONS;

type Fields = Record<string, unknown>;
type Migration = (document: Fields) => Fields;

/** The step from each version to the next: the first is from version 1. */
const MIGRATIONS: Record<DocumentKind, readonly Migration[]> = {
  // The draft says when it was last changed.
  draft: [(document) => ({ ...document, changedAt: null })],
  catalogue: [],
  // The device keeps the shopfront's basket and when the shop was last saved as a file.
  session: [(document) => ({ ...document, basket: [], savedAt: null })],
  orders: [],
};

const headSchema = z.looseObject({ version: z.int().min(1) });

/**
 * A document of any earlier version as one of the present version. What is no document, or is from a
 * later program, comes back as it is, for its schema to refuse.
 */
export const upToDate = (kind: DocumentKind, value: unknown): unknown => {
  const head = headSchema.safeParse(value);
  if (!head.success || head.data.version >= VERSIONS[kind]) return value;
  const { version, ...fields } = head.data;
  const steps = MIGRATIONS[kind].slice(version - 1);
  return { ...steps.reduce((document, step) => step(document), fields), version: VERSIONS[kind] };
};
