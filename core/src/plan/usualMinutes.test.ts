import { dim } from '../measure/index.js';
import { STARTING_FORMS, type Element, type PatternBody } from '../pattern/index.js';
import { stepDoes, type Does } from '../route/index.js';
import { exampleInputs } from './exampleShop.js';
import { snapshotOf } from './snapshot.js';

/** Minutes of the steps of one piece that do one of these. */
function minutesOf(body: PatternBody, ...does: Does[]): number {
  const inputs = exampleInputs(6);
  inputs.workshop.abrasives = [120, 180, 240, 320].map((grit) => ({ id: `p${grit}`, grit, scale: 'P' }));
  const [part] = snapshotOf({ ...inputs, pattern: { ...body, hardware: [] } }).plan.parts;
  return part.steps.filter((s) => stepDoes(s, ...does)).reduce((sum, s) => sum + s.minutes, 0);
}
const form = (id: string, values: Record<string, number> = {}) =>
  STARTING_FORMS.find((f) => f.id === id)!.body(
    Object.fromEntries(Object.entries(values).map(([key, mm]) => [key, dim(mm)])),
    'maple',
  );

/** A finial of twelve features, copied from one that survived. */
function finial(): PatternBody {
  const body = structuredClone(form('finial'));
  const bead = (id: string, crown: number): Element => ({
    kind: 'bead',
    id,
    length: dim(6),
    crown: dim(crown),
  });
  const cove = (id: string, bottom: number): Element => ({
    kind: 'cove',
    id,
    length: dim(10),
    bottom: dim(bottom),
  });
  body.parts[0].turnings[0] = {
    ...body.parts[0].turnings[0],
    startDiameter: dim(14),
    elements: Array.from({ length: 6 }, (_, i) => [cove(`c${i}`, 9), bead(`b${i}`, 20)]).flat(),
  };
  return body;
}

describe('usual minutes of a piece are of this world', () => {
  it.each([
    ['rolling-pin', { length: 430, end: 45, middle: 45 }],
    ['tapered-pin', {}],
  ])('a %s of %j that comes clean from the tool is sanded in 3 to 5', (id, sizes) => {
    const minutes = minutesOf(form(id, sizes), 'sanded');
    expect(minutes).toBeGreaterThanOrEqual(3);
    expect(minutes).toBeLessThanOrEqual(5);
  });

  it('a ball of 60 is shaped in 8 to 15', () => {
    const minutes = minutesOf(form('ball', { diameter: 60 }), 'shape', 'size');
    expect(minutes).toBeGreaterThanOrEqual(8);
    expect(minutes).toBeLessThanOrEqual(15);
  });

  it('a finial of twelve features is sized and shaped in 15 to 25', () => {
    const minutes = minutesOf(finial(), 'shape', 'size');
    expect(minutes).toBeGreaterThanOrEqual(15);
    expect(minutes).toBeLessThanOrEqual(25);
  });
});
