import { freshKit, type Kit } from '../hardware/index.js';
import { dim } from '../measure/index.js';
import { STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { snapshotOf } from './snapshot.js';

/** A top that ends in a point. */
function pointed(): PatternBody {
  const body = structuredClone(STARTING_FORMS.find((f) => f.id === 'finger-top')!.body({}, 'maple'));
  const [turning] = body.parts[0].turnings;
  turning.elements.push({ kind: 'taper', id: 'point', length: dim(12), endDiameter: dim(0.4) });
  return { ...body, hardware: [] };
}

const ball: Kit = { ...freshKit('ball'), id: 'ball', name: 'Steel ball', onHand: 9 };

it('a tip that is too sharp is said, until a ball is set in it', () => {
  const adviceOf = (pattern: PatternBody) =>
    snapshotOf({ ...exampleInputs(4), pattern, stock: { kits: [ball] } }).plan.findings.filter((f) =>
      f.remedy.includes('set a ball in it'),
    );
  const top = pointed();
  expect(adviceOf(top)).toHaveLength(1);
  const partId = top.parts[0].id;
  expect(adviceOf({ ...top, hardware: [{ id: 'h1', kitId: 'ball', partId, end: 'far' }] })).toEqual([]);
});
