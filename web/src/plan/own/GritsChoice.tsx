import { grainMicrons, type Abrasive, type GritStep } from '@compas/core';
import { Checkbox } from 'antd';
import { useState } from 'react';
import { Otherwise } from './Otherwise.js';

interface GritsChoiceProps {
  abrasives: readonly Abrasive[];
  ladder: readonly GritStep[];
}

/** Which grits, none, or its own shavings. */
export function GritsChoice({ abrasives, ladder }: GritsChoiceProps) {
  const [own, setChosen] = useState<string[] | null>(null);
  const chosen = own ?? ladder.map((s) => s.abrasive.id);
  const [burnish, setBurnish] = useState(false);
  const byGrain = [...abrasives].sort((a, b) => grainMicrons(b) - grainMicrons(a));
  const grits = byGrain.filter((a) => chosen.includes(a.id)).map(({ grit, scale }) => ({ grit, scale }));
  return (
    <Otherwise
      label="Sand it otherwise"
      wanted={() => ({ kind: 'grits', grits, burnish })}
      carries="all grits"
      onClose={() => setChosen(null)}
    >
      <Checkbox.Group
        aria-label="Grits"
        value={chosen}
        onChange={setChosen}
        options={byGrain.map((a) => ({ value: a.id, label: `${a.scale}${a.grit}` }))}
      />
      <button type="button" className="more" onClick={() => setChosen([])}>
        none, straight from the tool
      </button>
      <Checkbox checked={burnish} onChange={(e) => setBurnish(e.target.checked)}>
        burnish with its own shavings
      </Checkbox>
    </Otherwise>
  );
}
