import type { StockForm } from '../../mounting/index.js';
import type { Outline } from '../../pattern/index.js';

/** Corners are sawn off when there are many: roughing is then faster and kinder. */
const CLIP_FROM = 4;

export const clipsCorners = (
  pieces: number,
  outline: Pick<Outline, 'squares'>,
  form: StockForm = 'square',
): boolean => pieces >= CLIP_FROM && outline.squares === undefined && form === 'square';
