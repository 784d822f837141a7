import {
  checkPattern,
  differenceInWords,
  dim,
  outlineOf,
  STARTING_FORMS,
  type PatternBody,
} from '@compas/core';
import { changeHoles, fitKit, insertElement, moveElement, removeElement, replaceElement } from './editing.js';

const stopper = (): PatternBody => STARTING_FORMS[0].body({}, 'maple');
const ids = (body: PatternBody): string[] => body.parts[0].turnings[0].elements.map((e) => e.id);

describe('editing', () => {
  it('puts a new element after another, with an id that was never used, and it can be made', () => {
    const { body, id } = insertElement(stopper(), 'bead', 'e2');
    expect(ids(body)).toEqual(['e1', 'e2', 'e6', 'e3', 'e4', 'e5']);
    expect(id).toBe('e6');
    expect(checkPattern(body)).toEqual([]);
    const again = insertElement(removeElement(body, id), 'cove', null);
    expect(again.id).toBe('e7');
    expect(ids(again.body)[0]).toBe('e7');
  });

  it.each(['cylinder', 'taper', 'bead', 'cove', 'shoulder', 'v-groove', 'sphere', 'arc'] as const)(
    'a new %s can be made wherever it is put',
    (kind) => {
      for (const after of [null, 'e1', 'e3', 'e5']) {
        const { body } = insertElement(stopper(), kind, after);
        const own = checkPattern(body).filter((p) => p.elementId === 'e6');
        expect(own).toEqual([]);
      }
    },
  );

  it('moves an element over its neighbour, and not over the end', () => {
    expect(ids(moveElement(stopper(), 'e3', -1))).toEqual(['e1', 'e3', 'e2', 'e4', 'e5']);
    expect(ids(moveElement(stopper(), 'e1', -1))).toEqual(ids(stopper()));
    expect(ids(moveElement(stopper(), 'e5', 1))).toEqual(ids(stopper()));
  });

  it('leaves the body it was given as it was', () => {
    const before = stopper();
    const [first] = before.parts[0].turnings[0].elements;
    if (first?.kind !== 'cylinder') throw new Error('the stopper begins with a foot');
    const after = replaceElement(before, { ...first, length: dim(9) });
    expect(before).toEqual(stopper());
    expect(differenceInWords(before, after)[0]).toContain('foot');
    expect(outlineOf(after.parts[0].turnings[0]).length).toBeCloseTo(62 - 3.72 + 9, 9);
  });

  it('fits a kit once, changes it in place, and takes it away', () => {
    const fitted = fitKit(stopper(), 'a');
    expect(fitted.hardware).toEqual([{ id: 'h6', kitId: 'a', partId: 'part1', end: 'reference' }]);
    expect(fitKit(fitted, 'b').hardware).toEqual([
      { id: 'h6', kitId: 'b', partId: 'part1', end: 'reference' },
    ]);
    expect(fitKit(fitted, null).hardware).toEqual([]);
  });

  it('changes holes', () => {
    const hole = {
      id: 'x',
      name: 'x',
      from: 'far' as const,
      through: true,
      pointAngle: 118,
      steps: [{ diameter: dim(5), depth: dim(1) }],
    };
    expect(changeHoles(stopper(), (all) => [...all, hole]).parts[0].holes).toEqual([hole]);
  });
});
