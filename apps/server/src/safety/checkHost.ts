import { isIP } from 'node:net';
import type { NextFunction, Request, Response } from 'express';

const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** The name in a Host header, without its port and the brackets of an IPv6 address. */
const nameOf = (host: string): string =>
  host
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase();

/**
 * Refuses requests under a name that is not this server's (421): a page elsewhere could have its own name led here
 * and read the club's data through it. Addresses in digits cannot be led anywhere. Writes that a browser sends for
 * a page of another origin are refused too (403).
 */
export function checkHost(names: readonly string[]) {
  const known = new Set(['localhost', ...names.map((name) => name.toLowerCase())]);
  return (request: Request, response: Response, next: NextFunction): void => {
    const { host = '', origin } = request.headers;
    const name = nameOf(host);
    if (!known.has(name) && isIP(name) === 0) {
      response.status(421).json({
        statusCode: 421,
        message:
          'Open the program at the address it printed when it started. Set AFTERSQUALL_NAMES to allow other names.',
      });
      return;
    }
    if (WRITES.has(request.method) && origin !== undefined && !isOwn(origin, host)) {
      response.status(403).json({
        statusCode: 403,
        message: 'Only pages of this server may change anything here. Open the program at its own address.',
      });
      return;
    }
    next();
  };
}

function isOwn(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}
