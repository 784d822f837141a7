import { LONGEST, WIDEST } from '../pattern/index.js';

/** A file that cannot be read: what is wrong, and where in it. Nothing of it is taken in. */
export class FileProblem extends Error {
  override readonly name = 'FileProblem';
  constructor(
    readonly why: string,
    /** line, row or entity, as the file's own programs count it */
    readonly where?: string,
  ) {
    super(where === undefined ? why : `${where}: ${why}`);
  }
}

/** The largest drawing that is read, bytes, and the most pieces a profile may have. */
export const MOST_BYTES = 5_000_000;
const MOST_PIECES = 20_000;

/**
 * What a reader makes of a file's text. Whatever it stumbles over is the file's fault and a FileProblem: nobody can list all
 * that files have wrong.
 */
export function reading<T>(text: string, read: () => T): T {
  limitSize(text);
  try {
    return read();
  } catch (error) {
    if (error instanceof FileProblem) throw error;
    throw new FileProblem(
      'Something in it is missing, or is of another form than its format says. Save it anew, with nothing but the profile.',
    );
  }
}

/** Refuses a text that is too large to be a drawing of a turned piece. */
function limitSize(text: string): void {
  if (text.length > MOST_BYTES)
    throw new FileProblem(
      `The file has ${(text.length / 1e6).toFixed(1)} MB; up to ${MOST_BYTES / 1e6} MB are read. Save only the profile in it.`,
    );
}

/** Refuses a profile that no lathe of the trade takes, mm: it was drawn in other units. */
export function limitProfile(length: number, diameter: number): void {
  const [what, size, most] = length > LONGEST ? ['long', length, LONGEST] : ['thick', diameter, WIDEST];
  if (size <= most) return;
  throw new FileProblem(
    `The profile in it is ${Math.round(size / 1000).toLocaleString('en')} m ${what}; up to ${most / 1000} m are read. It may be in other units.`,
  );
}

/** Refuses more pieces than a profile can sensibly have. */
export function limitPieces(count: number): void {
  if (count > MOST_PIECES)
    throw new FileProblem(
      `The drawing has ${count} pieces of line; up to ${MOST_PIECES} are read. Simplify it first.`,
    );
}
