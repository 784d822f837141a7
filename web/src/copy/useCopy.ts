import { oneCurve, outlineOf, type FittedSample, type Outline, type Turning } from '@compas/core';
import { useEffect, useMemo, useState } from 'react';

/** A copy as it will be made. */
export interface Copy {
  turning: Turning | null;
  outline: Outline | null;
  /** an element and the one before it become one fair curve; null where a step lies between them */
  joinBefore: (index: number) => void;
  canJoinBefore: (index: number) => boolean;
  /** something was joined, and can be taken back */
  changed: boolean;
  undo: () => void;
}

/** What was fitted, and which of its elements were made one curve; a new fit begins anew. */
export function useCopy(fitted: FittedSample | null): Copy {
  const [joined, setJoined] = useState<Turning[]>([]);
  useEffect(() => setJoined([]), [fitted]);
  const turning = joined.at(-1) ?? fitted?.turning ?? null;
  const outline = useMemo(() => (turning ? outlineOf(turning) : null), [turning]);
  const asOne = (index: number) => (turning && index > 0 ? oneCurve(turning, index - 1, index) : null);
  return {
    turning,
    outline,
    joinBefore: (index) => {
      const next = asOne(index);
      if (next) setJoined([...joined, next]);
    },
    canJoinBefore: (index) => asOne(index) !== null,
    changed: joined.length > 0,
    undo: () => setJoined(joined.slice(0, -1)),
  };
}
