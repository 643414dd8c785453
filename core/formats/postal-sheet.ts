import { POSTAL_COLUMNS, type PostalColumn } from './postal-list-csv.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

const POSTAL: Record<PostalColumn, ColumnAbout> = {
  pattern: words('A postal code or its beginning, such as B3H*; the most specific line decides.'),
  days: numbers('Working days on the way; empty where they are not known.'),
  served: words('yes or no.'),
  cashOnDelivery: words('yes where the customer can pay at the door.'),
  country: words('Two letters, such as CA.'),
};

/** The columns of a postal list. */
export const postalSheet = (): SheetColumn[] =>
  POSTAL_COLUMNS.map(({ column, name }) => ({ heading: name, ...POSTAL[column] }));
