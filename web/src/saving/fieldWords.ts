import { DIMENSION_KEYS, dimensionWords, nameOf, type DimensionKey, type Element } from '@compas/core';

const isDimension = (key: string): key is DimensionKey => (DIMENSION_KEYS as string[]).includes(key);

/** What a field is called to the person who changed it: the thing it belongs to, then the field. */
export function fieldWords(value: unknown, path: readonly string[]): string {
  const words: string[] = [];
  let at: unknown = value;
  for (const step of path) {
    const holder = at;
    at = stepInto(at, step);
    if (Array.isArray(holder)) words.push(thingWords(at) ?? step);
    else if (!Array.isArray(at)) words.push(keyWords(holder, step));
  }
  return words.join(', ') || 'all of it';
}

function stepInto(value: unknown, step: string): unknown {
  if (Array.isArray(value)) return value.find((v: { id?: unknown }) => v.id === step);
  return typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[step] : undefined;
}

function thingWords(thing: unknown): string | undefined {
  if (typeof thing !== 'object' || thing === null) return undefined;
  if ('kind' in thing && 'id' in thing && !('label' in thing)) return nameOf(thing as Element);
  const { name, label } = thing as { name?: unknown; label?: unknown };
  return typeof name === 'string' ? name : typeof label === 'string' ? label : undefined;
}

function keyWords(holder: unknown, key: string): string {
  const kind = (holder as { kind?: Element['kind'] }).kind;
  if (isDimension(key) && kind !== undefined) return dimensionWords(kind, key);
  return key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}
