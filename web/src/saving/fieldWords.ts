import { DIMENSION_KEYS, dimensionWords, nameOf, type DimensionKey, type Element } from '@compas/core';

const isDimension = (key: string): key is DimensionKey => (DIMENSION_KEYS as string[]).includes(key);

/** What a field is called on the screen where it is edited, and the unit of a plain number in it. */
export interface FieldLabel {
  label: string;
  /** `mm` is shown as the person reads lengths */
  unit?: string;
}

/** The labels of one kind of thing, by the path of a field; undefined where the screen has none. */
export type FieldLabels = (path: readonly string[]) => FieldLabel | undefined;

/** What a field is called to the person who changed it: the thing it belongs to, then the field. */
export function fieldWords(value: unknown, path: readonly string[], labels?: FieldLabels): string {
  const things: string[] = [];
  let field: string | null = null;
  let at: unknown = value;
  for (const step of path) {
    const holder = at;
    at = stepInto(at, step);
    const thing = Array.isArray(holder) ? thingWords(at) : undefined;
    if (thing !== undefined) things.push(thing);
    field = Array.isArray(holder) ? null : keyWords(holder, step);
  }
  field = field && (labels?.(path)?.label ?? field);
  // the nearest thing says where it is; what holds that is plumbing
  return [things.at(-1), field].filter((w) => w !== null && w !== undefined).join(', ') || 'all of it';
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
