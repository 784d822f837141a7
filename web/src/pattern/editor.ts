import type { Part, PatternBody, Turning, Workshop } from '@compas/core';
import { createContext, useContext } from 'react';
import { partAt, turningAt, type Spot } from './editing.js';

/** What every panel of the editor shares: the body, where the work is, and how to change it. */
export interface Editor {
  body: PatternBody;
  workshop: Workshop;
  spot: Spot;
  goTo: (spot: Spot) => void;
  /** changes with the same tag are undone together */
  change: (body: PatternBody, tag?: string) => void;
  selected: string | null;
  select: (id: string | null) => void;
}

export const EditorContext = createContext<Editor | null>(null);

export function useEditor(): Editor & { part: Part; turning: Turning } {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('A panel belongs in the pattern editor.');
  return {
    ...editor,
    part: partAt(editor.body, editor.spot),
    turning: turningAt(editor.body, editor.spot),
  };
}
