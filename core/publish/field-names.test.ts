import { bookSchema } from '../model/book.ts';
import { makeBook, makeCatalogue, makeYard } from '../testing/book.ts';
import type { ListName } from './changes.ts';
import { differences } from './differences.ts';
import { ENTRY_WORDS } from './entry-words.ts';
import { FIELD_NAMES, VALUE_NAMES } from './field-names.ts';

/** What of a Zod schema is needed to go through its fields. */
interface Definition {
  type: string;
  shape?: Record<string, Schema>;
  options?: Schema[];
  entries?: Record<string, string>;
  element?: Schema;
  innerType?: Schema;
  in?: Schema;
}
interface Schema {
  def: Definition;
}

/** Every field of a schema with the words that it may hold, by name. */
const fieldsOf = (schema: Schema, field: string, found: Map<string, Set<string>>): void => {
  const { shape, options = [], entries, element, innerType, in: inner } = schema.def;
  for (const [name, one] of Object.entries(shape ?? {})) {
    found.set(name, found.get(name) ?? new Set());
    fieldsOf(one, name, found);
  }
  for (const word of Object.values(entries ?? {})) found.get(field)?.add(word);
  for (const one of [...options, element, innerType, inner]) if (one) fieldsOf(one, field, found);
};

const LISTS = Object.keys(ENTRY_WORDS) as ListName[];
const FIELDS = new Map<string, Set<string>>();
/** What of the store is told field by field; the rest has sentences of its own. */
const OF_STORE = ['codeCheck', 'pause', 'packing', 'handling'] as const;
for (const field of OF_STORE) {
  FIELDS.set(field, new Set());
  fieldsOf(bookSchema.shape.store.shape[field] as unknown as Schema, field, FIELDS);
}
for (const list of LISTS) fieldsOf(bookSchema.shape[list] as unknown as Schema, list, FIELDS);

/** Fields whose values have sentences of their own, and the name that nobody reads. */
const TOLD_OTHERWISE = ['id', 'packing', 'preparation', 'covers', 'timing', 'price', 'hours', 'limits'];

test('every field of an entry has a name, so that no change is told in the words of the file', () => {
  expect(FIELDS.size).toBeGreaterThan(60);
  const nameless = [...FIELDS.keys()].filter((field) => !(field in FIELD_NAMES) && field !== 'id');
  expect(nameless).toEqual([]);
});

test('every word that such a field may hold has one too', () => {
  const words = [...FIELDS].filter(([field, held]) => held.size > 0 && !TOLD_OTHERWISE.includes(field));
  expect(words.length).toBeGreaterThan(5);
  const nameless = words.flatMap(([field, held]) =>
    [...held].filter((word) => !VALUE_NAMES[field]?.[word]).map((word) => `${field}: ${word}`),
  );
  expect(nameless).toEqual([]);
});

const said = (before: Parameters<typeof makeBook>[0], after: Parameters<typeof makeBook>[0]): string => {
  const catalogue = makeCatalogue();
  return differences({ book: makeBook(before), catalogue }, { book: makeBook(after), catalogue })
    .map(({ text }) => text)
    .join(' ');
};

test('the texts of the postal check are told by what they are', () => {
  const check = { active: true, label: '', served: 'Yes', notServed: 'No', noCash: '' };
  expect(
    said({ store: { codeCheck: check } }, { store: { codeCheck: { ...check, notServed: 'Sorry' } } }),
  ).toBe(
    'The store, postal check on the product page, message where you do not deliver: “No” becomes “Sorry”.',
  );
});

test('countries are told by name, and a name of small letters is a name', () => {
  expect(
    said(
      { locations: [makeYard({ name: 'yard', address: { country: 'KW' } })] },
      { locations: [makeYard({ name: 'barn', address: { country: 'CH', postalCode: '1003' } })] },
    ),
  ).toBe(
    'barn: name: “yard” becomes “barn”; address, country: Kuwait becomes Switzerland; address, postal code: none becomes “1003”.',
  );
});
