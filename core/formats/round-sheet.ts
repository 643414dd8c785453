import { ROUND_HEADINGS, type RoundHeading } from './round-files.ts';
import { numbers, words, type ColumnAbout, type SheetColumn } from './sheet-column.ts';

const ROUND: Record<RoundHeading, ColumnAbout> = {
  stop: numbers('The place in the round.'),
  order: words('The order’s number.'),
  recipient: words('Who gets it.'),
  address: words('The lines of the address.'),
  'postal code': words('The postal code.'),
  town: words('The town.'),
  from: words('The time that was chosen: from.'),
  to: words('The time that was chosen: to.'),
  latitude: numbers('In degrees.'),
  longitude: numbers('In degrees.'),
  'metres from the last': numbers('As the crow flies, from the stop before.'),
};

/** The columns of a delivery round. */
export const roundSheet = (): SheetColumn[] =>
  ROUND_HEADINGS.map((heading) => ({ heading, ...ROUND[heading] }));
