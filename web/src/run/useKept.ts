import type { RunEventBody } from '@compas/core';
import { useState } from 'react';

/** Records on the piece at hand. True when this device kept it; where it could not, nothing that was typed may be cleared. */
export type Keep = (...bodies: RunEventBody[]) => Promise<boolean>;

/** What is recorded at the lathe is kept, or it is said on the screen that it was not. */
export function useKept(record: (...bodies: RunEventBody[]) => Promise<void>): {
  keep: Keep;
  notKept: boolean;
} {
  const [notKept, setNotKept] = useState(false);
  const keep: Keep = async (...bodies) => {
    try {
      await record(...bodies);
      setNotKept(false);
      return true;
    } catch {
      setNotKept(true);
      return false;
    }
  };
  return { keep, notKept };
}
