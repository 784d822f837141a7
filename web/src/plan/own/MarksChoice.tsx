import { canBeLeftOut, threeUnits, type Layout } from '@compas/core';
import { Select } from 'antd';
import { useState } from 'react';
import { DRAWN_SCOPES } from './deciding.js';
import { Otherwise } from './Otherwise.js';

/** A place that gets no notch: its neighbours say enough. What all is measured from keeps its own. */
export function MarksChoice({ layout: { marks, datum } }: { layout: Layout }) {
  const [markId, setMarkId] = useState<string>();
  const possible = marks.filter((mark) => canBeLeftOut(mark) && mark.id !== datum?.id);
  if (possible.length === 0) return null;
  return (
    <Otherwise
      label="Leave a mark out"
      wanted={() => (markId === undefined ? null : { kind: 'unmarked', markId })}
      scopes={DRAWN_SCOPES}
      onClose={() => setMarkId(undefined)}
    >
      <Select
        aria-label="Mark that is left out"
        placeholder="which one"
        value={markId}
        onChange={setMarkId}
        className="w-phrase"
        options={possible.map(({ id, label, x, from = x }) => ({
          value: id,
          label: `${label}, ${threeUnits(from)}`,
        }))}
      />
    </Otherwise>
  );
}
