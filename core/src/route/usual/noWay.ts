/** A way of holding that cannot be gone here: why, and what would do. */
export class NoWay extends Error {
  constructor(
    readonly why: string,
    readonly remedy: string,
  ) {
    super(why);
  }
}
