import { z } from 'zod';
import { bookUpToDate, postalListUpToDate, rateTablesUpToDate } from '../../../core/formats/version-1.ts';

/** The kinds of document kept on this device, and the version of each that this program writes. */
export const VERSIONS = { draft: 6, catalogue: 3, session: 3, orders: 1 } as const;
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

/** Fields by new names, where they have the old. */
const renamed = (document: Fields, names: Readonly<Record<string, string>>): Fields =>
  Object.fromEntries(Object.entries(document).map(([name, value]) => [names[name] ?? name, value]));

const changesOfParts = z.array(
  z.looseObject({
    patches: z.array(z.looseObject({ path: z.array(z.unknown()) })),
    inverse: z.array(z.looseObject({ path: z.array(z.unknown()) })),
  }),
);

/** Steps of undo whose changes lead into the test orders by their new name. */
const stepsToTestOrders = (value: unknown): unknown => {
  const steps = changesOfParts.safeParse(value);
  if (!steps.success) return value;
  const lead = <T extends { path: unknown[] }>(change: T): T => ({
    ...change,
    path: change.path.map((part, at) => (at === 0 && part === 'trials' ? 'testOrders' : part)),
  });
  return steps.data.map((step) => ({
    ...step,
    patches: step.patches.map(lead),
    inverse: step.inverse.map(lead),
  }));
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
    // Test orders are called so.
    (document) => ({
      ...renamed(document, { trials: 'testOrders' }),
      past: stepsToTestOrders(document.past),
      future: stepsToTestOrders(document.future),
    }),
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
  session: [
    (document) => ({ ...document, basket: [], savedAt: null }),
    (document) => renamed(document, { trialId: 'testOrderId' }),
  ],
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
