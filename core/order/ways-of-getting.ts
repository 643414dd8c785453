import type { CompiledBook } from '../quote/compile.ts';

/** How a shop's customers get their orders at all: sent or brought to them, collected, either, or in no way. */
export interface WaysOfGetting {
  sent: boolean;
  collected: boolean;
}

/** The ways that are switched on anywhere; what is offered to one address is the quote's to say. */
export const waysOfGetting = ({
  book: { rates, areas, pickups },
}: Pick<CompiledBook, 'book'>): WaysOfGetting => ({
  sent: rates.some(({ active }) => active) || areas.some(({ active }) => active),
  collected: pickups.some(({ active }) => active),
});
