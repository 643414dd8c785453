import type { Choice } from '../model/quote.ts';
import { type WithheldChoice } from './withheld.ts';

/** What a quote gathers while it goes through the book: what is offered, what is not, and what is to be noticed. */
export class Answers {
  readonly choices: Choice[] = [];
  readonly withheld: WithheldChoice[] = [];
  /** The services charged by a fallback. */
  readonly fallbacks: string[] = [];
  /** The accounts whose sandbox prices are among the charges. */
  readonly sandboxes = new Set<string>();
  /** The country in which import charges are paid on arrival. */
  dutiable: string | null = null;
}
