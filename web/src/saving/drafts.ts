/** What was typed and not saved yet, kept on this device through a reload, a sign-in and a conflict. */
export interface KeptDraft<T> {
  /** what it was changed from, and its version then */
  base: Versioned<T>;
  mine: T;
  /** instant in ms */
  at: number;
}

/** A thing as it lies on the server, with the version it has there. */
export interface Versioned<T> {
  value: T;
  version: number;
}

const keyOf = (thing: string): string => `compas.draft/${thing}`;

export function draftOf<T>(thing: string): KeptDraft<T> | null {
  try {
    const kept = localStorage.getItem(keyOf(thing));
    return kept === null ? null : (JSON.parse(kept) as KeptDraft<T>);
  } catch {
    return null;
  }
}

/** @returns whether there was room for it */
export function keepDraft<T>(thing: string, draft: KeptDraft<T>): boolean {
  try {
    localStorage.setItem(keyOf(thing), JSON.stringify(draft));
    return true;
  } catch {
    return false;
  }
}

export const dropDraft = (thing: string): void => localStorage.removeItem(keyOf(thing));
