import { createHash } from 'node:crypto';

/** What is kept of a secret, or of an address that is only told apart: nobody who reads it can use it. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
