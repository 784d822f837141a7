import { FINISH_CURE, type WayScope } from '@compas/core';
import { InputNumber } from 'antd';
import { useState } from 'react';
import { DRAWN_SCOPES, EVERY_SCOPE } from './deciding.js';
import { Otherwise } from './Otherwise.js';

/** How long a glue or a finish is given, in hours. */
export function CureChoice({ of, what, minutes }: { of: string; what: string; minutes: number }) {
  const [own, setHours] = useState<number | null>(null);
  const hours = own ?? Math.round(minutes / 6) / 10;
  const scopes: readonly WayScope[] = of === FINISH_CURE ? EVERY_SCOPE : DRAWN_SCOPES;
  return (
    <Otherwise
      label={`Give ${what} another time`}
      scopes={scopes}
      wanted={() => ({ kind: 'cure', of, minutes: Math.round(hours * 60) })}
      onClose={() => setHours(null)}
      carries="the last coat of every finish"
    >
      <InputNumber
        aria-label={`Hours: ${what}`}
        value={hours}
        min={0}
        max={3000}
        step={0.5}
        onChange={setHours}
        className="w-word"
        suffix="h"
      />
    </Otherwise>
  );
}
