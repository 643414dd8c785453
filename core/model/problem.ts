import type { QuoteRequest } from './request.ts';

/** A fault that the audit found. */
export interface Problem {
  code: string;
  /** A customer cannot buy · money is lost · surprising · the catalogue lacks something. */
  gravity: 'stops' | 'leaks' | 'odd' | 'data';
  text: string;
  /** The rules to open, never empty; parts of a rule are appended to its id after a colon. */
  where: { kind: string; id: string }[];
  /** An order that shows it. */
  example?: QuoteRequest;
  /** For whom it holds. */
  reach?: string;
  /** The products that it keeps from being bought, and the places where it does, in words. */
  goods?: string[];
  places?: string[];
  /** Only orders beyond any likely size, of thousands of units, show it. */
  isVast?: true;
}
