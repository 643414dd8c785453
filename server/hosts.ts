import type { NextFunction, Request, Response } from 'express';
import { isIP } from 'node:net';
import { refuse } from './refusals.ts';

/** The name in a Host header and what follows it, as ':4310'; null where there is no name. */
const partsOf = (host: string | undefined): { name: string; port: string } | null => {
  const [, name, port = ''] = /^(\[[0-9a-f:.]+\]|[^:[\]/@\s]+)(:\d+)?$/i.exec(host ?? '') ?? [];
  return name === undefined ? null : { name: name.toLowerCase(), port };
};

const isAddress = (name: string): boolean => isIP(name.replace(/^\[|\]$/g, '')) !== 0;

/**
 * Lets requests in that name this machine by an address or by one of `names`. Any other name may be a foreign page's
 * that was pointed at this machine, and is answered with 421. 'localhost' leads to 127.0.0.1, so that the browser's
 * storage is one.
 */
export const knownHosts =
  (names: readonly string[]) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const host = partsOf(request.headers.host);
    if (host && (isAddress(host.name) || names.includes(host.name))) return next();
    if (host?.name === 'localhost')
      response.redirect(307, `http://127.0.0.1${host.port}${request.originalUrl}`);
    else refuse(response, 'unknown-host');
  };
