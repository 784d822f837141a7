import { formatLength, lengthOf, type PartPlan } from '@compas/core';
import { useUnits } from '../ui/units.js';

const WIDTH = 640;
const HEIGHT = 26;

interface Block {
  what: string;
  length: number;
  kind: 'fixture' | 'blank' | 'left';
}

/** What lies between the centres, to scale: fixture, blank, and what is left for the tailstock. */
export function StackBar({ part: { mount, blank }, room }: { part: PartPlan; room: number }) {
  const { units } = useUnits();
  const stack = mount.stack ?? [];
  const rest = mount.reach - lengthOf(stack);
  const blocks: Block[] = [
    ...stack.filter((s) => !s.behind).map((s): Block => ({ ...s, kind: 'fixture' })),
    ...(rest > 0.05 ? [{ what: 'fixture', length: rest, kind: 'fixture' as const }] : []),
    { what: 'blank', length: blank.length, kind: 'blank' },
    ...stack.filter((s) => s.behind).map((s): Block => ({ ...s, kind: 'fixture' })),
    { what: 'left', length: Math.max(0, room - mount.reach - blank.length), kind: 'left' },
  ];
  const all = Math.max(room, mount.reach + blank.length);
  const placed = blocks.map((block, i) => ({
    ...block,
    at: (blocks.slice(0, i).reduce((sum, b) => sum + b.length, 0) / all) * WIDTH,
    wide: (block.length / all) * WIDTH,
  }));
  return (
    <figure className="stack">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="What lies between the centres, to scale">
        {placed
          .filter((b) => b.length > 0)
          .map((b) => (
            <rect
              key={`${b.what}${b.at}`}
              x={b.at}
              y={3}
              width={b.wide}
              height={HEIGHT - 6}
              className={b.kind}
            />
          ))}
      </svg>
      <figcaption>
        {placed
          .filter((b) => b.length > 0)
          .map((b) => (
            <span key={`${b.what}${b.at}`} className={b.kind}>
              {b.what} {formatLength(b.length, units)}
            </span>
          ))}
      </figcaption>
    </figure>
  );
}
