import { dimensionOf, dimensionsOf, usualOf, type DimensionKey, type Element } from '@compas/core';

/** The dimensions to show of an element: those it must have, and the others where they are given. */
export const givenDimensions = (element: Element): DimensionKey[] =>
  dimensionsOf(element.kind).filter(
    (key) => usualOf(element.kind, key) === undefined || dimensionOf(element, key) !== undefined,
  );
