import { randomUUID } from 'node:crypto';
import { parse, serialize } from 'cookie';
import type { Request, Response } from 'express';
import { Troubles, type Misbehaviour } from '../carriers/misbehaviour.ts';

const COOKIE = 'emporos-visit';
const MOST_VISITS = 1_000;

const visitOf = ({ headers }: Request): string | undefined => parse(headers.cookie ?? '')[COOKIE];

/**
 * What carriers get wrong, for each browser session by itself: known by a cookie that ends with the session. A visit
 * that has set nothing meets what the server was started with.
 */
export class Visits {
  readonly #visits = new Map<string, Troubles>();

  constructor(private readonly first: Troubles) {}

  /** The troubles that a request meets. */
  troublesOf(request: Request): Troubles {
    return this.#visits.get(visitOf(request) ?? '') ?? this.first;
  }

  /** Sets the troubles of the request's session, which begins here where it has none. */
  set(request: Request, response: Response, all: readonly Misbehaviour[]): Troubles {
    const known = visitOf(request);
    const visit = known && this.#visits.has(known) ? known : randomUUID();
    const troubles = this.#visits.get(visit) ?? new Troubles();
    troubles.set(all);
    this.#visits.delete(visit);
    this.#visits.set(visit, troubles);
    const [oldest] = this.#visits.keys();
    if (this.#visits.size > MOST_VISITS && oldest !== undefined) this.#visits.delete(oldest);
    response.append(
      'set-cookie',
      serialize(COOKIE, visit, { httpOnly: true, sameSite: 'strict', path: '/' }),
    );
    return troubles;
  }
}
