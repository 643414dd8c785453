import type { Refusal } from '../basket/limits.ts';
import type { Source } from '../model/quote.ts';
import type { Message } from '../words/message.ts';
import type { Entries } from './price-kind.ts';

/** One line of a working, in minor units. */
export const oneEntry = (change: number, from: Source, say: Message): Entries => ({
  ok: true,
  entries: [{ change, from, say }],
});

/** Nothing to add. */
export const NO_ENTRIES: Entries = { ok: true, entries: [] };

/** Why nothing can be said. */
export const refused = (refusal: Refusal): Entries => ({ ok: false, refusal });
