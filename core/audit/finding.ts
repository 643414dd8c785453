import type { QuoteRequest } from '../model/request.ts';

export type Gravity = 'stops' | 'leaks' | 'odd' | 'data';

/** A rule, by its kind and id; a part of it is appended to the id after a colon. */
export interface RuleRef {
  kind:
    | 'rate'
    | 'service'
    | 'zone'
    | 'table'
    | 'adjustment'
    | 'group'
    | 'location'
    | 'good'
    | 'store'
    | 'postal'
    | 'box'
    | 'carrier'
    | 'duty'
    | 'area'
    | 'pickup';
  id: string;
}

/** A fault that the audit found, as a code and figures; `problem-sentence.ts` has the words. */
export interface Finding {
  code: FindingCode;
  where: readonly [RuleRef, ...RuleRef[]];
  detail: Readonly<Record<string, string | number>>;
  /** An order that shows it. */
  example?: QuoteRequest;
  /** For whom it holds, in a few words. */
  reach?: string;
  /** Its gravity where that is not its code's: what the catalogue lacks may stop orders. */
  gravity?: Gravity;
  /** The products that it keeps from being bought, and the places where, in words. */
  goods?: readonly string[];
  places?: readonly string[];
  /** Whether only orders beyond any likely size show it. */
  isVast?: boolean;
}

/** Every code with its gravity; codes are stable. */
export const GRAVITIES = {
  'no-zone': 'stops',
  'postal-not-served': 'stops',
  'zone-without-rate': 'stops',
  'goods-not-sent': 'stops',
  'group-not-sent': 'stops',
  'measure-gap': 'stops',
  'withheld-by-adjustment': 'stops',
  'no-choice': 'stops',
  'only-in-parts': 'stops',
  'carrier-serves-nothing': 'stops',
  'free-price': 'leaks',
  'free-fallback': 'leaks',
  'free-by-adjustment': 'leaks',
  'free-by-rounding': 'leaks',
  'below-handling': 'leaks',
  'always-free': 'leaks',
  'discount-meets-free': 'leaks',
  'not-settled': 'odd',
  'price-falls': 'odd',
  'step-never-acts': 'odd',
  'row-never-acts': 'odd',
  'rows-overlap': 'odd',
  'table-gap': 'odd',
  'zone-never-decides': 'odd',
  'entry-never-decides': 'odd',
  'zones-contest': 'odd',
  'zone-off': 'odd',
  'wide-pattern': 'odd',
  'adjustment-never-acts': 'odd',
  'minimum-above-free': 'odd',
  'minimum-decides': 'odd',
  'maximum-below-first': 'odd',
  'bounds-contradict': 'odd',
  'limits-contradict': 'odd',
  'service-without-rate': 'odd',
  'zone-not-sold': 'odd',
  'rows-elsewhere': 'odd',
  'free-out-of-reach': 'odd',
  'takes-no-good': 'odd',
  'no-fallback': 'odd',
  'fallback-below-usual': 'odd',
  'sandbox-account': 'odd',
  'room-above-weight': 'odd',
  'never-in-time': 'odd',
  'areas-contest': 'odd',
  'area-covers-nothing': 'odd',
  'location-without-point': 'odd',
  'weight-missing': 'data',
  'size-missing': 'data',
  'figures-improbable': 'data',
  'fits-no-box': 'data',
  'box-unused': 'data',
  'group-unused': 'data',
  'location-unused': 'data',
} as const satisfies Record<string, Gravity>;
export type FindingCode = keyof typeof GRAVITIES;
