import { z } from 'zod';
import { idSchema } from '../core/model/unit.ts';

/** What a stand-in can be told to do instead of answering as it should. */
export const troubleSchema = z.enum(['slow', 'unreachable', 'refusing', 'rubbish']);
export type Trouble = z.infer<typeof troubleSchema>;

/** A carrier's trouble, for all requests until it is lifted or for the next one only. */
export const misbehaviourSchema = z.strictObject({
  carrier: idSchema,
  trouble: troubleSchema,
  lasts: z.enum(['always', 'once']),
});
export type Misbehaviour = z.infer<typeof misbehaviourSchema>;

/** How long a slow carrier takes, in milliseconds: longer than any account should wait. */
export const SLOW_MS = 65_000;

/** The troubles that are set, by carrier. */
export class Troubles {
  readonly #set = new Map<string, Misbehaviour>();

  list(): Misbehaviour[] {
    return [...this.#set.values()];
  }

  set(all: readonly Misbehaviour[]): void {
    this.#set.clear();
    for (const one of all) this.#set.set(one.carrier, one);
  }

  /** The trouble a request to a carrier meets; one that lasts once is over with it. */
  meet(carrier: string): Trouble | null {
    const one = this.#set.get(carrier);
    if (!one) return null;
    if (one.lasts === 'once') this.#set.delete(carrier);
    return one.trouble;
  }
}

/** Troubles written as 'fulmar=slow,cairn=rubbish', as an environment variable has them; what is not understood is left out. */
export const readTroubles = (text: string): Misbehaviour[] =>
  text.split(',').flatMap((part) => {
    const [carrier, trouble] = part.split('=').map((word) => word.trim());
    const read = misbehaviourSchema.safeParse({ carrier, trouble, lasts: 'always' });
    return read.success ? [read.data] : [];
  });
