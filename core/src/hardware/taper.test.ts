import { dim } from '../measure/index.js';
import { materialById, type Material } from '../material/index.js';
import { outlineOf, STARTING_FORMS, type Hole, type Part } from '../pattern/index.js';
import { newWorkshop, type Bit } from '../workshop/index.js';
import { planDrilling } from './index.js';

const ash = materialById('ash') as Material;
const bits: Bit[] = [6, 7, 8, 9, 10, 11, 12].map((d) => ({
  id: `b${d}`,
  kind: 'brad point',
  diameter: dim(d),
  length: 120,
}));
const socket: Hole = {
  id: 'h',
  name: 'socket',
  from: 'reference',
  through: false,
  pointAngle: 118,
  steps: [{ diameter: dim(12), depth: dim(60), endDiameter: dim(6) }],
};

function planned(hole: Hole, owned = bits) {
  const form = STARTING_FORMS.find((f) => f.id === 'tool-handle');
  if (!form) throw new Error('The handle form is gone.');
  const part: Part = { ...form.body({}, 'ash').parts[0], holes: [hole] };
  const shop = { ...newWorkshop('UTC', 'mm'), bits: owned };
  return planDrilling(part, outlineOf(part.turnings[0]), [], {
    material: ash,
    workshop: shop,
    choices: [],
    usual: undefined,
  });
}

describe('a tapered socket', () => {
  it('is bored in steps that stay inside the taper, the narrowest to the bottom', () => {
    const { operations } = planned(socket);
    const bored = operations.map((o) => [o.bit?.diameter.mm, o.toShoulder] as const);
    expect(bored[bored.length - 1]).toEqual([6, 60]);
    for (const [d = 0, depth] of bored.slice(0, -1)) {
      // at its depth the taper is still wider than the bit: 12 − 6 × depth ÷ 60
      expect(12 - (6 * depth) / 60).toBeGreaterThan(d);
      expect(12 - (6 * depth) / 60).toBeLessThan(d + 0.5);
    }
    const diameters = bored.map(([d]) => d ?? 0);
    expect(diameters).toEqual([...diameters].sort((a, b) => b - a));
    expect(diameters.length).toBe(4);
  });

  it('gets two calliper settings, and stays a taper in the drawing', () => {
    const { operations, holes } = planned(socket);
    expect(operations.filter((o) => o.after !== undefined)).toHaveLength(1);
    expect(operations[operations.length - 1]?.after).toBe(
      'Ream or scrape it to the taper: inside calliper at ⟦12⟧ for the mouth, at ⟦6⟧ for ⟦60⟧ deep.',
    );
    expect(holes).toEqual([{ ...socket, steps: socket.steps }]);
  });

  it('below a straight mouth begins where that ends; with one bit there is only the pilot', () => {
    const deeper: Hole = {
      ...socket,
      steps: [
        { diameter: dim(12), depth: dim(10) },
        { diameter: dim(10), depth: dim(50), endDiameter: dim(6) },
      ],
    };
    const { operations, holes } = planned(deeper);
    expect(operations[0]).toMatchObject({ toShoulder: 10 });
    for (const o of operations.slice(1)) expect(o.toShoulder).toBeGreaterThan(10);
    expect(holes[0]?.steps).toEqual([{ diameter: dim(12), depth: dim(10) }, deeper.steps[1]]);
    const [six] = bits;
    expect(planned(socket, six ? [six] : []).operations.map((o) => o.name)).toEqual(['socket, pilot']);
  });
});
