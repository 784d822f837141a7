import { dim } from '../measure/index.js';
import { STARTING_FORMS, type AcceptanceCheck, type PatternBody } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './plan.js';

const planOf = (pattern: PatternBody, order: { partId?: string; pieces?: number } = {}) => {
  const inputs = exampleInputs(order.pieces ?? 6);
  return plan(
    pattern,
    inputs.workshop,
    { kits: [] },
    { ...inputs.order, partId: order.partId },
    inputs.schools,
  );
};
const form = (id: string): PatternBody => STARTING_FORMS.find((f) => f.id === id)!.body({}, 'ash');
const check = (stage: AcceptanceCheck['stage'], onId?: string): AcceptanceCheck => ({
  id: `check ${stage} ${onId ?? ''}`,
  kind: 'felt',
  words: 'it rattles',
  stage,
  onId,
});

describe('planning a part of an item', () => {
  it('makes the first part when none is named, the other when it is', () => {
    const top = form('launched-top');
    expect(planOf(top).parts[0].name).toBe('Stem');
    expect(planOf(top, { partId: 'part2' }).parts[0].name).toBe('Body');
    expect(planOf(top, { partId: 'gone' }).parts[0].name).toBe('Stem');
  });

  it('makes as many of a part as the items need', () => {
    const top = form('launched-top');
    top.parts[1]!.perItem = 3;
    expect(planOf(top, { partId: 'part2', pieces: 4 }).parts[0].pieces).toBe(12);
  });

  it('stops when a join has lost its hole', () => {
    const top = form('launched-top');
    top.parts[1]!.holes = [];
    expect(planOf(top).findings.some((f) => f.severity === 'stop' && f.id.startsWith('pattern.join'))).toBe(
      true,
    );
  });
});

describe('a square left in the piece', () => {
  const leg = form('leg');

  it('is the blank itself: no skim, no clipped corners', () => {
    const [part] = planOf(leg, { pieces: 12 }).parts;
    expect(part.steps.some((s) => s.id.endsWith(':corners'))).toBe(false);
    // the round below it comes out of the square of 42, however thick it is
    expect(part.blank.section).toBe(43);
    expect(part.largestDiameter).toBeCloseTo(40, 6);
  });

  it('with thin rounds is its own width, and what is planed off', () => {
    const thin = STARTING_FORMS.find((f) => f.id === 'leg')!.body({ thick: dim(30) }, 'ash');
    expect(planOf(thin).parts[0].blank.section).toBe(43);
  });

  it('counts its corners in the mass', () => {
    const [part] = planOf(leg).parts;
    const round = structuredClone(leg);
    const [turning] = round.parts[0].turnings;
    turning.elements.splice(
      0,
      1,
      { kind: 'cylinder', id: 'e1', length: dim(90) },
      { kind: 'shoulder', id: 'e90', endDiameter: dim(28) },
    );
    const extra = part.mass - planOf(round).parts[0].mass;
    // four corners of a square of 42 over about the length that is not rolled
    const corners = ((42 * 42 * (1 - Math.PI / 4) * 85) / 1000) * part.material.density;
    expect(extra).toBeGreaterThan(0.6 * corners);
  });
});

describe('holes across', () => {
  const launcher = form('launcher');

  it('are drilled on the square blank, before anything is round', () => {
    const ids = planOf(launcher).parts[0].steps.map((s) => s.id);
    const across = ids.filter((id) => launcher.parts[0].crossHoles?.some((h) => id === `bore:${h.id}`));
    expect(across).toHaveLength(2);
    for (const id of across) {
      expect(ids.indexOf(id)).toBeGreaterThan(ids.indexOf('mark:centres'));
      expect(ids.indexOf(id)).toBeLessThan(ids.indexOf('rough:round'));
    }
  });

  it('are named with place and side; meeting inside is a note', () => {
    const { parts, findings } = planOf(launcher);
    const across = parts[0].steps.filter((s) => s.title.endsWith(' across'));
    const stem = across.find((s) => s.title.includes('stem hole'))!;
    // the waste before its end comes on top of what is drawn, and both are said
    const place = stem.words.find((w) => w.includes('from the first end'))!;
    const waste = parts[0].steps[0]!.operation!.effects.flatMap((e) =>
      e.do === 'stock' ? e.wood.pieces : [],
    )[0]!.at.at[0];
    expect(place).toContain(`⟦${16 + waste}⟧ from the first end`);
    expect(place).toMatch(/⟦16⟧ from the finished one, on side 1, through/);
    expect(across.find((s) => s !== stem)?.words.join(' ')).toContain('side 2');
    expect(findings.find((f) => f.id === 'drill.cross.part1')?.severity).toBe('note');
  });

  it('that leave little wood in several places are warned of in each, with a name of its own', () => {
    const near = structuredClone(launcher);
    const [hole] = near.parts[0].crossHoles!;
    near.parts[0].crossHoles = [
      { ...hole!, at: dim(6.5) },
      { ...hole!, id: 'second', name: 'second hole', at: dim(6.5), from: 'far' },
    ];
    const found = planOf(near).findings.filter((f) => f.id.startsWith('drill.cross.part1'));
    expect(found.filter((f) => f.severity === 'warn')).toHaveLength(2);
    expect(new Set(found.map((f) => f.id)).size).toBe(found.length);
    expect(found.map((f) => f.what).join(' ')).toContain('second hole');
  });

  it('that leave little wood are warned of', () => {
    const near = structuredClone(launcher);
    near.parts[0].crossHoles = [{ ...near.parts[0].crossHoles![0]!, at: dim(6.5) }];
    const found = planOf(near).findings.find((f) => f.id === 'drill.cross.part1');
    expect(found?.severity).toBe('warn');
    expect(found?.what).toContain('⟦1⟧');
  });
});

describe('acceptance checks', () => {
  it('stand at the last step of their stage, or at the end when there is none', () => {
    const body = { ...form('light-pull'), checks: [check('surface'), check('assemble')] };
    const { steps } = planOf(body).parts[0];
    const lastOf = (stage: string) => steps.filter((s) => s.stage === stage).at(-1);
    expect(lastOf('surface')?.checks).toEqual(['check surface ']);
    const assemble = lastOf('assemble') ?? steps.at(-1);
    expect(assemble?.checks).toContain('check assemble ');
  });

  it('belong to the part whose element they are on', () => {
    const body = { ...form('launched-top'), checks: [check('turn', 'e12'), check('twins')] };
    const checksOf = (partId: string) =>
      planOf(body, { partId }).parts[0].steps.flatMap((s) => s.checks ?? []);
    expect(checksOf('part1')).toEqual(['check twins ']);
    expect(checksOf('part2')).toEqual(['check turn e12']);
  });
});
