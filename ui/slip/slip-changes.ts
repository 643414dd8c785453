import type { Choice } from '../../core/model/quote.ts';
import type { SlipQuote } from '../state/selectors.ts';

/** What a change did to the choices of a slip. */
export interface SlipChanges {
  /** The charges before, by choice. */
  before: ReadonlyMap<string, number>;
  gained: ReadonlySet<string>;
  lost: Choice[];
}

const NOTHING: SlipChanges = { before: new Map(), gained: new Set(), lost: [] };

/** The difference between two slips of one trial; nothing where there is no earlier one to compare with. */
export const slipChanges = (before: SlipQuote | null, now: SlipQuote | null): SlipChanges => {
  if (!before?.ok || !now?.ok) return NOTHING;
  const had = new Map(before.quote.choices.map((choice) => [choice.id, choice.charge]));
  const has = new Set(now.quote.choices.map((choice) => choice.id));
  return {
    before: had,
    gained: new Set([...has].filter((id) => !had.has(id))),
    lost: before.quote.choices.filter((choice) => !has.has(choice.id)),
  };
};
