import type { Response } from 'express';

interface Refusal {
  status: number;
  /** What is wrong, the same each time. */
  title: string;
  /** What is wrong with this request, as a sentence. */
  detail: (what: string) => string;
}

const says = (status: number, title: string): Refusal => ({ status, title, detail: () => title });
const tells = (status: number, title: string, detail = (what: string) => what): Refusal => ({
  status,
  title,
  detail,
});

/** Every way in which a request is refused: its code, which callers may rely on, its status and its words. */
export const REFUSALS = {
  'not-json': says(400, 'the request is no JSON'),
  'not-said-to-be-json': says(415, 'send JSON, and say so: content-type: application/json'),
  invalid: tells(400, 'the request is not as it is described'),
  unreadable: says(400, 'the request cannot be read'),
  forbidden: says(403, 'the request cannot be read'),
  'not-as-expected': says(412, 'the file is not as the request expects it'),
  'no-such-range': says(416, 'the file has no such part'),
  'broken-off': says(400, 'the request was broken off'),
  'character-set': says(415, 'the request is in a character set that is not read; send UTF-8'),
  compression: says(415, 'the request is compressed in a way that is not read'),
  'too-large': tells(413, 'the request is too large', (limit) => `the request is larger than ${limit}`),
  'too-often': tells(
    429,
    'too many requests',
    (limit) => `more than ${limit} requests in a minute; try again in a moment`,
  ),
  'not-found': says(404, 'not found'),
  'unknown-host': says(421, 'this server does not go by that name; HOSTS gives it names'),
  'key-needed': says(401, 'send a key that the server knows: authorization: Bearer …'),
  'not-writable': says(403, 'this server takes no editions over HTTP; WRITE_KEYS gives it keys'),
  'unknown-shop': says(404, 'there is no such shop'),
  'unknown-edition': says(404, 'the shop has no such edition'),
  'edition-refused': tells(422, 'the edition is not served'),
  'edition-there': says(409, 'the shop has that edition already, with other content'),
  'last-edition': says(409, 'the shop has no edition before it to go back to'),
  'too-many-lines': tells(
    413,
    'too many orders at a time',
    (most) => `no more than ${most} orders are quoted at a time`,
  ),
  'unknown-carrier': says(404, 'there is no such carrier'),
  'unknown-shipment': says(404, 'there is no shipment of that number'),
  'carrier-refusing': says(503, 'the carrier takes no requests'),
  'not-booked': tells(422, 'the parcels cannot be booked'),
  'not-cancelled': tells(409, 'the shipment cannot be cancelled'),
  'not-ready': says(503, 'no edition is served yet, or the server is stopping'),
  'place-not-written': says(400, 'write a country of two letters and a postal code: /CA/B3H2Y9'),
  'unknown-place': tells(
    404,
    'the gazetteer does not know the place',
    (place) => `the gazetteer does not know ${place}`,
  ),
  failed: says(500, 'the request could not be answered'),
} as const satisfies Record<string, Refusal>;

export type RefusalCode = keyof typeof REFUSALS;

export const isRefusalCode = (code: string): code is RefusalCode => Object.hasOwn(REFUSALS, code);

/** A refusal as RFC 9457 has it, with the code that callers may rely on. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  code: RefusalCode;
}

const PROBLEM_JSON = 'application/problem+json';

/** The body of a refusal; `what` is what is wrong with this request. */
export const problemOf = (code: RefusalCode, what = ''): Problem => {
  const { status, title, detail } = REFUSALS[code];
  return { type: `/api/problems/${code}`, title, status, detail: detail(what), code };
};

/** Answers with a refusal. */
export const sendProblem = (response: Response, problem: Problem): void =>
  void response.status(problem.status).type(PROBLEM_JSON).send(JSON.stringify(problem));

/** Refuses a request: its status, with the code and the words; `what` is what is wrong with this request. */
export const refuse = (response: Response, code: RefusalCode, what = ''): void =>
  sendProblem(response, problemOf(code, what));
