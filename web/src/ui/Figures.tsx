import type { Figure } from '@compas/core';
import { useState } from 'react';
import { FigureValue } from './FigureValue.js';
import { Say } from './Length.js';

interface FiguresProps {
  figures: readonly Figure[];
  /** asked for elsewhere: its working stands open */
  opened?: string | null;
}

/** The few figures that decide; each opens its working. */
export function Figures({ figures, opened = null }: FiguresProps) {
  const [own, setOpen] = useState<string | null | undefined>(undefined);
  const open = own === undefined ? opened : own;
  return (
    <div>
      {figures.map((figure) => (
        <div key={figure.id}>
          <button
            type="button"
            className="figure-button"
            aria-expanded={open === figure.id}
            onClick={() => setOpen(open === figure.id ? null : figure.id)}
          >
            <span className="label">{figure.label}</span>
            <br />
            <span className="value">
              {figure.unit === 'rpm' && figure.value === 0 ? (
                'by treadle'
              ) : (
                <FigureValue value={figure.value} unit={figure.unit} />
              )}
            </span>
          </button>
          {open === figure.id && <WorkingPanel figure={figure} />}
        </div>
      ))}
    </div>
  );
}

function WorkingPanel({ figure: { working } }: { figure: Figure }) {
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
