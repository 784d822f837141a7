import { keysOf, UNITS, type Units } from '@compas/core';
import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';

const KEY = 'compas.units';

interface UnitsState {
  units: Units;
  setUnits: (units: Units) => void;
}

const Context = createContext<UnitsState>({ units: 'mm', setUnits: () => undefined });

/** The reader's units: their own choice on this device, else those of the workshop. */
export function UnitsProvider({ usual, children }: { usual: Units; children: ReactNode }) {
  const [chosen, choose] = useState<Units | null>(() => storedUnits());
  const state = useMemo<UnitsState>(
    () => ({
      units: chosen ?? usual,
      setUnits: (units) => {
        localStorage.setItem(KEY, units);
        choose(units);
      },
    }),
    [chosen, usual],
  );
  return <Context value={state}>{children}</Context>;
}

function storedUnits(): Units | null {
  const stored = localStorage.getItem(KEY);
  return keysOf(UNITS).find((u) => u === stored) ?? null;
}

export const useUnits = (): UnitsState => useContext(Context);
