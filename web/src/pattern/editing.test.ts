import {
  checkPattern,
  differenceInWords,
  dim,
  outlineOf,
  STARTING_FORMS,
  type PatternBody,
} from '@compas/core';
import {
  addPart,
  addTurning,
  changeHoles,
  firstSpot,
  fitKit,
  insertElement,
  joinElements,
  mirrorPart,
  moveElement,
  pasteElements,
  removeElement,
  removePart,
  repeatElement,
  replaceElement,
  splitElement,
  takeUp,
  type Spot,
} from './editing.js';

const stopper = (): PatternBody => STARTING_FORMS[0].body({}, 'maple');
const HERE: Spot = firstSpot(stopper());
const ids = (body: PatternBody): string[] => body.parts[0].turnings[0].elements.map((e) => e.id);

describe('editing', () => {
  it('puts a new element after another, with an id that was never used, and it can be made', () => {
    const { body, id } = insertElement(stopper(), HERE, 'bead', 'e2');
    expect(ids(body)).toEqual(['e1', 'e2', 'e101', 'e3', 'e4', 'e5']);
    expect(id).toBe('e101');
    expect(checkPattern(body)).toEqual([]);
    const again = insertElement(removeElement(body, HERE, id), HERE, 'cove', null);
    expect(again.id).toBe('e102');
    expect(ids(again.body)[0]).toBe('e102');
  });

  it.each([
    'cylinder',
    'taper',
    'bead',
    'cove',
    'ogee',
    'shoulder',
    'v-groove',
    'sphere',
    'oval',
    'arc',
    'fair',
    'tenon',
    'repeat',
  ] as const)('a new %s can be made wherever it is put', (kind) => {
    for (const after of [null, 'e1', 'e3', 'e5']) {
      const { body } = insertElement(stopper(), HERE, kind, after);
      const own = checkPattern(body).filter((p) => p.elementId === 'e101');
      expect(own).toEqual([]);
    }
  });

  it('a ball comes to a point at the end of a piece, and goes on amid it', () => {
    const endOf = (after: string | null) => {
      const { body } = insertElement(stopper(), HERE, 'sphere', after);
      const ball = body.parts[0].turnings[0].elements.find((e) => e.id === 'e101');
      return ball && 'endDiameter' in ball ? ball.endDiameter?.mm : undefined;
    };
    const last = stopper().parts[0].turnings[0].elements.at(-1)!.id;
    expect(endOf(last)).toBe(0);
    expect(endOf('e1')).toBeGreaterThan(3);
  });

  it('moves an element over its neighbour, and not over the end', () => {
    expect(ids(moveElement(stopper(), HERE, 'e3', -1))).toEqual(['e1', 'e3', 'e2', 'e4', 'e5']);
    expect(ids(moveElement(stopper(), HERE, 'e1', -1))).toEqual(ids(stopper()));
    expect(ids(moveElement(stopper(), HERE, 'e5', 1))).toEqual(ids(stopper()));
  });

  it('leaves the body it was given as it was', () => {
    const before = stopper();
    const [first] = before.parts[0].turnings[0].elements;
    if (first?.kind !== 'cylinder') throw new Error('the stopper begins with a foot');
    const after = replaceElement(before, HERE, { ...first, length: dim(9) });
    expect(before).toEqual(stopper());
    expect(differenceInWords(before, after)[0]).toContain('foot');
    expect(outlineOf(after.parts[0].turnings[0]).length).toBeCloseTo(62 - 3.72 + 9, 9);
  });

  it('fits a kit once, changes it in place, and takes it away', () => {
    const fitted = fitKit(stopper(), 'part1', 'reference', 'a');
    expect(fitted.hardware).toEqual([{ id: 'h101', kitId: 'a', partId: 'part1', end: 'reference' }]);
    expect(fitKit(fitted, 'part1', 'reference', 'b').hardware).toEqual([
      { id: 'h101', kitId: 'b', partId: 'part1', end: 'reference' },
    ]);
    expect(fitKit(fitted, 'part1', 'reference', null).hardware).toEqual([]);
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
    expect(changeHoles(stopper(), 'part1', (all) => [...all, hole]).parts[0].holes).toEqual([hole]);
  });

  it('cuts an element in two and joins it again', () => {
    const before = stopper();
    const cut = splitElement(before, HERE, 'e4');
    expect(ids(cut)).toEqual(['e1', 'e2', 'e3', 'e4', 'e101', 'e5']);
    const whole = joinElements(cut, HERE, 'e4');
    expect(ids(whole)).toEqual(ids(before));
    expect(differenceInWords(before, whole)).toEqual([]);
  });

  it('lets one element take up what is left, and gives it its length back', () => {
    const taking = takeUp(takeUp(stopper(), HERE, 'e2'), HERE, 'e4');
    const { elements, total } = taking.parts[0].turnings[0];
    expect(elements.filter((e) => e.takesUp).map((e) => e.id)).toEqual(['e4']);
    expect(total?.mm).toBeCloseTo(62, 6);
    const given = takeUp(taking, HERE, 'e4');
    expect(given.parts[0].turnings[0].total).toBeUndefined();
    expect(outlineOf(given.parts[0].turnings[0]).length).toBeCloseTo(62, 6);
  });

  it('makes rows and pastes elements under ids of their own', () => {
    const row = repeatElement(stopper(), HERE, 'e3', 3);
    expect(checkPattern(row)).toEqual([]);
    const pasted = pasteElements(row, HERE, row.parts[0].turnings[0].elements, 'e5');
    expect(checkPattern(pasted).filter((p) => p.why.includes('the id'))).toEqual([]);
    expect(new Set(ids(pasted)).size).toBe(ids(pasted).length);
  });

  it('turned end for end, holes and hardware change ends too', () => {
    const fitted = fitKit(stopper(), 'part1', 'reference', 'a');
    const mirrored = mirrorPart(fitted, HERE);
    expect(mirrored.hardware[0]?.end).toBe('far');
    expect(outlineOf(mirrored.parts[0].turnings[0]).length).toBeCloseTo(62, 6);
  });

  it('adds parts and axes, and takes them away with what hung on them', () => {
    const { body, spot } = addPart(fitKit(stopper(), 'part1', 'reference', 'a'));
    expect(checkPattern(body)).toEqual([]);
    expect(body.parts).toHaveLength(2);
    const second = addTurning(body, spot.partId);
    expect(checkPattern(second.body)).toEqual([]);
    const left = removePart(second.body, 'part1');
    expect(left.parts.map((p) => p.id)).toEqual([spot.partId]);
    expect(left.hardware).toEqual([]);
    expect(removePart(left, spot.partId)).toBe(left);
  });
});
