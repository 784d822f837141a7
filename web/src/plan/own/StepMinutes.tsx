import { minutesInWords, type Plan, type Step } from '@compas/core';
import { useState } from 'react';
import { useDeciding } from './deciding.js';
import { StepChoice } from './StepChoice.js';

/** What each step of a piece is counted with, the longest first; each can be set. */
export function StepMinutes({ plan: { parts, item } }: { plan: Plan }) {
  const [open, setOpen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const deciding = useDeciding();
  const steps = [...parts[0].steps, ...(item?.steps ?? [])]
    .filter((s) => s.minutes > 0 && (s.share?.place ?? 1) === 1)
    .sort((a, b) => b.minutes - a.minutes);
  const shown = all ? steps : steps.slice(0, LONGEST);
  return (
    <section aria-labelledby="minutes">
      <h2 id="minutes">Where the minutes of a piece go</h2>
      <table className="table step-minutes">
        <tbody>
          {shown.map((step) => (
            <Line
              key={step.id}
              step={step}
              open={open === step.id}
              onOpen={
                deciding && (step.item !== true || deciding.leads)
                  ? (wanted) => setOpen(wanted ? step.id : null)
                  : null
              }
            />
          ))}
        </tbody>
      </table>
      {steps.length > LONGEST && (
        <button type="button" className="more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the longest' : `${steps.length - LONGEST} shorter ones`}
        </button>
      )}
    </section>
  );
}

const LONGEST = 8;

interface LineProps {
  step: Step;
  open: boolean;
  onOpen: ((open: boolean) => void) | null;
}

function Line({ step, open, onOpen }: LineProps) {
  return (
    <tr>
      <td>
        {step.title}
        {open && onOpen && <StepChoice step={step} tools={[]} onDone={() => onOpen(false)} />}
      </td>
      <td className="number figures">{minutesInWords(step.minutes)}</td>
      <td>
        {onOpen && (
          <button
            type="button"
            className="step-more"
            aria-expanded={open}
            aria-label={`Otherwise: ${step.title}`}
            onClick={() => onOpen(!open)}
          >
            otherwise
          </button>
        )}
      </td>
    </tr>
  );
}
