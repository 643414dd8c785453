import { createReadStream, existsSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { z } from 'zod';
import { t } from '../core/translate/translate.ts';
import { readJson, readRequest } from '../core/formats/read.ts';
import { carrierAnswerSchema, type CarrierAnswer } from '../core/model/carrier.ts';
import type { Fault, Result } from '../core/model/fault.ts';
import type { Quote } from '../core/model/quote.ts';
import { quoteRequestSchema, type QuoteRequest } from '../core/model/request.ts';
import { parseWith } from '../core/model/schema-fault.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { measureOrder } from '../core/quote/quote.ts';
import { faultSentence, locatedSentence } from '../core/words/fault-sentence.ts';
import { completed } from '../gazetteer/complete.ts';
import { CannotRun, readFileWith, readShop } from './files.ts';

export type Write = (text: string) => void;

export interface QuoteOptions {
  book: string;
  catalogue: string;
  request?: string;
  requests?: string;
  answers?: string;
  'stand-ins'?: boolean;
  /** Whether an address that lacks its region or point is given those of its postal code. */
  complete?: boolean;
}

const answersSchema = z.array(carrierAnswerSchema).max(200);
const pairSchema = z.strictObject({ request: quoteRequestSchema, answers: answersSchema.optional() });

interface Asked {
  request: QuoteRequest;
  answers?: readonly CarrierAnswer[] | undefined;
}

const readAsked = (value: unknown): Result<Asked> => {
  if (typeof value === 'object' && value !== null && 'request' in value) {
    const pair = parseWith(pairSchema, value);
    return pair.ok ? { ok: true, value: pair.value } : pair;
  }
  const request = readRequest(value);
  return request.ok ? { ok: true, value: { request: request.value } } : request;
};

/** The shop that is asked, and whether addresses are completed first. */
interface Desk {
  shop: CompiledBook;
  completes: boolean;
}

const answer = async ({ shop, completes }: Desk, { request, answers }: Asked): Promise<Result<Quote>> => {
  const { destination } = request;
  const whole =
    completes && destination ? { ...request, destination: await completed(destination) } : request;
  const measured = measureOrder(shop, whole);
  return measured.ok ? { ok: true, value: measured.value.quote(answers) } : measured;
};

const oneQuote = async (
  desk: Desk,
  requestFile: string,
  answersFile: string | undefined,
  write: Write,
): Promise<number> => {
  const request = readFileWith(requestFile, readRequest);
  const answers = answersFile
    ? readFileWith(answersFile, (value) => parseWith(answersSchema, value))
    : undefined;
  const answered = await answer(desk, { request, answers });
  if (!answered.ok) {
    throw new CannotRun(...answered.faults.map((fault) => `${requestFile}: ${locatedSentence(fault)}`));
  }
  write(`${JSON.stringify(answered.value, null, 2)}\n`);
  return 0;
};

const lineError = (line: number, [fault]: readonly Fault[]): string =>
  JSON.stringify({ error: { line, path: fault?.path ?? '', text: fault ? faultSentence(fault) : '' } });

const answerLine = async (desk: Desk, text: string, line: number): Promise<{ ok: boolean; json: string }> => {
  const json = readJson(text);
  const asked = json.ok ? readAsked(json.value) : json;
  const answered = asked.ok ? await answer(desk, asked.value) : asked;
  return answered.ok
    ? { ok: true, json: JSON.stringify(answered.value) }
    : { ok: false, json: lineError(line, answered.faults) };
};

/** One answer a line, in the order of the lines; blank lines at the end of the file are no lines. */
const manyQuotes = async (desk: Desk, file: string, write: Write): Promise<number> => {
  if (!existsSync(file)) throw new CannotRun(t('{file}: cannot be read (ENOENT).', { file }));
  const lines = createInterface({ input: createReadStream(file, 'utf8'), crlfDelay: Infinity });
  let number = 0;
  let blank = 0;
  let faulty = false;
  const put = async (text: string): Promise<void> => {
    number += 1;
    const { ok, json } = await answerLine(desk, text, number);
    faulty ||= !ok;
    write(`${json}\n`);
  };
  for await (const text of lines) {
    if (text.trim() === '') {
      blank += 1;
      continue;
    }
    for (; blank > 0; blank -= 1) await put('');
    await put(text);
  }
  return faulty ? 1 : 0;
};

/** Quotes one request, or one a line; gives the exit code: 0 well, 1 a line was unusable. */
export const quoteCommand = async (options: QuoteOptions, write: Write): Promise<number> => {
  const shop = readShop(options.book, options.catalogue, options['stand-ins']);
  const desk = { shop, completes: options.complete ?? false };
  if (options.request !== undefined) return oneQuote(desk, options.request, options.answers, write);
  return manyQuotes(desk, options.requests ?? '', write);
};
