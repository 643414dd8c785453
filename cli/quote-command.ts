import { createReadStream, existsSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { z } from 'zod';
import { readJson, readRequest } from '../core/formats/read.ts';
import { carrierAnswerSchema, type CarrierAnswer } from '../core/model/carrier.ts';
import type { Fault, Result } from '../core/model/fault.ts';
import type { Quote } from '../core/model/quote.ts';
import { quoteRequestSchema, type QuoteRequest } from '../core/model/request.ts';
import { parseWith } from '../core/model/schema-fault.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { quote, requestFaults } from '../core/quote/quote.ts';
import { faultSentence, locatedSentence } from '../core/words/fault-sentence.ts';
import { CannotRun, readFileWith, readShop } from './files.ts';

export type Write = (text: string) => void;

export interface QuoteOptions {
  book: string;
  catalogue: string;
  request?: string;
  requests?: string;
  answers?: string;
  'stand-ins'?: boolean;
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

const answer = (shop: CompiledBook, asked: Asked): Result<Quote> => {
  const faults = requestFaults(shop, asked.request);
  if (faults.length > 0) return { ok: false, faults: [...faults] };
  return { ok: true, value: quote(shop, asked.request, asked.answers) };
};

const oneQuote = (
  shop: CompiledBook,
  requestFile: string,
  answersFile: string | undefined,
  write: Write,
): number => {
  const request = readFileWith(requestFile, readRequest);
  const answers = answersFile
    ? readFileWith(answersFile, (value) => parseWith(answersSchema, value))
    : undefined;
  const answered = answer(shop, { request, answers });
  if (!answered.ok) {
    throw new CannotRun(...answered.faults.map((fault) => `${requestFile}: ${locatedSentence(fault)}`));
  }
  write(`${JSON.stringify(answered.value, null, 2)}\n`);
  return 0;
};

const lineError = (line: number, [fault]: readonly Fault[]): string =>
  JSON.stringify({ error: { line, path: fault?.path ?? '', text: fault ? faultSentence(fault) : '' } });

const answerLine = (shop: CompiledBook, text: string, line: number): { ok: boolean; json: string } => {
  const json = readJson(text);
  const asked = json.ok ? readAsked(json.value) : json;
  const answered = asked.ok ? answer(shop, asked.value) : asked;
  return answered.ok
    ? { ok: true, json: JSON.stringify(answered.value) }
    : { ok: false, json: lineError(line, answered.faults) };
};

/** One answer a line, in the order of the lines; blank lines at the end of the file are no lines. */
const manyQuotes = async (shop: CompiledBook, file: string, write: Write): Promise<number> => {
  if (!existsSync(file)) throw new CannotRun(`${file}: cannot be read (ENOENT).`);
  const lines = createInterface({ input: createReadStream(file, 'utf8'), crlfDelay: Infinity });
  let number = 0;
  let blank = 0;
  let faulty = false;
  const put = (text: string): void => {
    number += 1;
    const { ok, json } = answerLine(shop, text, number);
    faulty ||= !ok;
    write(`${json}\n`);
  };
  for await (const text of lines) {
    if (text.trim() === '') {
      blank += 1;
      continue;
    }
    for (; blank > 0; blank -= 1) put('');
    put(text);
  }
  return faulty ? 1 : 0;
};

/** Quotes one request, or one a line; gives the exit code: 0 well, 1 a line was unusable. */
export const quoteCommand = async (options: QuoteOptions, write: Write): Promise<number> => {
  const shop = readShop(options.book, options.catalogue, options['stand-ins']);
  if (options.request !== undefined) return oneQuote(shop, options.request, options.answers, write);
  return manyQuotes(shop, options.requests ?? '', write);
};
