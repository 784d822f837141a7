import { HttpStatus } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { Problem } from './problem.js';

/** Names by which a machine is always its own. */
const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '::1']);

/** The name in a Host header, without port and brackets, as it is compared. */
const nameIn = (header: string): string => {
  try {
    return new URL(`http://${header}`).hostname.replace(/^\[|\]$/g, '').toLowerCase();
  } catch {
    return '';
  }
};

/** Names and addresses that this machine has at the moment: a laptop changes its own with the network. */
function ownNames(): Set<string> {
  const name = hostname().toLowerCase();
  const addresses = Object.values(networkInterfaces()).flatMap((all) => all?.map((a) => a.address) ?? []);
  return new Set([name, `${name}.local`, ...addresses]);
}

/**
 * Refuses what was asked by a name that is not this machine's: a page of somebody else can let a name of its own point
 * here, and would be read as ours.
 * @param more further names by which it is reached, as through a proxy
 */
export function knownHost(more: readonly string[]) {
  const named = new Set(more.map((name) => name.toLowerCase()));
  return (request: Request, _response: Response, next: NextFunction): void => {
    const name = nameIn(request.headers.host ?? '');
    const known = LOOPBACK.has(name) || named.has(name) || ownNames().has(name);
    if (known) return next();
    const what = isIP(name) ? 'address' : 'name';
    next(
      new Problem(
        HttpStatus.MISDIRECTED,
        `Compas does not know itself by the ${what} it was asked by. Whoever runs it can add it to COMPAS_HOSTS.`,
      ),
    );
  };
}
