import { useState } from 'react';

/** How a screen at the lathe is set up, kept on the tablet itself. */
export interface Tablet {
  hand: 'right' | 'left';
  light: 'dark' | 'bright';
  set: (change: Partial<Pick<Tablet, 'hand' | 'light'>>) => void;
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

function read(): Pick<Tablet, 'hand' | 'light'> {
  const found = safely(localStorage.getItem(KEY));
  return {
    hand: found.hand === 'left' ? 'left' : 'right',
    light: found.light === 'bright' ? 'bright' : 'dark',
  };
}

/** What somebody else wrote there is no reason to show nothing. */
function safely(text: string | null): { hand?: unknown; light?: unknown } {
  try {
    const found: unknown = JSON.parse(text ?? '{}');
    return typeof found === 'object' && found !== null ? found : {};
  } catch {
    return {};
  }
}
