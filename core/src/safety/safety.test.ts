import { dim } from '../measure/index.js';
import { plan } from '../plan/index.js';
import { exampleInputs } from '../plan/exampleShop.js';

/** What kind of work a step is: a caution is tied to that, not to a name. */
const KIND = /^(saw|bore|hold|rough|size|shape|sanded|coated|join)/;
const kindsOf = (stepIds: readonly string[]) => [...new Set(stepIds.map((id) => KIND.exec(id)?.[0] ?? id))];

/** Cautions of a stopper in a material, with a finish, for somebody: id → kinds of steps. */
const cautions = (change: (inputs: ReturnType<typeof exampleInputs>) => void): Map<string, string[]> => {
  const inputs = exampleInputs(6);
  change(inputs);
  const { pattern, workshop, stock, order, schools } = inputs;
  const [part] = plan(pattern, workshop, stock, order, schools).parts;
  return new Map(part.cautions.map((c) => [c.id, kindsOf(c.stepIds)]));
};

/** The steps of one caution. */
const stepsOf = (change: (inputs: ReturnType<typeof exampleInputs>) => void, id: string) => {
  const inputs = exampleInputs(6);
  change(inputs);
  const { pattern, workshop, stock, order, schools } = inputs;
  const [part] = plan(pattern, workshop, stock, order, schools).parts;
  return part.cautions.find((c) => c.id === id)?.stepIds;
};

describe('cautions', () => {
  it('face shield where the work starts to turn, dust before the first grit', () => {
    const found = cautions(() => undefined);
    expect(found.get('shield')).toEqual(['hold', 'rough']);
    expect(found.get('dust')).toEqual(['sanded']);
    expect(found.get('mandrel')).toEqual(['hold']);
    expect(found.has('chuck')).toBe(false);
  });

  it('follow the material: irritant and sensitising dust begin earlier', () => {
    expect(cautions((i) => (i.order.materialId = 'walnut')).get('dust-irritant')).toEqual([
      'rough',
      'sanded',
    ]);
    const rosewood = cautions((i) => (i.order.materialId = 'rosewood'));
    expect(rosewood.get('dust-sensitiser')).toEqual(['bore', 'rough', 'sanded']);
    expect(rosewood.has('dust')).toBe(false);
  });

  it('follow the finish: oily rags, paper for polish', () => {
    expect(cautions((i) => (i.order.finishId = 'oil')).get('rags')).toEqual(['coated']);
    const polish = cautions((i) => (i.order.finishId = 'polish'));
    expect(polish.get('paper')).toEqual(['coated']);
    expect(polish.has('rags')).toBe(false);
  });

  it('follow who will use it, and never claim that it complies', () => {
    const inputs = exampleInputs(6);
    inputs.pattern.usedBy = 'child';
    const { pattern, workshop, stock, order, schools } = inputs;
    const found = plan(pattern, workshop, stock, order, schools).parts[0].cautions.find(
      (c) => c.id === 'child',
    );
    expect(found?.words).toContain('does not say that it complies');
  });

  it('follow the glue: gloves for epoxy, fumes for instant glue', () => {
    // the base is screwed on at the end: no glue there, no gloves
    expect(stepsOf(() => undefined, 'glue-gloves')).toEqual(['join:glue']);
    const instant = cautions((i) => {
      const [kit] = i.stock.kits;
      if (kit?.kind === 'tapped-insert') kit.glue = 'cyanoacrylate';
    });
    expect(instant.has('glue-gloves')).toBe(false);
    expect(instant.get('glue-fumes')).toEqual(['join']);
  });

  it('follow the glue of every kit, each at its own step', () => {
    const ring = ({ pattern, stock }: ReturnType<typeof exampleInputs>) => {
      stock.kits.push({
        id: 'ring',
        kind: 'ring',
        name: 'Brass ring',
        onHand: 20,
        bore: dim(14),
        outsideDiameter: dim(20),
        length: dim(6),
        glue: 'cyanoacrylate',
      });
      pattern.hardware.push({ id: 'h2', kitId: 'ring', partId: 'part1', end: 'far' });
    };
    expect(stepsOf(ring, 'glue-gloves')).toEqual(['join:glue']);
    expect(stepsOf(ring, 'glue-fumes')).toEqual(['join:ferrule.2']);
  });

  it('say nothing of a step that is not there', () => {
    // six squares get their corners clipped, round stock has none
    expect(cautions((i) => (i.order.pieces = 40)).has('saw-corners')).toBe(true);
    const round = cautions((i) => {
      i.order.pieces = 40;
      i.order.stockForm = 'round';
    });
    expect(round.has('saw-corners')).toBe(false);
    const turned = cautions((i) => {
      i.schools.drilling = 'after rounding';
      i.order.mount = 'chuck';
    });
    expect(turned.has('drill-clamp')).toBe(false);
    expect(turned.has('drill-tailstock') || turned.has('drill-headstock')).toBe(true);
    const bare = cautions((i) => {
      i.order.finishId = null;
      i.pattern.hardware = [];
    });
    for (const id of ['paper', 'rags', 'spray', 'glue-gloves', 'glue-fumes', 'drill-clamp'])
      expect(bare.has(id)).toBe(false);
  });
});
