/** Inches are exactly 25.4 mm (international inch, 1959). */
export const MM_PER_INCH = 25.4;

/** How a workshop reads its lengths. */
export const UNITS = {
  mm: 'millimetres',
  inch: 'inch fractions',
  'decimal-inch': 'decimal inches',
} as const;
export type Units = keyof typeof UNITS;

/** A number that was entered wrongly and put right: what stood there and why it was changed. */
export interface Correction {
  raw: string;
  reason: string;
}

/**
 * A length that a person entered. `mm` is what is calculated with; `typed` is the text as it was
 * entered, so that an inch fraction shows again as that fraction.
 */
export interface Dimension {
  mm: number;
  typed?: string;
  correction?: Correction;
}

/** A dimension that was calculated or set by Compas, without typed text. */
export const dim = (mm: number): Dimension => ({ mm });
