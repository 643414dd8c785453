import type { DutyRate, DutyRules } from '../model/tax.ts';
import { multiplyDivide, pointsOf } from '../price/rounding.ts';
import type { BasketLine } from '../basket/basket.ts';

/** Duty rules ready to be asked: each country's rates, the longest HS prefix first. */
export interface DutyIndex {
  rules: DutyRules;
  home: ReadonlySet<string>;
  byCountry: ReadonlyMap<string, readonly DutyRate[]>;
  /** Whether the rules say anything at all. */
  applies: boolean;
}

const prefixLength = ({ hsPrefix = '' }: DutyRate): number => hsPrefix.length;

/** An index of the duty rules by country. */
export const indexDuties = (rules: DutyRules): DutyIndex => {
  const byCountry = new Map<string, DutyRate[]>();
  for (const rate of rules.rates) byCountry.set(rate.country, [...(byCountry.get(rate.country) ?? []), rate]);
  for (const rates of byCountry.values()) rates.sort((a, b) => prefixLength(b) - prefixLength(a));
  return {
    rules,
    home: new Set(rules.homeCountries),
    byCountry,
    applies: rules.rates.length > 0 || rules.terms !== 'DAP' || rules.show !== 'nothing',
  };
};

/** Whether an order to a country crosses a border at which charges may fall due. */
export const isAbroad = ({ home }: DutyIndex, country: string): boolean => !home.has(country);

/** A line that travels and what its goods are worth once the order's discount is shared out by value. */
export interface ValuedLine {
  line: BasketLine;
  value: number;
}

/**
 * The physical lines with their values: price × quantity, less the line's share of the discount, which is
 * shared among all lines by value and rounded line by line. Minor units.
 */
export const valuedLines = (
  lines: readonly BasketLine[],
  physical: readonly BasketLine[],
  discount: number,
): ValuedLine[] => {
  const gross = ({ good, quantity }: BasketLine): number => good.price * quantity;
  const whole = lines.reduce((sum, line) => sum + gross(line), 0);
  const off = Math.min(discount, whole);
  return physical.map((line) => {
    const value = gross(line);
    return { line, value: whole === 0 ? 0 : value - multiplyDivide(off, value, whole) };
  });
};

/** What falls due in minor units, or the lines that no rate covers. */
export type ImportCharges =
  { ok: true; duty: number; importTax: number } | { ok: false; uncovered: readonly BasketLine[] };

const digitsOf = (code: string | undefined): string => (code ?? '').replace(/\D/g, '');

const rateFor = (rates: readonly DutyRate[], { good }: BasketLine): DutyRate | undefined => {
  const code = digitsOf(good.hsCode);
  return rates.find(({ hsPrefix = '' }) => code.startsWith(hsPrefix));
};

/**
 * Duty and import tax on an order: for each physical line the country's rate with the longest HS prefix that
 * its code begins with; nothing where all goods together are worth less than the rate's `freeBelow`. Value,
 * duty, then import tax on both, each rounded in that order. `charge` is what sending costs, before tax.
 */
export const importCharges = (
  { byCountry }: DutyIndex,
  country: string,
  lines: readonly ValuedLine[],
  charge: number,
): ImportCharges => {
  const rates = byCountry.get(country) ?? [];
  const total = lines.reduce((sum, { value }) => sum + value, 0);
  const uncovered: BasketLine[] = [];
  let [duty, importTax] = [0, 0];
  for (const { line, value } of lines) {
    const rate = rateFor(rates, line);
    if (!rate) {
      uncovered.push(line);
      continue;
    }
    if (total < rate.freeBelow) continue;
    const withShipping = rate.valueBasis === 'goods-and-shipping' && total > 0;
    const customsValue = value + (withShipping ? multiplyDivide(charge, value, total) : 0);
    const due = pointsOf(customsValue, rate.duty);
    duty += due;
    importTax += pointsOf(customsValue + due, rate.importTax);
  }
  return uncovered.length > 0 ? { ok: false, uncovered } : { ok: true, duty, importTax };
};
