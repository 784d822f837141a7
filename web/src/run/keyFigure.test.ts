import { plan, type Step } from '@compas/core';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { keyFigure } from './keyFigure.js';

const { pattern, workshop, stock, order, schools } = exampleInputs(6);
const [part] = plan(pattern, workshop, stock, order, schools).parts;
const step = (id: string): Step => {
  const found = part.steps.find((s) => s.id.startsWith(id));
  if (!found) throw new Error(`There is no step ${id}.`);
  return found;
};

describe('the one number of a step', () => {
  it('is the size to cut to before sanding, and the finished size afterwards', () => {
    const collar = part.stations.find((s) => s.label === 'collar');
    expect(keyFigure(step('size'), part, collar)).toEqual({ label: 'collar, should be', mm: collar?.cutTo });
    expect(keyFigure(step('measure'), part, collar)).toEqual({
      label: 'collar, should be',
      mm: collar?.finished,
    });
  });

  it('is what is set for the step', () => {
    expect(keyFigure(step('saw'), part, undefined)).toEqual({
      label: 'blank, square',
      mm: part.blank.section,
    });
    expect(keyFigure(step('drill'), part, undefined)).toEqual({
      label: 'tape at',
      mm: part.drilling[0]?.tapeAt,
    });
    expect(keyFigure(step('fit'), part, undefined)).toEqual({ label: 'flush with the base', mm: 32 });
    expect(keyFigure(step('mark'), part, undefined)).toEqual({
      label: 'notches',
      text: String(part.layout.marks.length),
    });
    expect(keyFigure(step('sand'), part, undefined)).toEqual({
      label: 'grits',
      text: part.ladder.map((g) => g.abrasive.grit).join(' '),
    });
    expect(keyFigure(step('shape'), part, undefined)).toEqual({ label: 'speed', text: step('shape').speed });
  });

  it('is there for every step', () => {
    for (const s of part.steps) {
      const figure = keyFigure(s, part, undefined);
      expect('mm' in figure ? Number.isFinite(figure.mm) : figure.text.length > 0).toBe(true);
    }
  });
});
