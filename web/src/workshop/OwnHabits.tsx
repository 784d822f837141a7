import { bitWords, decisionWords, materialById, type Habit, type Workshop } from '@compas/core';
import { Button } from 'antd';
import { dayWords } from '../ui/clock.js';
import { Say } from '../ui/Length.js';

interface OwnHabitsProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

/** What is done here otherwise than usual, whatever is made: decided on a plan, taken back here. */
export function OwnHabits({ workshop, onChange }: OwnHabitsProps) {
  const { ways = [], tools, bits, finishes } = workshop;
  if (ways.length === 0)
    return (
      <p className="soft">
        What is always done your way is decided on a plan, where it stands: “otherwise”, then for how much it
        holds.
      </p>
    );
  const names = new Map([
    ...[...tools, ...finishes].map((t) => [t.id, t.name] as const),
    ...bits.map((b) => [b.id, bitWords(b)] as const),
  ]);
  const words = (way: Habit) => decisionWords(way.decides, (id) => names.get(id) ?? id);
  const holdsFor = ({ materialId, itemKind }: Habit) =>
    itemKind !== undefined
      ? `every ${itemKind}`
      : materialId === undefined
        ? 'everything made here'
        : `everything in ${(materialById(materialId, workshop.materials)?.name ?? materialId).toLowerCase()}`;
  return (
    <>
      <h3>Always done your way</h3>
      <ul className="own" aria-label="Always done your way">
        {ways.map((way) => (
          <li key={way.id}>
            <b>
              <Say text={words(way)} />
            </b>{' '}
            <span className="soft">
              · {holdsFor(way)}
              {way.by !== '' && ` · ${way.by}, ${dayWords(way.at.slice(0, 10))}`}
              {way.why !== '' && ` · “${way.why}”`}
            </span>{' '}
            <Button
              size="small"
              aria-label={`Never again: ${words(way)}`}
              onClick={() => onChange({ ...workshop, ways: ways.filter((w) => w.id !== way.id) })}
            >
              Never again
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
