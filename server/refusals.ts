import type { Response } from 'express';

interface Refusal {
  status: number;
  /** What is wrong, as a sentence; `detail` is what is wrong with this request. */
  text: (detail: string) => string;
}

const says = (status: number, text: string): Refusal => ({ status, text: () => text });

/** Every way in which a request is refused: its code, which callers may rely on, its status and its words. */
export const REFUSALS = {
  'not-json': says(400, 'the request is no JSON'),
  'not-said-to-be-json': says(415, 'send JSON, and say so: content-type: application/json'),
  invalid: { status: 400, text: (faults) => faults },
  unreadable: says(400, 'the request cannot be read'),
  forbidden: says(403, 'the request cannot be read'),
  'not-as-expected': says(412, 'the file is not as the request expects it'),
  'no-such-range': says(416, 'the file has no such part'),
  'broken-off': says(400, 'the request was broken off'),
  'character-set': says(415, 'the request is in a character set that is not read; send UTF-8'),
  compression: says(415, 'the request is compressed in a way that is not read'),
  'too-large': { status: 413, text: (limit) => `the request is larger than ${limit}` },
  'too-slow': says(400, 'the shop took too long to read'),
  'too-often': {
    status: 429,
    text: (limit) => `more than ${limit} requests in a minute; try again in a moment`,
  },
  'not-found': says(404, 'not found'),
  'unknown-host': says(421, 'this server does not go by that name; HOSTS gives it names'),
  'unknown-shop': says(404, 'there is no such shop'),
  'unknown-edition': says(404, 'the shop has no such edition'),
  'too-many-lines': { status: 413, text: (most) => `no more than ${most} orders are quoted at a time` },
  'too-many-shops': { status: 409, text: (most) => `no more than ${most} shops are held at a time` },
  'unknown-carrier': says(404, 'there is no such carrier'),
  'unknown-shipment': says(404, 'there is no shipment of that number'),
  'carrier-refusing': says(503, 'the carrier takes no requests'),
  'not-booked': { status: 422, text: (why) => why },
  'not-cancelled': { status: 409, text: (why) => why },
  'place-not-written': says(400, 'Write a country of two letters and a postal code: /CA/B3H2Y9.'),
  'unknown-place': { status: 404, text: (place) => `The gazetteer does not know ${place}.` },
  failed: says(500, 'the request could not be answered'),
} as const satisfies Record<string, Refusal>;

export type RefusalCode = keyof typeof REFUSALS;

/** The body of a refusal. */
export const refusalBody = (code: RefusalCode, detail = ''): { code: RefusalCode; error: string } => ({
  code,
  error: REFUSALS[code].text(detail),
});

/** Refuses a request: its status, with the code and the words as JSON. */
export const refuse = (response: Response, code: RefusalCode, detail = ''): void =>
  void response.status(REFUSALS[code].status).json(refusalBody(code, detail));
