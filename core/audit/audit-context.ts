import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import type { Destination } from '../model/place.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { dayOf } from '../time/calendar.ts';
import { allMixes, probesOf, type Basket } from './baskets.ts';
import type { AuditMemory } from './memory.ts';
import { contextsOf, type Context } from './moments.ts';
import { farPoint } from './nearby-places.ts';
import { steadyTimes } from './steady-times.ts';

/** A context, with a text that tells it from others. */
export interface KeyedContext {
  context: Context;
  key: string;
}

/** Goods and a discount, with a text that tells them from others. */
export interface KeyedBasket {
  basket: Basket;
  key: string;
}

/** A shop made ready for its orders to be judged. */
export interface AuditContext {
  compiled: CompiledBook;
  /** The contexts that rates and some adjustments tell apart, the plainest first. */
  contextsFor: (adjustments: readonly Adjustment[]) => readonly KeyedContext[];
  probes: readonly Good[];
  /** Every mix of a catalogue that is small enough; null where it is not. */
  mixes: readonly KeyedBasket[] | null;
  /** A point that no area that is drawn holds, and that is too far for every pickup point with a greatest distance. */
  far: NonNullable<Destination['point']> | null;
  /** The same book without the rates that carriers price. */
  unasked: CompiledBook;
  /** The pickup points and methods of areas of which a time can be chosen on every day. */
  steady: ReadonlySet<string>;
  memory: AuditMemory;
}

const withoutCarriers = ({ book, goods, parts }: CompiledBook): CompiledBook => {
  const rates = book.rates.filter(({ price }) => price.kind !== 'carrier');
  return compile({ ...book, rates }, { goods: [...goods.values()] }, null, parts);
};

const keyedContexts = (
  compiled: CompiledBook,
  on: string,
  memory: AuditMemory,
): AuditContext['contextsFor'] => {
  const known = new Map<string, readonly KeyedContext[]>();
  return (adjustments) => {
    const key = adjustments.map(({ id }) => id).join('|');
    const made =
      known.get(key) ??
      contextsOf(compiled, on, adjustments).map((context) => ({ context, key: memory.contextKey(context) }));
    known.set(key, made);
    return made;
  };
};

const mixesOf = ({ goods }: CompiledBook, memory: AuditMemory): readonly KeyedBasket[] | null => {
  const mixes = allMixes([...goods.values()].filter(({ fulfilment }) => fulfilment === 'physical'));
  return mixes && mixes.map((basket) => ({ basket, key: memory.keyOf(basket) }));
};

/** A shop made ready to be judged from a day on (YYYY-MM-DD), with what audits before found. */
export const auditContext = (compiled: CompiledBook, on: string, memory: AuditMemory): AuditContext => {
  const { book } = compiled;
  return {
    compiled,
    contextsFor: keyedContexts(compiled, on, memory),
    probes: probesOf([...compiled.goods.values()]),
    mixes: mixesOf(compiled, memory),
    far: farPoint(compiled),
    unasked: withoutCarriers(compiled),
    steady: memory.kept('steady', [on, book.store, book.locations, book.areas, book.pickups], () =>
      steadyTimes(compiled, dayOf(on)),
    ),
    memory,
  };
};
