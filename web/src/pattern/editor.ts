import type { Outline, Part, PatternBody, Turning, Workshop } from '@compas/core';
import { createContext, useContext } from 'react';
import { partAt, turningAt, type Spot } from './editing.js';

/** What every panel of the editor shares: the body, where the work is, and how to change it. */
export interface Editor {
  body: PatternBody;
  /** of the turning that is edited */
  outline: Outline;
  workshop: Workshop;
  spot: Spot;
  goTo: (spot: Spot) => void;
  /** changes with the same tag are undone together */
  change: (body: PatternBody, tag?: string) => void;
  selected: string | null;
  select: (id: string | null) => void;
}

export const EditorContext = createContext<Editor | null>(null);

/**
 * What a row of the list needs: none of it changes with the body, so that a change redraws only the
 * rows it touches.
 */
export interface EditorActions {
  spot: Spot;
  lathe: { swing: number; betweenCentres: number };
  update: (to: (body: PatternBody) => PatternBody, tag?: string) => void;
  read: () => PatternBody;
  select: (id: string | null) => void;
}

export const EditorActionsContext = createContext<EditorActions | null>(null);

export function useEditorActions(): EditorActions {
  const actions = useContext(EditorActionsContext);
  if (!actions) throw new Error('A row belongs in the pattern editor.');
  return actions;
}

export function useEditor(): Editor & { part: Part; turning: Turning } {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('A panel belongs in the pattern editor.');
  return {
    ...editor,
    part: partAt(editor.body, editor.spot),
    turning: turningAt(editor.body, editor.spot),
  };
}
