import { weighingProblems, type DryingBundle } from '@compas/core';
import { Button, Input, InputNumber } from 'antd';
import { useState } from 'react';
import type { Bundle } from '../api/stock.js';
import { Trouble } from '../ui/Trouble.js';
import { editedBundle, useBundleSave } from './useBundleSave.js';

/** The weights of a bundle: a new one is added, a wrong one taken out. */
export function Weighings({ kept, today }: { kept: Bundle; today: string }) {
  const { bundle } = kept;
  const [day, setDay] = useState(today);
  const [grams, setGrams] = useState<number | null>(null);
  const change = useBundleSave(kept.id);
  const keep = (weighings: DryingBundle['weighings'], onSuccess?: () => void) =>
    change.mutate({ base: editedBundle(kept), mine: { ...bundle, weighings } }, { onSuccess });
  const next =
    grams === null ? null : [...bundle.weighings, { day, grams }].sort((a, b) => a.day.localeCompare(b.day));
  const [problem] = next ? weighingProblems(next) : [];
  return (
    <div className="column">
      <h3>Weights</h3>
      <ul className="weights">
        {bundle.weighings.map((w) => (
          <li key={w.day}>
            <span className="figures">
              {w.day} {w.grams} g
            </span>
            <Button
              type="text"
              size="small"
              aria-label={`Take out the weight of ${w.day}`}
              onClick={() => keep(bundle.weighings.filter((x) => x !== w))}
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <form
        className="row fields"
        onSubmit={(e) => {
          e.preventDefault();
          // what was written down is not asked about again
          if (next && !problem) keep(next, () => setGrams(null));
        }}
      >
        <label>
          Day
          <Input
            aria-label="Day of the weighing"
            value={day}
            onChange={(e) => setDay(e.target.value)}
            className="w-word"
          />
        </label>
        <label>
          Weighs, g
          <InputNumber aria-label="Weight, g" value={grams} min={1} onChange={setGrams} className="w-date" />
        </label>
        <Button
          htmlType="submit"
          type="primary"
          disabled={next === null || problem !== undefined}
          loading={change.isPending}
        >
          Write the weight down
        </Button>
      </form>
      {problem && (
        <p role="alert" className="why">
          ■ {problem.why}
        </p>
      )}
      <Trouble error={change.error} />
      {change.dialog}
    </div>
  );
}
