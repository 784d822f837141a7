import { checkPattern, type PatternBody } from '@compas/core';
import type { Pattern } from '../api/patterns.js';
import { draftOf } from './drafts.js';

/** What of a pattern is edited together. */
export interface EditedPattern {
  name: string;
  body: PatternBody;
}

/** What the draft of a pattern is kept under. */
export const patternDraft = (id: string): string => `pattern/${id}`;

/** A pattern as it is edited on this device and not saved yet; null where nothing is, or where it cannot be made so. */
export function editedPattern(pattern: Pattern): Pattern | null {
  const kept = draftOf<EditedPattern>(patternDraft(pattern.id));
  if (!kept || checkPattern(kept.mine.body).length > 0) return null;
  return { ...pattern, ...kept.mine };
}
