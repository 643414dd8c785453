import type { DutyRate, DutyRules } from '../../../core/model/tax.ts';
import type { Workbook } from '../workbook.ts';
import { setFields } from './set-fields.ts';

/** Changes to the import charges. Each changes the workbook it is given, which is a draft of the state. */
export const dutyEdits = {
  setDuties: ({ book }: Workbook, { changes }: { changes: Partial<Omit<DutyRules, 'rates'>> }): void =>
    setFields(book.duties, changes),

  addDutyRate: ({ book }: Workbook, { rate }: { rate: DutyRate }): void => void book.duties.rates.push(rate),

  /** Some fields of a rate of duty; a field given as undefined is taken out. */
  setDutyRate: ({ book }: Workbook, { at, changes }: { at: number; changes: Partial<DutyRate> }): void =>
    setFields(book.duties.rates[at], changes),

  removeDutyRate: ({ book }: Workbook, { at }: { at: number }): void => void book.duties.rates.splice(at, 1),
};
