import { z } from 'zod';
import { bookUpToDate, postalListUpToDate, rateTablesUpToDate } from '../../../core/formats/version-1.ts';

/** The kinds of document kept on this device, and the version of each that this program writes. */
export const VERSIONS = { draft: 5, catalogue: 3, session: 2, orders: 1 } as const;
export type DocumentKind = keyof typeof VERSIONS;

type Fields = Record<string, unknown>;
type Migration = (document: Fields) => Fields;

const withIds = z.looseObject({ id: z.string() });
const groupsAndWhatTheyName = z.looseObject({
  zones: z.array(withIds),
  services: z.array(withIds),
  groups: z.array(
    z.looseObject({
      shipping: z.union([z.string(), z.array(z.string())]),
      onlyZones: z.array(z.string()).optional(),
      neverZones: z.array(z.string()).optional(),
    }),
  ),
});

/** A book whose handling groups name only zones and services that are there. */
const withoutGone = (value: unknown): unknown => {
  const read = groupsAndWhatTheyName.safeParse(value);
  if (!read.success) return value;
  const { zones, services, groups } = read.data;
  const there = (ids: readonly string[], list: readonly { id: string }[]): string[] =>
    ids.filter((id) => list.some((one) => one.id === id));
  return {
    ...read.data,
    groups: groups.map((group) => ({
      ...group,
      ...(Array.isArray(group.shipping) ? { shipping: there(group.shipping, services) } : {}),
      ...(group.onlyZones ? { onlyZones: there(group.onlyZones, zones) } : {}),
      ...(group.neverZones ? { neverZones: there(group.neverZones, zones) } : {}),
    })),
  };
};

/** The step from each version to the next: the first is from version 1. */
const MIGRATIONS: Record<DocumentKind, readonly Migration[]> = {
  draft: [
    // The draft says when it was last changed.
    (document) => ({ ...document, changedAt: null }),
    // A zone or service that went stayed named in the handling groups; now such a name is refused.
    (document) => ({ ...document, book: withoutGone(document.book) }),
    // Names of the book's parts changed, and with them where the steps of undo point.
    (document) => ({ ...document, book: bookUpToDate(document.book), past: [], future: [] }),
    // The draft names the document of its goods.
    (document) => ({ ...document, goods: 'emporos/catalogue' }),
  ],
  // The long lists of the book, which are written as seldom as the goods, are kept with them.
  catalogue: [
    (document) => ({ ...document, rateTables: [], postalList: [] }),
    // Ranges of codes are written with “to”.
    (document) => ({
      ...document,
      rateTables: rateTablesUpToDate(document.rateTables),
      postalList: postalListUpToDate(document.postalList),
    }),
  ],
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
