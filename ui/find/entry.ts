import type { RuleLink } from '../preview/rule-link.ts';

/** An address of the program. */
export interface FoundLink {
  pathname: RuleLink['pathname'] | '/today' | '/check' | '/begin' | '/guide' | '/shop';
  params?: Record<string, string | undefined>;
}

/** Something that can be found by name, and where it leads. */
export interface Entry {
  /** Of its own among all entries, and the same from search to search. */
  id: string;
  /** What it is, in one word: 'Zone'. */
  kind: string;
  name: string;
  /** What tells it from others of its name. */
  note?: string;
  /** Other words for it. */
  words?: readonly string[];
  leadsTo: { link: FoundLink } | { testOrderId: string };
}
