import { importCharges, isAbroad, valuedLines, type ImportCharges } from '../duty/import-charges.ts';
import type { Refusal } from '../basket/limits.ts';
import type { Choice } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { OrderContext } from './order-context.ts';
import { offerAs, withhold, type Outcome, type Way } from './outcome.ts';
import { paymentsFor } from './payments.ts';

type Terms = DutyRules['terms'];

const NOTHING_DUE = { duty: 0, importTax: 0 };

/** The choice with the import charges that the customer pays on arrival. */
const withDap = (choice: Choice, { show }: DutyRules, charges: ImportCharges): Choice => ({
  ...choice,
  duties: {
    terms: 'DAP',
    show: charges.ok || show === 'nothing' ? show : 'mention',
    duty: charges.ok ? charges.duty : 0,
    importTax: charges.ok ? charges.importTax : 0,
    clearance: 0,
  },
});

/** The choice with the import charges in its total, and the clearance fee where anything is due. */
const withDdp = (
  order: OrderContext,
  way: Way,
  choice: Choice,
  { duty, importTax }: Extract<ImportCharges, { ok: true }>,
): Choice => {
  const { show, clearanceFee } = order.compiled.duties.rules;
  const clearance = duty + importTax > 0 ? clearanceFee : 0;
  const total = choice.total + duty + importTax + clearance;
  return {
    ...choice,
    duties: { terms: 'DDP', show, duty, importTax, clearance },
    total,
    payments: paymentsFor(order, way, total),
  };
};

const unknownDuty = (country: string, { uncovered }: Extract<ImportCharges, { ok: false }>): Refusal => ({
  code: 'duty-unknown',
  say: { code: 'duty-unknown', country, goods: uncovered.map(({ good }) => good.name) },
  from: { kind: 'duty', id: country },
});

const chargesOn = (
  { compiled, basket, request }: OrderContext,
  country: string,
  charge: number,
): ImportCharges => {
  const lines = valuedLines(basket.lines, basket.physical, request.discount ?? 0);
  return lines.length === 0
    ? { ok: true, ...NOTHING_DUE }
    : importCharges(compiled.duties, country, lines, charge);
};

/**
 * What becomes of a way's choice once import charges are looked at, where it crosses a border: DAP, DDP, or one of
 * each (with `:DAP` and `:DDP` after the id). A line that no rate covers withholds DDP, and makes of a DAP amount a
 * mention. `own` are the terms that an adjustment set.
 */
export const offerByTerms = (
  order: OrderContext,
  way: Way,
  choice: Choice,
  own: Terms | undefined,
): Outcome => {
  const { duties, display } = order.compiled;
  const country = order.place?.country;
  if (country === undefined || !isAbroad(duties, country) || !(duties.applies || own)) return offerAs(choice);
  const terms = own ?? duties.rules.terms;
  const charges = chargesOn(order, country, choice.charge);
  const idOf = (of: 'DAP' | 'DDP'): string => (terms === 'both' ? `${choice.id}:${of}` : choice.id);
  const named = (of: 'DAP' | 'DDP'): Pick<Choice, 'id' | 'of'> => ({
    id: idOf(of),
    of: terms === 'both' ? { ...choice.of, terms: of } : choice.of,
  });
  const dap = terms === 'DDP' ? [] : [{ ...withDap(choice, duties.rules, charges), ...named('DAP') }];
  const remarks = terms !== 'DDP' && duties.rules.show !== 'nothing' ? { dutiable: country } : null;
  if (terms === 'DAP') return { choices: dap, withheld: null, remarks };
  if (charges.ok) {
    const ddp = { ...withDdp(order, way, choice, charges), ...named('DDP') };
    return { choices: [...dap, ddp], withheld: null, remarks };
  }
  const withheld = withhold({ ...way, id: idOf('DDP') }, unknownDuty(country, charges), display);
  return { choices: dap, withheld, remarks };
};
