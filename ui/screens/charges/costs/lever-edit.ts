import { withLever, type Lever, type LeverValue } from '../../../../core/costs/lever.ts';
import type { Book } from '../../../../core/model/book.ts';
import type { Rate } from '../../../../core/model/rate.ts';
import { edit } from '../../../state/draft.ts';

type Edit = ReturnType<typeof edit>;

/** The fields of a rate that a lever may change; one that is gone is undefined. */
const changedFields = ({ price, freeFrom, bounds, limits }: Rate): Partial<Rate> =>
  ({ price, freeFrom, bounds, limits }) as Partial<Rate>;

/** The change to the draft that a lever at a value is; null where it is none of the book's, as what carriers ask. */
export const leverEdit = (book: Book, lever: Lever, value: LeverValue, label: string): Edit | null => {
  switch (lever.kind) {
    case 'carrier-increase':
      return null;
    case 'raise-percent':
    case 'raise-amount': {
      const by =
        lever.kind === 'raise-percent'
          ? ({ kind: 'percent', points: value ?? 0 } as const)
          : ({ kind: 'amount', amount: value ?? 0 } as const);
      return edit('raiseRates', { ids: [...lever.rateIds], raise: { by, rounding: null } }, label);
    }
    case 'adjustment-from': {
      const changed = withLever(book, lever, value).adjustments.find(({ id }) => id === lever.adjustmentId);
      return changed
        ? edit('setAdjustment', { id: changed.id, changes: { when: changed.when } }, label)
        : null;
    }
    default: {
      const changed = withLever(book, lever, value).rates.find(({ id }) => id === lever.rateId);
      return changed ? edit('setRate', { id: changed.id, changes: changedFields(changed) }, label) : null;
    }
  }
};
