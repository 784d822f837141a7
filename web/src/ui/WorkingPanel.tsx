import type { Figure } from '@compas/core';
import { FigureValue } from './FigureValue.js';
import { Say } from './Length.js';

/** The working of a figure: its rule, what went into it, where that is from. */
export function WorkingPanel({ figure: { working } }: { figure: Figure }) {
  return (
    <div className="working">
      <Say text={working.rule} />
      <dl>
        {working.inputs.map((input) => (
          <div key={input.label} className="working-line">
            <dt>{input.label}</dt>
            <dd>
              <FigureValue value={input.value} unit={input.unit} />
            </dd>
          </div>
        ))}
      </dl>
      <span className="soft">
        From {working.source}.{working.school ? ` School: ${working.school}.` : ''}
      </span>
    </div>
  );
}
