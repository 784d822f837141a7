import type { Figure } from '@compas/core';
import { useState } from 'react';
import { FigureValue } from './FigureValue.js';
import { Say } from './Length.js';
import { WorkingPanel } from './WorkingPanel.js';

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
              <Value figure={figure} />
            </span>
          </button>
          {open === figure.id && <WorkingPanel figure={figure} />}
        </div>
      ))}
    </div>
  );
}

/** The number in the reader's units; what has a name stamped on it is told by that. */
function Value({ figure: { value, unit, told } }: { figure: Figure }) {
  if (told !== undefined) return <Say text={told} />;
  if (unit === 'rpm' && value === 0) return 'by treadle';
  return <FigureValue value={value} unit={unit} />;
}
