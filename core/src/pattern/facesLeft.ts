import type { Outline } from './shape.js';

/**
 * How the faces of a square that stays in the piece are left, for nothing comes after the saw or the plane; null where none
 * stays. One that is planed has its whole blank planed.
 */
export function facesLeft({ spans }: Pick<Outline, 'spans'>): 'planed' | 'sawn' | null {
  const squares = spans.flatMap(({ element }) => (element.kind === 'square' ? [element] : []));
  if (squares.length === 0) return null;
  return squares.some((s) => s.faces !== 'sawn') ? 'planed' : 'sawn';
}
