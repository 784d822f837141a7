/** Where in a value numbers stand that are none: tests of what is half drawn ask for them. */
export function oddNumbers(value: unknown): string[] {
  const found: string[] = [];
  JSON.stringify(value, (key, own: unknown) => {
    if (typeof own === 'number' && !Number.isFinite(own)) found.push(key);
    return own;
  });
  return found;
}
