import { t } from '../core/translate/translate.ts';
import { audit } from '../core/audit/audit.ts';
import { readOrders } from '../core/formats/orders.ts';
import { readCatalogue, readBook, readTestOrders } from '../core/formats/read.ts';
import { localDateSchema } from '../core/model/unit.ts';
import { checkTestOrder } from '../core/check/check-test-order.ts';
import { compile } from '../core/quote/compile.ts';
import { replay } from '../core/replay/replay.ts';
import { answersAtOnce } from '../carriers/stand-ins.ts';
import { locatedSentence } from '../core/words/fault-sentence.ts';
import { choiceNames, outcomeSentence } from '../core/check/outcome-sentence.ts';
import { CannotRun, readFileWith, readShop } from './files.ts';
import type { Write } from './quote-command.ts';
import { localMoment } from '../core/time/local-moment.ts';

export interface CheckOptions {
  book: string;
  catalogue: string;
  'test-orders': string;
  'stand-ins'?: boolean;
}

/** Runs every test order; writes each, kept or broken and why, as JSON. Exit: 0 all are kept, 1 one is broken. */
export const checkCommand = (options: CheckOptions, write: Write): number => {
  const shop = readShop(options.book, options.catalogue, options['stand-ins']);
  const testOrders = readFileWith(options['test-orders'], readTestOrders);
  const names = choiceNames(shop.book);
  const checked = testOrders.map((testOrder) => {
    const { id, name, kept, outcomes, faults } = checkTestOrder(shop, testOrder).result;
    const broken = outcomes.filter(({ came }) => came !== null);
    const why = [
      ...faults.map(locatedSentence),
      ...broken.map((outcome) => outcomeSentence(outcome, names, shop.display)),
    ];
    return { id, name, kept, why };
  });
  write(`${JSON.stringify(checked, null, 2)}\n`);
  return checked.every(({ kept }) => kept) ? 0 : 1;
};

export interface ReplayOptions {
  book: string;
  catalogue: string;
  orders: string;
  against?: string;
  'stand-ins'?: boolean;
}

/** Puts past orders through a book; writes sums and distribution as JSON. Exit: 0, or 1 where an order is unusable. */
export const replayCommand = (options: ReplayOptions, write: Write): number => {
  const { book, catalogue, orders, against, 'stand-ins': standIns } = options;
  const shop = readShop(book, catalogue, standIns);
  const past = readFileWith(orders, readOrders);
  const other = against === undefined ? null : readFileWith(against, readBook);
  const otherShop =
    other &&
    compile(
      other,
      readFileWith(catalogue, (value) => readCatalogue(value, other)),
      standIns ? answersAtOnce : null,
    );
  const result = replay(shop, otherShop, past);
  write(`${JSON.stringify(result, null, 2)}\n`);
  return result.unusable > 0 ? 1 : 0;
};

export interface AuditOptions {
  book: string;
  catalogue: string;
  on?: string;
  'stand-ins'?: boolean;
}

/** Every fault of a book as JSON, judged from a day on. Exit: 0, or 1 where one stops customers or leaks money. */
export const auditCommand = (options: AuditOptions, write: Write): number => {
  const { book, catalogue, on } = options;
  const shop = readShop(book, catalogue, options['stand-ins']);
  const day = on ?? localMoment(new Date().toISOString(), shop.book.store.timeZone).date;
  if (!localDateSchema.safeParse(day).success) throw new CannotRun(t('--on is a date, such as 2026-03-31.'));
  const problems = audit(shop, day);
  write(`${JSON.stringify(problems, null, 2)}\n`);
  return problems.some(({ gravity }) => gravity === 'stops' || gravity === 'leaks') ? 1 : 0;
};
