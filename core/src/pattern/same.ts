/** What was typed and how a thing is called say nothing about the wood. */
const NOT_WOOD: ReadonlySet<string> = new Set(['typed', 'correction', 'name', 'held', 'tolerance']);

/**
 * Whether two pieces of a pattern describe the same wood: compared by value, whatever the order of
 * their keys (a database may change it), without typed texts and names.
 */
export function sameWood(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)].filter((key) => !NOT_WOOD.has(key)));
  return [...keys].every((key) =>
    sameWood((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
}
