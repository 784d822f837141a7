import { len, type Finding } from '../measure/index.js';
import {
  joinSides,
  outlineOf,
  widestOf,
  type JoinSides,
  type Part,
  type PatternBody,
} from '../pattern/index.js';

/** One join of a branch, with the parts that come to the root in it. */
export interface BranchJoin {
  sides: JoinSides;
  /** the part that comes to the others; null where both are there already */
  brought: Part | null;
  /** its id as often as the join takes pieces of it */
  takes: string[];
}

/**
 * Parts that become one thing. The root carries it: a piece of the root keeps its number, and the others are put to it.
 * Of joins that meet at one part, what is slid on comes before what closes its end.
 */
export interface Branch {
  root: Part;
  joins: BranchJoin[];
}

type Item = Pick<PatternBody, 'parts' | 'joins'>;

/** What of an item becomes one thing; parts that nothing joins are delivered beside each other and are in no branch. */
export function branchesOf(item: Item): Branch[] {
  const sides = (item.joins ?? []).flatMap((join) => joinSides(item, join) ?? []);
  const seen = new Set<string>();
  return [...item.parts]
    .sort((a, b) => a.perItem - b.perItem)
    .flatMap((root) => {
      if (seen.has(root.id)) return [];
      const joins = joinsFrom(root, sides);
      seen.add(root.id);
      for (const { sides: own } of joins) seen.add(own.inner.id).add(own.outer.id);
      return joins.length === 0 ? [] : [{ root, joins }];
    });
}

/** The joins of a root outwards, nearest first. */
function joinsFrom(root: Part, all: readonly JoinSides[]): BranchJoin[] {
  const reached = new Set([root.id]);
  const open = new Set(all);
  const joins: BranchJoin[] = [];
  for (;;) {
    const next = [...open].filter((s) => reached.has(s.inner.id) || reached.has(s.outer.id)).sort(slidFirst);
    const [first] = next;
    if (!first) return joins;
    open.delete(first);
    const alike = all.filter((s) => s.inner === first.inner && s.outer === first.outer);
    const before = joins.filter(({ sides }) => alike.includes(sides));
    const brought = isBrought(first, before[0]?.brought ?? null, reached);
    const share = (i: number) => Math.ceil((i * (brought?.perItem ?? 0)) / root.perItem / alike.length);
    const count = share(before.length + 1) - share(before.length);
    joins.push({ sides: first, brought, takes: Array.from({ length: count }, () => brought?.id ?? '') });
    if (brought) reached.add(brought.id);
  }
}

/** Which of two parts comes to what is there already: the one that came before by another join of the two, or the new one. */
function isBrought(
  { inner, outer }: JoinSides,
  before: Part | null,
  reached: ReadonlySet<string>,
): Part | null {
  if (before) return before;
  if (reached.has(inner.id)) return reached.has(outer.id) ? null : outer;
  return inner;
}

const slides = ({ join }: JoinSides): boolean => join.kind === 'ring on shaft';
const slidFirst = (a: JoinSides, b: JoinSides): number => Number(slides(b)) - Number(slides(a));

/** Where an item cannot be put together as it is drawn: numbers that do not go into each other, a ring that does not pass. */
export function branchFindings({ root, joins }: Branch): Finding[] {
  return joins.flatMap(({ sides }) => [...countFindings(root, sides), ...passFindings(sides)]);
}

function countFindings(root: Part, { join, inner, outer }: JoinSides): Finding[] {
  return [inner, outer]
    .filter((part) => part.perItem % root.perItem !== 0)
    .map((part) => ({
      id: `assemble.count.${join.id}.${part.id}`,
      severity: 'stop',
      stage: 'assemble',
      partId: part.id,
      what: `${part.perItem} × ${part.name} do not go with ${root.perItem} × ${root.name}.`,
      why: 'They are joined, and some would be left over.',
      remedy: `Give the item a number of ${part.name} that ${root.perItem} goes into.`,
    }));
}

/** A ring passes over one end of its shaft at least. */
function passFindings({ join, inner, outer, mouth }: JoinSides): Finding[] {
  if (join.kind !== 'ring on shaft') return [];
  const outline = outlineOf(inner.turnings[0]);
  const at = join.at?.mm ?? outline.length / 2;
  const over = (x0: number, x1: number) =>
    widestOf({ segments: outline.segments.filter((s) => s.x1 > x0 + SLACK && s.x0 < x1 - SLACK) }).diameter;
  const least = Math.min(over(0, at), over(at, outline.length));
  if (least <= mouth.diameter.mm + PASSES) return [];
  return [
    {
      id: `assemble.pass.${join.id}`,
      severity: 'stop',
      stage: 'assemble',
      partId: outer.id,
      what: `The ${outer.name} does not pass over either end of the ${inner.name}.`,
      why: `Its hole is ${len(mouth.diameter.mm)}, the slimmer side is ${len(least)} at its widest.`,
      remedy: 'Drill the hole wider, or turn it as a ring out of the same wood.',
    },
  ];
}

const SLACK = 1e-6;
/** Wood gives so much when it is pushed over, mm. */
const PASSES = 0.1;
