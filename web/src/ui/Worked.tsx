import type { Figure } from '@compas/core';
import { useState, type ReactNode } from 'react';
import { WorkingPanel } from './WorkingPanel.js';

/** A figure in a table: it opens its working below itself. */
export function Worked({ figure, children }: { figure: Figure | undefined; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  if (!figure) return children;
  return (
    <>
      <button
        type="button"
        className="worked"
        aria-expanded={open}
        title={`${figure.label}: how it is worked out`}
        onClick={() => setOpen(!open)}
      >
        {children}
      </button>
      {open && <WorkingPanel figure={figure} />}
    </>
  );
}
