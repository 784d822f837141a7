import { MM_PER_INCH, type Units } from '@compas/core';

/** One press of an arrow key: a tenth of a millimetre or 1/64 inch; with Shift ten or eight times that. */
export const STEP: Record<Units, { fine: number; coarse: number }> = {
  mm: { fine: 0.1, coarse: 1 },
  inch: { fine: MM_PER_INCH / 64, coarse: MM_PER_INCH / 8 },
  'decimal-inch': { fine: MM_PER_INCH / 1000, coarse: MM_PER_INCH / 100 },
};

/** The nearest length that the unit can show in its fine step. */
export const snapped = (mm: number, units: Units): number => {
  const { fine } = STEP[units];
  return Math.round(Math.max(0, mm) / fine) * fine;
};
