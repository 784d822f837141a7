import { len } from '../measure/index.js';

/** What the stock is when it comes to be centred. */
export const STOCK_FORMS = ['square', 'round', 'oval', 'irregular'] as const;
export type StockForm = (typeof STOCK_FORMS)[number];

/** How the centre of an end is found, and how far off it may be. */
export interface Centring {
  form: StockForm;
  words: string[];
  /** usual error, mm: typical */
  error: number;
}

/**
 * Finding the centre of a blank by its form.
 * @param section side or diameter, mm
 */
export function centringOf(form: StockForm, section: number): Centring {
  switch (form) {
    case 'square':
      return {
        form,
        error: 0.5,
        words: [
          `Lines from all four sides at ${len(section / 2)}: the centre is the middle of the small square they leave.`,
          'Diagonals do as well while the corners are sound.',
        ],
      };
    case 'round':
      return {
        form,
        error: 0.7,
        words: [
          'Hold the end in a V with a rule across: three lines at a third of a turn each; the centre is in the triangle they leave.',
          'Check with the compass: a circle just inside the edge must not run out of it.',
        ],
      };
    case 'oval':
      return {
        form,
        error: 1.5,
        words: [
          'Find the longest and the shortest way across the end; halve both, the centre is where the halves cross.',
          'Do both ends with the long way in the same direction: a twist costs diameter. What cleans up follows from the short way.',
        ],
      };
    case 'irregular':
      return {
        form,
        error: 2.5,
        words: [
          'There are no corners: measure both ends and the middle, and let Compas lay the largest clean cylinder into them.',
          'Mark its two centres from the same face; hold it lightly between them and turn it by hand: move a centre until the thinnest place clears.',
        ],
      };
  }
}
