import { copyingOf, templateOf, type Outline, type Template, type Workshop } from '@compas/core';
import { useMemo } from 'react';

/** The template of an outline for this workshop's copying attachment. */
export function useTemplate(outline: Outline, workshop: Workshop): Template {
  const { stylus, cutter } = copyingOf(workshop);
  return useMemo(() => templateOf(outline, { stylus, cutter }), [outline, stylus, cutter]);
}
