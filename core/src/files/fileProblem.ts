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

/** Refuses a text that is too large to be a drawing of a turned piece. */
export function limitSize(text: string): void {
  if (text.length > MOST_BYTES)
    throw new FileProblem(
      `The file has ${(text.length / 1e6).toFixed(1)} MB; up to ${MOST_BYTES / 1e6} MB are read. Save only the profile in it.`,
    );
}

/** Refuses more pieces than a profile can sensibly have. */
export function limitPieces(count: number): void {
  if (count > MOST_PIECES)
    throw new FileProblem(
      `The drawing has ${count} pieces of line; up to ${MOST_PIECES} are read. Simplify it first.`,
    );
}
