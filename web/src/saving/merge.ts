import { hashKey } from '@tanstack/react-query';

/** A field that both changed, each otherwise; undefined where one took it away. */
export interface BothChanged {
  /** names of fields and ids of things, from the outside inwards */
  path: string[];
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

export interface Merged<T> {
  /** both changes together; where both changed one field, mine for the time being */
  value: T;
  conflicts: BothChanged[];
}

/**
 * Two changes of the same thing brought together field by field (three-way merge): what only one changed is
 * taken, what both changed alike too. Lists of things with an id are merged thing by thing, all other lists
 * and lengths as a whole.
 */
export function merged<T>(base: T, mine: T, theirs: T): Merged<T> {
  const conflicts: BothChanged[] = [];
  const value = together(base, mine, theirs, [], conflicts) as T;
  return { value, conflicts };
}

/** The value with a field at a path set; things in lists are found by their id. */
export function withChoice<T>(value: T, path: readonly string[], chosen: unknown): T {
  const [step, ...rest] = path;
  if (step === undefined) return chosen as T;
  if (Array.isArray(value))
    return value.flatMap((item: unknown) => {
      if (!isThing(item) || item.id !== step) return [item];
      const changed = withChoice<unknown>(item, rest, chosen);
      return changed === undefined ? [] : [changed];
    }) as T;
  const record = value as Record<string, unknown>;
  return without({ ...record, [step]: withChoice(record[step], rest, chosen) }) as T;
}

type Fields = Record<string, unknown>;
interface Thing extends Fields {
  id: string;
}

const same = (a: unknown, b: unknown): boolean => hashKey([a]) === hashKey([b]);

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A length with the text it was typed as is one value. */
const isLength = (value: unknown): boolean => isFields(value) && typeof value.mm === 'number';

const isThing = (value: unknown): value is Thing => isFields(value) && typeof value.id === 'string';

const areThings = (value: unknown): value is Thing[] => Array.isArray(value) && value.every(isThing);

/** Fields of another kind do not go together, whatever they are called. */
const sameKind = (all: Fields[]): boolean => new Set(all.map((f) => f.kind)).size === 1;

function together(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: string[],
  conflicts: BothChanged[],
): unknown {
  if (same(mine, theirs) || same(theirs, base)) return mine;
  if (same(mine, base)) return theirs;
  const all = [base, mine, theirs];
  if (all.every(areThings)) {
    const [b, m, t] = all as [Thing[], Thing[], Thing[]];
    return thingByThing(b, m, t, path, conflicts);
  }
  if (all.every((v) => isFields(v) && !isLength(v)) && sameKind(all as Fields[])) {
    const [b, m, t] = all as [Fields, Fields, Fields];
    const keys = new Set([...Object.keys(m), ...Object.keys(t)]);
    return without(
      Object.fromEntries([...keys].map((k) => [k, together(b[k], m[k], t[k], [...path, k], conflicts)])),
    );
  }
  conflicts.push({ path, base, mine, theirs });
  return mine;
}

const without = (fields: Fields): Fields =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));

function thingByThing(
  base: Thing[],
  mine: Thing[],
  theirs: Thing[],
  path: string[],
  conflicts: BothChanged[],
): Thing[] {
  const of = (things: Thing[], id: string) => things.find((t) => t.id === id);
  return orderOf(base, mine, theirs).flatMap((id) => {
    const [b, m, t] = [of(base, id), of(mine, id), of(theirs, id)];
    const before = conflicts.length;
    const kept = together(b, m, t, [...path, id], conflicts) as Thing | undefined;
    if (kept !== undefined) return [kept];
    // what I took out and they changed stands until one of us is chosen
    return conflicts.length > before && t ? [t] : [];
  });
}

/** Ids in the order of whoever changed it, mine when both did; what the other added follows what it followed. */
function orderOf(base: Thing[], mine: Thing[], theirs: Thing[]): string[] {
  const ids = (things: Thing[]) => things.map((t) => t.id);
  const common = (a: string[], b: string[]) => a.filter((id) => b.includes(id));
  const moved = !same(common(ids(mine), ids(base)), common(ids(base), ids(mine)));
  const [lead, other] = moved ? [ids(mine), ids(theirs)] : [ids(theirs), ids(mine)];
  return other.reduce((order, id, i) => {
    if (order.includes(id)) return order;
    const after = order.indexOf(other[i - 1] ?? '');
    return [...order.slice(0, after + 1), id, ...order.slice(after + 1)];
  }, lead);
}
