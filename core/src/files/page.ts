/** Sheets that Compas prints on, mm. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;

export type Paper = keyof typeof PAPERS;

/** Paper, or as much as it takes: what a laser or a roll does not cut up. */
export type PrintPaper = Paper | 'roll';

/** What is drawn on a page, in mm from its top left corner; the same whoever writes the file. */
export type Ink =
  | {
      kind: 'line';
      x0: number;
      y0: number;
      x1: number;
      y1: number;
      weight: number;
      dashed?: boolean;
      cut?: boolean;
    }
  /** `cut` is what a laser or saw follows; everything else is only marked */
  | { kind: 'polyline'; points: [number, number][]; weight: number; filled?: boolean; cut?: boolean }
  | {
      kind: 'text';
      x: number;
      y: number;
      size: number;
      text: string;
      bold?: boolean;
      align?: 'left' | 'centre' | 'right';
    };

export interface Page {
  width: number;
  height: number;
  ink: Ink[];
}

/** Most printers leave this much of the edge white, mm. */
export const MARGIN = 12;

/** Words whose baseline begins at (x, y), mm. */
export const text = (x: number, y: number, size: number, words: string, more: Partial<Ink> = {}): Ink =>
  ({ kind: 'text', x, y, size, text: words, ...more }) as Ink;
/** A straight line, mm. */
export const line = (x0: number, y0: number, x1: number, y1: number, weight = 0.18, dashed = false): Ink => ({
  kind: 'line',
  x0,
  y0,
  x1,
  y1,
  weight,
  dashed,
});

/** Signs that the face on paper does not have, and what it has instead. */
const INSTEAD: Record<string, string> = {
  '⌀': 'Ø',
  '′': '’',
  '″': '”',
  '→': '–',
  '≈': '~',
  '▲': '!',
  '■': '!',
  µ: 'u',
};

/** A text with the signs that the face on paper has. */
export const onPaper = (text: string): string => text.replace(/[⌀′″→≈▲■µ]/g, (sign) => INSTEAD[sign] ?? sign);

/** Ink moved to another place of the sheet, mm. */
export function moved(ink: Ink, x: number, y: number): Ink {
  if (ink.kind === 'text') return { ...ink, x: ink.x + x, y: ink.y + y };
  if (ink.kind === 'line') return { ...ink, x0: ink.x0 + x, x1: ink.x1 + x, y0: ink.y0 + y, y1: ink.y1 + y };
  return { ...ink, points: ink.points.map(([px, py]): [number, number] => [px + x, py + y]) };
}
