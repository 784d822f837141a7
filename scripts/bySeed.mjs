import { createHash } from 'node:crypto';

/** The names in an order that comes from the seed alone: by the hash of both. */
export function bySeed(names, seed) {
  const place = (name) => createHash('sha1').update(`${seed} ${name}`).digest('hex');
  return [...names].sort((a, b) => (place(a) < place(b) ? -1 : 1));
}
