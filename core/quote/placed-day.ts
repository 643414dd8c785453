import type { QuoteRequest } from '../model/request.ts';
import type { DayNumber } from '../time/calendar.ts';
import type { CompiledBook } from './compile.ts';

/** The day, in the store's time zone, on which an order was placed. */
export const placedDay = ({
  compiled,
  request,
}: {
  compiled: Pick<CompiledBook, 'clock'>;
  request: Pick<QuoteRequest, 'placedAt'>;
}): DayNumber => compiled.clock.local(Date.parse(request.placedAt)).day;
