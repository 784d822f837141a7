import { dim } from '../measure/index.js';
import {
  assembled,
  changeOne,
  checkPattern,
  inStep,
  partJoinFindings,
  STARTING_FORMS,
  type Element,
  type PatternBody,
} from './index.js';

/** A finial whose peg goes into the hole of a base. */
const finialOnBase = (): PatternBody => ({
  schema: 1,
  kind: 'finial',
  usedBy: 'anybody',
  parts: [
    {
      id: 'part1',
      name: 'Base',
      perItem: 1,
      materialId: 'ash',
      turnings: [
        { id: 't1', startDiameter: dim(40), elements: [{ kind: 'cylinder', id: 'e1', length: dim(30) }] },
      ],
      holes: [
        {
          id: 'socket',
          name: 'socket',
          from: 'far',
          through: false,
          pointAngle: 180,
          steps: [{ diameter: dim(10), depth: dim(16) }],
        },
      ],
    },
    {
      id: 'part2',
      name: 'Finial',
      perItem: 1,
      materialId: 'ash',
      turnings: [
        {
          id: 't2',
          startDiameter: dim(9.9),
          elements: [
            { kind: 'tenon', id: 'e2', length: dim(15), hole: dim(10), fit: 'glue' },
            { kind: 'shoulder', id: 'e3', endDiameter: dim(24) },
            { kind: 'taper', id: 'e4', length: dim(60), endDiameter: dim(8) },
          ],
        },
      ],
      holes: [],
    },
  ],
  hardware: [],
  joins: [
    {
      id: 'j1',
      kind: 'pin in hole',
      inner: { partId: 'part2', end: 'reference' },
      outer: { partId: 'part1', holeId: 'socket' },
      depth: dim(15),
    },
  ],
  lastId: 10,
});

const peg = (body: PatternBody) => body.parts[1]!.turnings[0].elements[0] as Element & { kind: 'tenon' };
const mouth = (body: PatternBody) => body.parts[0].holes[0]!.steps[0]!;
const withMouth = (body: PatternBody, d: number) =>
  changeOne(body, 'part1', (p) => ({
    ...p,
    holes: p.holes.map((h) => ({ ...h, steps: [{ ...mouth(body), diameter: dim(d) }] })),
  }));
const withPeg = (body: PatternBody, change: Partial<Element & { kind: 'tenon' }>) =>
  changeOne(body, 'part2', (p) => {
    const [t, ...rest] = p.turnings;
    const elements = t.elements.map((e) => (e.kind === 'tenon' ? { ...e, ...change } : e));
    return { ...p, turnings: [{ ...t, elements }, ...rest] };
  });

describe('joins', () => {
  it('of two parts that fit have nothing to say', () => {
    expect(checkPattern(finialOnBase())).toEqual([]);
    expect(partJoinFindings(finialOnBase())).toEqual([]);
  });

  it('the peg follows the hole that was changed', () => {
    const before = finialOnBase();
    const after = inStep(before, withMouth(before, 12));
    expect(peg(after).hole.mm).toBe(12);
  });

  it('the hole follows the peg that was changed, the depth its length', () => {
    const before = finialOnBase();
    const after = inStep(before, withPeg(before, { hole: dim(8), length: dim(11) }));
    expect(mouth(after).diameter.mm).toBe(8);
    expect(after.joins?.[0]?.depth.mm).toBe(11);
  });

  it('a held peg stays: the hole comes back to it', () => {
    const held = withPeg(finialOnBase(), { held: ['hole'] });
    const after = inStep(held, withMouth(held, 12));
    expect(peg(after).hole.mm).toBe(10);
    expect(mouth(after).diameter.mm).toBe(10);
  });

  it('a size that does not go together stops with a remedy', () => {
    const [finding] = partJoinFindings(withMouth(finialOnBase(), 12));
    expect(finding?.severity).toBe('stop');
    expect(finding?.remedy).toContain('⟦10⟧');
  });

  it('a hole without room at its bottom is said', () => {
    const [finding] = partJoinFindings(withPeg(finialOnBase(), { length: dim(16) }));
    expect(finding?.remedy).toContain('⟦17⟧');
  });

  it('a join that lost its hole cannot be saved', () => {
    const lost = changeOne(finialOnBase(), 'part1', (p) => ({ ...p, holes: [] }));
    expect(checkPattern(lost)[0]?.why).toContain('no longer there');
  });
});

describe('the item put together', () => {
  it('the peg stands in its hole, its shoulder on the face', () => {
    const [base, finial] = assembled(finialOnBase());
    expect(base!.x).toBe(0);
    expect(finial!.turned).toBe(false);
    // the peg's tip is 15 inside the far face of a base 30 long
    expect(finial!.x).toBeCloseTo(15, 9);
    expect(finial!.joined).toBe(true);
  });

  it('a hole in the reference end turns the part that stands in it', () => {
    const body = finialOnBase();
    const turned = changeOne(body, 'part1', (p) => ({
      ...p,
      holes: p.holes.map((h) => ({ ...h, from: 'reference' as const })),
    }));
    const finial = assembled(turned)[1]!;
    expect(finial.turned).toBe(true);
    expect(finial.x).toBeCloseTo(15, 9);
  });

  it('the launched top’s body sits round its stem; a part without join stands apart', () => {
    const top = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'ash');
    const [stem, body] = assembled(top);
    expect(stem!.length).toBeGreaterThan(body!.length);
    expect(body!.x).toBeGreaterThan(0);
    expect(body!.x + body!.length).toBeLessThan(stem!.length);
    const apart = assembled({ ...top, joins: [] })[1]!;
    expect(apart.joined).toBe(false);
    expect(apart.x).toBeGreaterThan(stem!.length);
  });
});
