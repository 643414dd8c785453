import type { Refusal } from '../basket/limits.ts';
import type { Choice, ChoiceParts, Source, WithheldCode } from '../model/quote.ts';
import type { DisplayFormat } from '../words/figure.ts';
import { WithheldChoice } from './withheld.ts';

/** A way in which an order may get there: by a rate, a carrier's service, a method of an area, a pickup point. */
export interface Way {
  id: string;
  kind: Choice['kind'];
  of: ChoiceParts;
  name: string;
  /** Told to customers with the choice. */
  note?: string | undefined;
  /** What the carrier takes from the merchant, where that is known; minor units. */
  cost?: number;
  /** The country that decides how it can be paid where no destination is known; the first location's if left out. */
  country?: string;
  /** The rule at fault where a refusal names none. */
  source: Source;
  /** The subtotal from which it is free, for the hint of how much more it takes; minor units. */
  freeFrom?: number | undefined;
  /** The reasons that a customer is told; every one in the merchant's own words, where there are some. */
  told: Told;
}

/** Some reasons by their codes, or every reason. */
export type Told =
  { which: 'some'; codes: readonly WithheldCode[] } | { which: 'every'; message: string | undefined };

/** No reason is told. */
export const NONE_TOLD: Told = { which: 'some', codes: [] };

/** What the whole quote has to remark on because of one way. */
export interface Remarks {
  /** The name of a service that is charged by its fallback. */
  fallback?: string;
  /** The account whose sandbox prices are charged. */
  sandbox?: string;
  /** The country in which import charges are paid on arrival. */
  dutiable?: string;
}

/** A way that has a charge: a choice, or one for each of two terms of import, of which DDP may be withheld. */
export interface Priced {
  choices: readonly Choice[];
  withheld: WithheldChoice | null;
  remarks: Remarks | null;
}

/** What becomes of one way: its charge, or why it is not offered. */
export type Outcome = Priced | WithheldChoice;

/** Whether a way has a charge. */
export const isPriced = (outcome: Outcome): outcome is Priced => !(outcome instanceof WithheldChoice);

/** A way that is not offered, and why. */
export const withhold = (
  { id, kind, name, source, told }: Omit<Way, 'of'>,
  { code, say, from = source, message }: Refusal,
  display: DisplayFormat,
): WithheldChoice => {
  const tell = told.which === 'every' || told.codes.includes(code);
  const words = told.which === 'every' ? (message ?? told.message) : undefined;
  return new WithheldChoice(id, kind, name, code, from, say, display, tell, words);
};

/** A way that is offered as one choice. */
export const offerAs = (choice: Choice): Priced => ({ choices: [choice], withheld: null, remarks: null });

/** The same with more to remark on. */
export const remarking = (priced: Priced, more: Remarks): Priced => ({
  ...priced,
  remarks: { ...priced.remarks, ...more },
});
