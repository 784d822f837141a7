import { dim } from '../measure/index.js';
import {
  checkPattern,
  differenceInWords,
  extremes,
  outlineOf,
  STARTING_FORMS,
  withDimension,
  type PatternBody,
} from './index.js';

const stopper = (): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === 'stopper');
  if (!form) throw new Error('no stopper form');
  return form.body({}, 'maple');
};

describe('starting forms', () => {
  it.each(STARTING_FORMS.map((f) => [f.name, f] as const))('%s can be made as it comes', (_, form) => {
    const body = form.body({}, 'ash');
    expect(checkPattern(body)).toEqual([]);
    const outline = outlineOf(body.parts[0].turnings[0]);
    const asked = form.questions.find((q) => q.key === 'length' || q.label.startsWith('Total'));
    if (asked) expect(outline.length).toBeCloseTo(asked.usual, 6);
    const thickest = form.questions.find((q) => q.label.startsWith('Thickest'));
    if (thickest)
      expect(extremes(outline, 0, outline.length).largest.diameter).toBeCloseTo(thickest.usual, 6);
  });

  it('keep the sizes that were given', () => {
    const body = STARTING_FORMS.find((f) => f.id === 'rolling-pin')?.body(
      { end: dim(28), middle: dim(33), length: dim(250) },
      'ash',
    );
    const outline = outlineOf(body!.parts[0].turnings[0]);
    expect(extremes(outline, 0, 250).largest.diameter).toBeCloseTo(33, 9);
    expect(outline.spans[0]?.endDiameter).toBeCloseTo(28, 9);
  });
});

describe('checkPattern', () => {
  it('names the element and the dimension that is wrong', () => {
    const body = stopper();
    const [turning] = body.parts[0].turnings;
    turning.elements = turning.elements.map((e) =>
      e.name === 'foot' ? withDimension(e, 'length', dim(0)) : e,
    );
    expect(checkPattern(body)[0]?.why).toBe('foot: the length is zero. Give a length above zero.');
  });

  it('refuses two elements with one id', () => {
    const body = stopper();
    const [turning] = body.parts[0].turnings;
    turning.elements = turning.elements.map((e) => ({ ...e, id: 'same' }));
    expect(checkPattern(body)[0]?.why).toContain('Two elements');
  });
});

describe('differenceInWords', () => {
  it('speaks of what changed', () => {
    const before = stopper();
    const after = stopper();
    const [turning] = after.parts[0].turnings;
    turning.elements = turning.elements.map((e) =>
      e.name === 'collar' ? withDimension(e, 'crown', dim(33.5)) : e,
    );
    expect(differenceInWords(before, after)).toEqual([
      'collar crown diameter ⟦1.5⟧ thinner',
      'total length the same',
    ]);
    expect(differenceInWords(before, before)).toEqual([]);
  });
});
