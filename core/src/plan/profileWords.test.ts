import { dim } from '../measure/index.js';
import type { Element, PatternBody } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

/** What is said of the shape of an element amid two plain ones, sentence by sentence. */
function saidOf(element: Element): string[] {
  const { pattern, workshop, stock, order, schools } = exampleInputs(1);
  const plain = (id: string): Element => ({ kind: 'cylinder', id, length: dim(30) });
  const turning = { id: 't', startDiameter: dim(20), elements: [plain('a'), element, plain('b')] };
  const [part] = pattern.parts;
  const body: PatternBody = {
    ...pattern,
    kind: 'other',
    parts: [{ ...part, holes: [], turnings: [turning] }],
    hardware: [],
  };
  const { steps } = plan(body, workshop, stock, { ...order, mount: 'between centres' }, schools).parts[0];
  const shaped = steps.find((s) => s.id === `shape:${element.id}`)!;
  return shaped.words.filter((sentence) => sentence.includes('→'));
}

describe('a profile in words', () => {
  it('tells each bead of a row, in groups of five places that hang together', () => {
    const said = saidOf({
      kind: 'repeat',
      id: 'row',
      times: 4,
      elements: [
        { kind: 'bead', id: 'r1', length: dim(5), crown: dim(24) },
        { kind: 'cylinder', id: 'r2', length: dim(2) },
      ],
    });
    expect(said.join(' ').match(/round by/g)).toHaveLength(4);
    const groups = said.map((sentence) => sentence.slice(sentence.indexOf(':')).match(/⟦[\d.]+⟧ ⌀/g)!);
    for (const places of groups) expect(places.length).toBeLessThanOrEqual(5);
    groups.slice(1).forEach((places, i) => expect(places[0]).toBe(groups[i]?.at(-1)));
    expect(said[0]).toMatch(/^From /);
    for (const further of said.slice(1)) expect(further).toMatch(/^On from there: /);
  });

  it('tells a flowing curve by its ends and where it turns, however many arcs it is made of', () => {
    const at = (mm: number, diameter: number) => ({ at: dim(mm), diameter: dim(diameter) });
    const said = saidOf({
      kind: 'fair',
      id: 'flow',
      length: dim(80),
      endDiameter: dim(20),
      points: [at(20, 26), at(40, 24), at(60, 28)],
    });
    const places = said
      .join(' ')
      .match(/⌀ ⟦[\d.]+⟧/g)!
      .map((p) => Number(/[\d.]+/.exec(p)![0]));
    // told as it is cut: 0.2 of each diameter goes in sanding
    expect(places[0]).toBeCloseTo(20.2, 1);
    expect(places.at(-1)).toBeCloseTo(20.2, 1);
    for (const turns of [26, 24, 28]) expect(places.some((p) => Math.abs(p - turns) < 0.3)).toBe(true);
    expect(places.length).toBeLessThan(12);
  });
});
