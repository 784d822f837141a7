import type { OperationFigure } from '../figure.js';
import type { Work } from './work.js';

/** Every grit of the ladder in one step: how that is listed, and its figure. */
export function everyGrit({ sanding }: Pick<Work, 'sanding'>): { listed: string; figure: OperationFigure } {
  const grits = sanding.map((s) => s.grit);
  const [first = '', last = first] = [grits[0], grits.at(-1)];
  return {
    listed: grits.join(', '),
    figure: { is: first === last ? 'grit' : 'grits', text: first === last ? first : `${first} to ${last}` },
  };
}
