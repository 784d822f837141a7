import { stepDoes } from '../route/index.js';
import { dim } from '../measure/index.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, truedAcross } from './index.js';

const { workshop, stock, order, schools } = exampleInputs(4);
const leg = STARTING_FORMS.find((f) => f.id === 'leg')!;

/** A leg with a square of 40 whose faces are left from the plane or the saw, beside what is turned to a diameter. mm */
function planned({ faces, shoulder = 36 }: { faces?: 'planed' | 'sawn'; shoulder?: number } = {}) {
  const body = structuredClone(leg.body({}, 'beech'));
  const [turning] = body.parts[0].turnings;
  turning.startDiameter = dim(40);
  turning.elements = [
    { kind: 'square', id: 'e1', length: dim(60), across: dim(40), endDiameter: dim(28), shoulder: 'square' },
    { kind: 'cylinder', id: 'e2', length: dim(20) },
    { kind: 'taper', id: 'e3', length: dim(120), endDiameter: dim(shoulder) },
  ];
  if (faces) Object.assign(turning.elements[0]!, { faces });
  const made = plan({ ...body, hardware: [] }, workshop, stock, order, schools);
  const [part] = made.parts;
  return {
    part,
    figures: made.figures.stock ?? [],
    findings: made.findings,
    saw: part.steps.find((s) => stepDoes(s, 'saw'))!,
  };
}

it('a blank whose square stays is sawn so much larger as is planed off, and marked when it is planed', () => {
  const { part, saw } = planned();
  expect(part.blank.section).toBe(41);
  expect(saw.words.join(' ')).toContain('Saw to ⟦41⟧ square');
  expect(saw.words.join(' ')).toContain('Plane all four faces, to ⟦40⟧ square');
  expect(saw.operation?.said.slice(0, 2)).toMatchObject([
    { name: 'sawn', mm: 41 },
    { name: 'across', mm: 40 },
  ]);
  expect(truedAcross(part.outline, part.blank)).toBe(40);
  const marks = part.steps.find((s) => s.id === 'mark:centres')!;
  expect(marks.words[0]).toContain('⟦20⟧');
});

it('its figures say how it comes about, by what it comes from, and nothing of corners that are clipped', () => {
  const { figures } = planned();
  const square = figures.find((f) => f.id === 'blank.section')!;
  expect(square.value).toBe(41);
  expect(square.working.inputs.map((i) => i.value)).toEqual([40, 1]);
  expect(figures.map((f) => f.id)).toContain('blank.length');
  expect(figures.map((f) => f.id)).not.toContain('blank.clip');
});

it('one that stays as it is sawn is sawn to its size', () => {
  const { part, saw } = planned({ faces: 'sawn' });
  expect(part.blank.section).toBe(40);
  expect(saw.words.join(' ')).toContain('Saw to ⟦40⟧ square');
  expect(saw.operation?.said.map((s) => s.name)).not.toContain('sawn');
});

it('what is turned beside a square must lie in it wherever its centre is', () => {
  const beside = (shoulder: number) =>
    planned({ shoulder }).findings.find((f) => f.id === 'stock.square.part1');
  expect(workshop.allowances.centring).toBe(0.5);
  expect(beside(39)).toBeUndefined();
  expect(beside(39.4)).toMatchObject({
    severity: 'warn',
    what: '⟦39.4⟧ is turned beside a square of ⟦40⟧.',
    remedy: 'Turn it to ⟦39⟧ at most, or leave a larger square.',
  });
});
