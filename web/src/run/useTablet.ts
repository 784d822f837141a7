import { useState } from 'react';

/** How a screen at the lathe is set up, kept on the tablet itself. */
export interface Tablet {
  hand: 'right' | 'left';
  light: 'dark' | 'bright';
  /** a tone when the work is held, waits or stops */
  tone: boolean;
  /** of this screen, as it was set with a calliper; null until then */
  pxPerMm: number | null;
  /** who works at it; null until somebody said so */
  who: string | null;
  set: (change: Partial<Omit<Tablet, 'set'>>) => void;
}

const KEY = 'compas.tablet';

export function useTablet(): Tablet {
  const [kept, keep] = useState(read);
  return {
    ...kept,
    set: (change) => {
      const next = { ...kept, ...change };
      keep(next);
      localStorage.setItem(KEY, JSON.stringify(next));
    },
  };
}

function read(): Omit<Tablet, 'set'> {
  const found = safely(localStorage.getItem(KEY));
  return {
    hand: found.hand === 'left' ? 'left' : 'right',
    light: found.light === 'bright' ? 'bright' : 'dark',
    tone: found.tone !== false,
    pxPerMm: typeof found.pxPerMm === 'number' && found.pxPerMm > 0 ? found.pxPerMm : null,
    who: typeof found.who === 'string' && found.who !== '' ? found.who : null,
  };
}

/** What somebody else wrote there is no reason to show nothing. */
function safely(text: string | null): Partial<Record<keyof Tablet, unknown>> {
  try {
    const found: unknown = JSON.parse(text ?? '{}');
    return typeof found === 'object' && found !== null ? found : {};
  } catch {
    return {};
  }
}
