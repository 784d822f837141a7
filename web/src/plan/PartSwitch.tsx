import type { Plan } from '@compas/core';
import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { SHOWN } from '../ui/planAddress.js';

/** Which part of an item is shown, kept in the address; the first when none is named. */
export function useShownPart({ parts }: Pick<Plan, 'parts'>): [string, (partId: string) => void] {
  const [search, setSearch] = useSearchParams();
  const wanted = search.get(SHOWN);
  const shown = parts.find((p) => p.partId === wanted) ?? parts[0];
  const show = (partId: string) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (partId === parts[0].partId) after.delete(SHOWN);
        else after.set(SHOWN, partId);
        return after;
      },
      { replace: true },
    );
  return [shown.partId, show];
}

/** The parts of an item side by side: the stages show one of them at a time. */
export function PartSwitch({ plan, shown, show }: { plan: Plan; shown: string; show: (id: string) => void }) {
  if (plan.parts.length < 2) return null;
  // in the order in which they stand in the plan of the whole, whichever is shown
  return (
    <Segmented<string>
      aria-label="Part shown"
      value={shown}
      onChange={show}
      options={plan.parts.map((p) => ({ value: p.partId, label: `${p.name} × ${p.pieces}` }))}
    />
  );
}
