import { dim, type Dimension } from '../measure/index.js';
import type { DimensionKey, Element } from './element.js';
import { dimensionOf, dimensionsOf, lieOf, withDimension } from './elementDimensions.js';
import type { Turning } from './pattern.js';

/** By how much lengths and diameters are multiplied. */
export interface Scaling {
  length: number;
  diameter: number;
}

/**
 * The turning scaled along and across its axis; what is held keeps its size. A radius of a curve goes
 * by the larger of the two, so that a curve that could be made stays one that can, and so do a blend
 * and a fitted hole across.
 */
export function scaled(turning: Turning, by: Scaling): Turning {
  const start = turning.startHeld ? turning.startDiameter : times(turning.startDiameter, by.diameter);
  return {
    ...turning,
    startDiameter: start,
    elements: turning.elements.map((element) => scaledElement(element, by)),
    ...(turning.total ? { total: times(turning.total, by.length) } : {}),
  };
}

function scaledElement(element: Element, by: Scaling): Element {
  const sized = dimensionsOf(element.kind).reduce<Element>((e, key) => {
    const value = dimensionOf(e, key);
    return !value || e.held?.includes(key) ? e : withDimension(e, key, times(value, factorOf(key, by)));
  }, element);
  if (sized.kind === 'repeat') return { ...sized, elements: sized.elements.map((e) => scaledElement(e, by)) };
  if (sized.kind === 'fair')
    return {
      ...sized,
      points: sized.points.map((p) => ({
        at: times(p.at, by.length),
        diameter: times(p.diameter, by.diameter),
      })),
    };
  return sized;
}

function factorOf(key: DimensionKey, by: Scaling): number {
  switch (lieOf(key)) {
    case 'along':
      return by.length;
    case 'across':
      return by.diameter;
    case 'free':
      return Math.max(by.length, by.diameter);
  }
}

/** Nobody sets a calliper finer than this, mm. */
const STEP = 0.01;

/** A dimension multiplied; untouched it keeps the text it was typed as. */
const times = (dimension: Dimension, by: number): Dimension =>
  by === 1 ? dimension : dim(Math.round((dimension.mm * by) / STEP) * STEP);
