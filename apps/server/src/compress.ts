import { BlockList, isIP } from 'node:net';
import compression from 'compression';
import type { RequestHandler, Response } from 'express';

const LOOPBACK = new BlockList();
LOOPBACK.addSubnet('127.0.0.0', 8, 'ipv4');
LOOPBACK.addAddress('::1', 'ipv6');

/** Whether an address of a caller is the server's own machine. */
export const isThisMachine = (address = ''): boolean =>
  isIP(address) !== 0 && LOOPBACK.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');

/** Event streams are never held back until there is enough of them to pack. */
const isStream = (response: Response): boolean =>
  String(response.getHeader('Content-Type')).startsWith('text/event-stream');

/** Packs what goes over a network; to a browser on the same machine packing takes longer than it saves. */
export function compress(local: (address?: string) => boolean = isThisMachine): RequestHandler {
  return compression({
    filter: (request, response) =>
      !isStream(response) && !local(request.socket.remoteAddress) && compression.filter(request, response),
  });
}
