import { createHash, timingSafeEqual } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import { refuse } from './refusals.ts';

/** Who may ask for quotes, and who may put editions. */
export interface Keys {
  /** Keys for reading; where there are none, reading needs none on this machine alone. */
  read: readonly string[];
  /** Keys for putting an edition and going back; they read too. */
  write: readonly string[];
  /** Whether only this machine can reach the server. */
  isHere: boolean;
}

const ASKED_BY = 'askedBy';

const digestOf = (text: string): Buffer => createHash('sha256').update(text).digest();

/** The bearer key that a request brings; '' where it brings none. */
const bearerOf = ({ headers }: Request): string =>
  /^Bearer ([\x21-\x7e]{1,200})$/i.exec(headers.authorization ?? '')?.[1] ?? '';

/** Whether a request brings one of some keys; each comparison takes the same time, and all are made. */
const isKnown = (request: Request, response: Response, keys: readonly string[]): boolean => {
  const bearer = bearerOf(request);
  if (bearer === '') return false;
  const digest = digestOf(bearer);
  const known = keys.map((one) => timingSafeEqual(digestOf(one), digest)).includes(true);
  if (known) response.locals[ASKED_BY] = digest.toString('hex');
  return known;
};

/** Whom a request is counted for: the digest of its key, where it brought one that is known. */
export const askedBy = (response: Response): string | undefined =>
  response.locals[ASKED_BY] as string | undefined;

const refuseKey = (response: Response): void => {
  response.set('WWW-Authenticate', 'Bearer');
  refuse(response, 'key-needed');
};

/** Lets in who may read. */
export const readingKey =
  ({ read, write, isHere }: Keys) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const isOpen = read.length === 0 && isHere;
    if (isKnown(request, response, [...read, ...write]) || isOpen) next();
    else refuseKey(response);
  };

/** Lets in who may write. */
export const writingKey =
  ({ write }: Keys) =>
  (request: Request, response: Response, next: NextFunction): void => {
    if (write.length === 0) refuse(response, 'not-writable');
    else if (isKnown(request, response, write)) next();
    else refuseKey(response);
  };
