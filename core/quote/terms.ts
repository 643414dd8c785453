import { importCharges, isAbroad, valuedLines, type ImportCharges } from '../duty/import-charges.ts';
import type { Choice } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import type { Refusal } from '../price/limits.ts';
import type { Answers } from './answers.ts';
import type { OrderContext } from './order-context.ts';

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
  choice: Choice,
  { show, clearanceFee }: DutyRules,
  { duty, importTax }: Extract<ImportCharges, { ok: true }>,
): Choice => {
  const clearance = duty + importTax > 0 ? clearanceFee : 0;
  return {
    ...choice,
    duties: { terms: 'DDP', show, duty, importTax, clearance },
    total: choice.total + duty + importTax + clearance,
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
 * A choice put among the answers, with the import charges where it crosses a border: DAP, DDP, or one of each
 * (with `:DAP` and `:DDP` after the id). A line that no rate covers withholds DDP, by `withholdAs`, and makes of a
 * DAP amount a mention.
 */
export const addByTerms = (
  asked: OrderContext,
  choice: Choice,
  own: Terms | undefined,
  answers: Answers,
  withholdAs: (id: string, refusal: Refusal) => void,
): void => {
  const { duties } = asked.compiled;
  const country = asked.reach.place?.country;
  if (country === undefined || !isAbroad(duties, country) || !(duties.applies || own)) {
    answers.choices.push(choice);
    return;
  }
  const terms = own ?? duties.rules.terms;
  const charges = chargesOn(asked, country, choice.charge);
  const idOf = (of: 'DAP' | 'DDP'): string => (terms === 'both' ? `${choice.id}:${of}` : choice.id);
  const named = (of: 'DAP' | 'DDP'): Pick<Choice, 'id' | 'of'> => ({
    id: idOf(of),
    of: terms === 'both' ? { ...choice.of, terms: of } : choice.of,
  });
  if (terms !== 'DDP') {
    answers.choices.push({ ...withDap(choice, duties.rules, charges), ...named('DAP') });
    if (duties.rules.show !== 'nothing') answers.dutiable = country;
  }
  if (terms === 'DAP') return;
  if (charges.ok) answers.choices.push({ ...withDdp(choice, duties.rules, charges), ...named('DDP') });
  else withholdAs(idOf('DDP'), unknownDuty(country, charges));
};
