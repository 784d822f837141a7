import type { Bit } from '../workshop/index.js';

/** What is needed of a hole to put it in order. */
interface Sequenced {
  id: string;
  bit: Bit | null;
}

/**
 * Order of holes with the fewest changes of bit found by staying with a bit as long as anything may still
 * be drilled with it. What must come first stays first: `before` names for each hole the one it waits for.
 */
export function bitSequence<T extends Sequenced>(
  holes: readonly T[],
  before: ReadonlyMap<string, string>,
): T[] {
  const left = [...holes];
  const done = new Set<string>();
  const ordered: T[] = [];
  let held: string | undefined;
  while (left.length > 0) {
    const ready = left.filter(({ id }) => {
      const first = before.get(id);
      return first === undefined || done.has(first) || !holes.some((h) => h.id === first);
    });
    const next = ready.find((h) => h.bit?.id === held) ?? ready[0] ?? left[0];
    if (!next) break;
    left.splice(left.indexOf(next), 1);
    done.add(next.id);
    ordered.push(next);
    held = next.bit?.id;
  }
  return ordered;
}

/** How often the bit is changed when holes are drilled in this order, the first one counted. */
export const bitChanges = (holes: readonly Sequenced[]): number =>
  holes.filter((h, i) => i === 0 || h.bit?.id !== holes[i - 1]?.bit?.id).length;
