import type { HandlingGroup } from '../model/good.ts';
import type { Choice } from '../model/quote.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import { lets } from './groups.ts';
import { multiplyDivide } from '../price/rounding.ts';
import type { CompiledBook } from './compile.ts';
import { quote } from './quote.ts';

/** A part of a basket that one choice takes, with what it is charged. */
export interface SplitPart {
  request: QuoteRequest;
  choice: Choice;
}

/** A basket in the fewest parts that can be had, and what they come to together, in minor units. */
export interface Split {
  parts: SplitPart[];
  charge: number;
}

/** Products that travel alike: of the same handling groups, or of none. */
type LineSet = readonly Line[];

/** Beyond so many sets the search would take too long; no shop's basket is known to need it. */
const MOST_SETS = 11;

const setsOf = (
  { goods }: CompiledBook,
  lines: readonly Line[],
): { sets: LineSet[]; nonShippable: Line[] } => {
  const sets = new Map<string, Line[]>();
  const nonShippable: Line[] = [];
  for (const line of lines) {
    const good = goods.get(line.sku);
    if ((line.fulfilment ?? good?.fulfilment) !== 'physical') {
      nonShippable.push(line);
      continue;
    }
    const groups = [...(line.groupIds ?? good?.groupIds ?? [])].sort().join();
    sets.set(groups, [...(sets.get(groups) ?? []), line]);
  }
  return { sets: [...sets.values()], nonShippable };
};

const valueOf = ({ goods }: CompiledBook, lines: readonly Line[]): number =>
  lines.reduce((sum, { sku, quantity, price }) => sum + (price ?? goods.get(sku)?.price ?? 0) * quantity, 0);

/** The order of one part: its goods, and its share of the discount by value. */
const requestOf = (compiled: CompiledBook, request: QuoteRequest, lines: Line[]): QuoteRequest => {
  const { discount, ...rest } = request;
  if (discount === undefined) return { ...rest, lines };
  const whole = valueOf(compiled, request.lines);
  const share = whole === 0 ? 0 : multiplyDivide(discount, valueOf(compiled, lines), whole);
  return { ...rest, lines, discount: share };
};

/** What may be taken for the order of a part. */
export type Offer = (request: QuoteRequest) => readonly Choice[];

/** What a book offers by itself: without what goes by a carrier that was not asked, which says nothing of its cost. */
export const offeredUnasked =
  (compiled: CompiledBook): Offer =>
  (request) =>
    quote(compiled, request).choices.filter(
      ({ kind, of }) =>
        kind !== 'shipping' ||
        compiled.ask !== null ||
        compiled.book.rates.find((rate) => rate.id === of.rateId)?.price.kind !== 'carrier',
    );

/** The cheapest choice; of equals the one that is listed first. */
const cheapest = (choices: readonly Choice[]): Choice | null =>
  choices.reduce<Choice | null>(
    (best, choice) => (best === null || choice.charge < best.charge ? choice : best),
    null,
  );

/** Whether a collection of sets may go together at all, as far as the groups say: by one service, area or point. */
const mayGo = (
  { groups, services, areas, pickups, goods }: CompiledBook,
  sets: readonly LineSet[],
): ((part: number) => boolean) => {
  const groupsOf = ([line]: LineSet): HandlingGroup[] =>
    (line?.groupIds ?? goods.get(line?.sku ?? '')?.groupIds ?? []).flatMap((id) => groups.get(id) ?? []);
  const maskOf = (by: 'shipping' | 'delivery' | 'pickup', id: string): number =>
    sets.reduce(
      (mask, set, at) => (groupsOf(set).every((group) => lets(group[by], id)) ? mask | (1 << at) : mask),
      0,
    );
  const masks = [
    ...services.map(({ service }) => maskOf('shipping', service.id)),
    ...areas.map(({ area }) => maskOf('delivery', area.id)),
    ...pickups.map(({ point }) => maskOf('pickup', point.id)),
  ];
  const known = [...new Set(masks)];
  return (part) => known.some((mask) => (part & ~mask) === 0);
};

interface Plan {
  parts: number;
  charge: number;
  /** The sets of the last part, and of all before it. */
  last: number;
}

const isBetter = (a: Plan, b: Plan | undefined): boolean =>
  !b || a.parts < b.parts || (a.parts === b.parts && a.charge < b.charge);

/** The best plan for every collection of sets: each is cut into a part that holds its first set, and what remains. */
const plansFor = (charges: readonly (number | null)[]): (Plan | undefined)[] => {
  const plans: (Plan | undefined)[] = [{ parts: 0, charge: 0, last: 0 }];
  for (let whole = 1; whole < charges.length; whole += 1) {
    const first = whole & -whole;
    for (let part = whole; part > 0; part = (part - 1) & whole) {
      const charge = charges[part] ?? null;
      const rest = plans[whole & ~part];
      if ((part & first) === 0 || charge === null || !rest) continue;
      const plan = { parts: rest.parts + 1, charge: rest.charge + charge, last: part };
      if (isBetter(plan, plans[whole])) plans[whole] = plan;
    }
  }
  return plans;
};

/**
 * The fewest parts in which a basket can be had where no one choice takes all of it; of equally few, those that
 * cost least. Goods of the same handling groups stay together; what needs no sending goes with the first part. An exact
 * search over all ways to part the groups. Null where some goods cannot be had at all, or nothing has to be parted.
 * `offer` says what may be taken for a part.
 */
export const splitBasket = (
  compiled: CompiledBook,
  request: QuoteRequest,
  offer: Offer = offeredUnasked(compiled),
): Split | null => {
  const { sets, nonShippable } = setsOf(compiled, request.lines);
  if (sets.length < 2 || sets.length > MOST_SETS) return null;
  const linesOf = (part: number): Line[] => sets.flatMap((set, at) => ((part >> at) & 1 ? [...set] : []));
  const goes = mayGo(compiled, sets);
  const found = Array.from({ length: 2 ** sets.length }, (_, part) =>
    part === 0 || !goes(part) ? null : cheapest(offer(requestOf(compiled, request, linesOf(part)))),
  );
  const plans = plansFor(found.map((choice) => choice?.charge ?? null));
  const whole = found.length - 1;
  const best = plans[whole];
  if (!best || best.parts < 2) return null;
  const parts: number[] = [];
  for (let left = whole; left > 0; left &= ~(parts.at(-1) ?? left)) parts.push(plans[left]?.last ?? left);
  const chosen = parts.map((part, at): SplitPart | null => {
    const lines = at === 0 ? [...linesOf(part), ...nonShippable] : linesOf(part);
    const asked = requestOf(compiled, request, lines);
    const choice = cheapest(offer(asked));
    return choice && { request: asked, choice };
  });
  const sound = chosen.filter((part) => part !== null);
  return sound.length === parts.length
    ? { parts: sound, charge: sound.reduce((sum, { choice }) => sum + choice.charge, 0) }
    : null;
};
